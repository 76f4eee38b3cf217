<script setup lang="ts">
import { computed, onScopeDispose, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import FilesField from '@/components/form/FilesField.vue';
import TextField from '@/components/form/TextField.vue';
import type { FieldNote, KeptPhoto } from './fieldStore';

/** Pictures of the day: kept on this phone till they can be sent. */
const props = defineProps<{
  notes: FieldNote[];
  pictures: KeptPhoto[];
  keep: (file: File, text: string) => Promise<boolean>;
}>();
const emit = defineEmits<{ drop: [note: string, photo: string] }>();
const { t } = useI18n();
const text = ref('');
const busy = ref(false);
const take = async (files: File[]): Promise<void> => {
  busy.value = true;
  for (const file of files) await props.keep(file, text.value.trim());
  text.value = '';
  busy.value = false;
};
const own = ref(new Map<string, string>());
const letGo = (): void => own.value.forEach((url) => URL.revokeObjectURL(url));
watch(
  () => props.pictures,
  (all) => {
    letGo();
    own.value = new Map(all.map((p) => [p.id, URL.createObjectURL(p.file)]));
  },
  { immediate: true },
);
onScopeDispose(letGo);
const shown = computed(() =>
  props.notes
    .filter((n) => n.kind === 'photo')
    .map((n) => ({
      note: n.id,
      photo: n.photo as string,
      text: typeof n.text === 'string' ? n.text : '',
      by: n.by,
      // its file lies here, or with the server, or on another phone that had no signal yet
      url: own.value.get(n.photo as string) ?? `/api/v1/photos/${n.photo as string}/thumb`,
      waits: own.value.has(n.photo as string),
      why: props.pictures.find((p) => p.id === n.photo)?.why,
    }))
    .reverse(),
);
</script>

<template>
  <section class="stack" aria-labelledby="pictures-h">
    <h2 id="pictures-h">{{ t('fieldMode.pictures') }}</h2>
    <TextField v-model="text" :label="t('fieldMode.pictureOf')" maxlength="500" />
    <FilesField
      :label="t('fieldMode.picture')"
      accept="image/jpeg,image/png,image/webp"
      :help="t('fieldMode.pictureHelp')"
      :disabled="busy"
      multiple
      @files="take"
    />
    <ul v-if="shown.length" class="plain shots">
      <li v-for="s in shown" :key="s.note">
        <img :src="s.url" :alt="s.text || t('fieldMode.pictureBy', { name: s.by })" width="104" height="104" />
        <span class="small"
          >{{ s.text }} <span v-if="s.waits" class="soft">{{ t('fieldMode.pictureWaits') }}</span></span
        >
        <span v-if="s.why" class="fault small" role="alert">{{ s.why }}</span>
        <button class="link small" type="button" @click="emit('drop', s.note, s.photo)">
          {{ t('fieldMode.takeBack') }}
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.shots {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 12px;
}
.shots li {
  display: flex;
  flex-direction: column;
  gap: 4px;
}
img {
  width: 100%;
  aspect-ratio: 1;
  object-fit: cover;
  background: var(--lichen-deep);
}
button.link {
  min-height: var(--touch);
  border: 0;
  padding: 0;
  background: none;
  color: var(--sloe);
  font: inherit;
  text-align: left;
  text-decoration: underline;
}
</style>
