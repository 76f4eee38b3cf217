<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { useUndo } from '@/composables/useUndo';
import { useSession } from '@/composables/useSession';
import ProgressLine from '@/components/feedback/ProgressLine.vue';
import PhotoViewer from '@/components/PhotoViewer.vue';
import ActButton from '@/components/form/ActButton.vue';
import FilesField from '@/components/form/FilesField.vue';

const props = defineProps<{
  sighting: Schemas['Sighting'];
  /** Whether photos may be added here and now. */ adding: boolean;
}>();
const emit = defineEmits<{
  changed: [sighting: Schemas['Sighting']];
  /** A picture knew where it was taken, and the person wants that. */ place: [latitude: string, longitude: string];
}>();
const { t } = useI18n();
const { mayWrite } = useSession();
const { busy, refusal, run } = useSubmit();
const offered = ref<{ latitude: string; longitude: string } | null>(null);
const sent = ref<{ at: number; of: number } | null>(null);
/** Which one is looked at; null for none. */
const shown = ref<number | null>(null);
const url = (id: string, size: 'full' | 'thumb'): string => `/api/v1/photos/${id}/${size}`;

const add = async (files: File[]): Promise<void> => {
  for (const [i, file] of files.entries()) {
    sent.value = { at: i + 1, of: files.length };
    const body = new FormData();
    body.append('photo', file);
    const answer = await run(() =>
      // the browser writes the multipart header with its boundary; openapi-fetch sends the form as it is
      unwrap(
        api.POST('/sightings/{sighting}/photos', {
          params: { path: { sighting: props.sighting.id } },
          body: body as unknown as { photo: string },
          bodySerializer: (b) => b as unknown as FormData,
        }),
      ),
    );
    if (!answer) break;
    offered.value ??= answer.offeredPlace;
  }
  sent.value = null;
};
const { letGo, isGoing } = useUndo();
const here = computed(() => props.sighting.photos.filter((one) => !isGoing(one.id)));
const drop = async (photo: string): Promise<void> => {
  shown.value = null;
  await letGo(photo, t('sighting.photoGone'), () =>
    run(() => unwrap(api.DELETE('/photos/{photo}', { params: { path: { photo } } }))),
  );
};
const takePlace = (): void => {
  if (offered.value) emit('place', offered.value.latitude, offered.value.longitude);
  offered.value = null;
};
</script>

<template>
  <div class="stack photos">
    <ul v-if="here.length" class="plain strip" :aria-label="t('sighting.photos')">
      <li v-for="(p, i) in here" :key="p.id">
        <button type="button" :aria-label="t('sighting.openPhoto', { n: i + 1 })" @click="shown = i">
          <img
            :src="url(p.id, 'thumb')"
            :alt="t('sighting.photoOf', { name: sighting.name, n: i + 1 })"
            width="120"
            height="90"
            loading="lazy"
          />
        </button>
      </li>
    </ul>
    <FilesField
      v-if="mayWrite && adding"
      :label="t('sighting.addPhotos')"
      accept="image/jpeg,image/png,image/webp"
      multiple
      :disabled="busy"
      @files="add"
    />
    <ProgressLine v-if="sent" :done="sent.at - 1" :of="sent.of" :said="t('sighting.sending', sent)" />
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
    <p v-if="offered" class="note">
      {{ t('sighting.offered', offered) }}
      <span class="row">
        <ActButton small @click="takePlace">{{ t('sighting.takePlace') }}</ActButton>
        <ActButton quiet small @click="offered = null">{{ t('sighting.leavePlace') }}</ActButton>
      </span>
    </p>
    <PhotoViewer
      v-if="shown !== null"
      v-model="shown"
      :title="sighting.name"
      :photos="
        here.map((p, i) => ({
          src: url(p.id, 'full'),
          alt: t('sighting.photoOf', { name: sighting.name, n: i + 1 }),
          said: p.takenAt ? t('sighting.taken', { at: p.takenAt }) : '',
        }))
      "
      @close="shown = null"
    >
      <ActButton v-if="mayWrite" quiet small :disabled="busy" @click="drop(here[shown]!.id)">{{
        t('sighting.dropPhoto')
      }}</ActButton>
    </PhotoViewer>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.strip button {
  padding: 0;
  border: 1px solid var(--ink-soft);
  border-radius: var(--corner);
  background: none;
  cursor: pointer;
  line-height: 0;
}
.strip img {
  width: 120px;
  height: 90px;
  object-fit: cover;
}
</style>
