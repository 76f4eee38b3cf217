<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import ActButton from '@/components/form/ActButton.vue';
import TapPad from '@/components/form/TapPad.vue';
import { useSession } from '@/composables/useSession';
import { stemsOf } from './fieldLog';
import type { FieldNote } from './fieldStore';

/** One large button a size; each tap one stem more, by one hand and with gloves on. The last tap can be taken back. */
const props = defineProps<{
  groups: NonNullable<Schemas['SheetSnapshot']['field']>['groups'];
  notes: FieldNote[];
}>();
const emit = defineEmits<{ note: [kind: FieldNote['kind'], body: Record<string, unknown>] }>();
const { t } = useI18n();
const { format } = useSession();
const stems = computed(() => stemsOf(props.notes));
const leaving = ref(false);
const last = computed(() => props.notes.findLast((n) => n.kind === 'count' || n.kind === 'skip'));
const hintOf = (g: (typeof props.groups)[number]): string =>
  [
    g.count ? t('fieldMode.ofCounted', { n: g.count }) : '',
    stems.value[g.key]?.left ? t('fieldMode.left', { n: stems.value[g.key]?.left }) : '',
  ]
    .filter(Boolean)
    .join(' · ');
const nameOf = (key: unknown): string => {
  const found = props.groups.find((g) => g.key === key);
  return found ? format(found.name) : String(key);
};
</script>

<template>
  <section class="stack" aria-labelledby="count-h">
    <h2 id="count-h">{{ t(leaving ? 'fieldMode.countLeft' : 'fieldMode.count') }}</h2>
    <div class="pads">
      <TapPad
        v-for="g in groups"
        :key="g.key"
        :label="format(g.name)"
        :n="stems[g.key]?.treated ?? 0"
        :hint="hintOf(g)"
        :dashed="leaving"
        @tap="emit('note', leaving ? 'skip' : 'count', { group: g.key, n: 1 })"
      />
    </div>
    <div class="row">
      <ActButton v-if="last" @click="emit('note', 'undo', { of: last.id })">{{
        t('fieldMode.undo', { what: nameOf(last.group) })
      }}</ActButton>
      <ActButton quiet :aria-pressed="leaving" @click="leaving = !leaving">{{
        t(leaving ? 'fieldMode.countTreated' : 'fieldMode.leave')
      }}</ActButton>
    </div>
  </section>
</template>

<style scoped>
.pads {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px;
}
</style>
