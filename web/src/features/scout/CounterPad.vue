<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import ActButton from '@/components/form/ActButton.vue';
import TapPad from '@/components/form/TapPad.vue';
import { className, stepped, type TallyRow } from './tally';

/* For wet gloves: one large button a class, each tap one more; the last taps can be taken back one by one. */
const rows = defineModel<TallyRow[]>({ required: true });
const { t } = useI18n();
const taps = ref<number[]>([]);
const ready = computed(() => rows.value.map((row, i) => ({ row, i })).filter(({ row }) => row.from.trim() !== ''));
const tap = (i: number): void => {
  const row = rows.value[i];
  if (!row) return;
  row.count = stepped(row.count, 1);
  taps.value = [...taps.value, i].slice(-500);
};
/** A new visit counts from nought; what was saved before stays as it is. */
const nought = (): void => {
  rows.value.forEach((row) => ((row.count = '0'), (row.estimated = false)));
  taps.value = [];
};
const back = (): void => {
  const row = rows.value[taps.value.at(-1) ?? -1];
  if (row) row.count = stepped(row.count, -1);
  taps.value = taps.value.slice(0, -1);
};
</script>

<template>
  <div class="stack">
    <p v-if="ready.length === 0" class="soft">{{ t('scout.counter.none') }}</p>
    <div class="pads">
      <TapPad
        v-for="{ row, i } in ready"
        :key="i"
        :label="[className(row), row.bark ? t(`value.${row.bark}`) : ''].filter(Boolean).join(' · ')"
        :n="row.count || 0"
        @tap="tap(i)"
      />
    </div>
    <div v-if="ready.length" class="row">
      <ActButton :disabled="taps.length === 0" @click="back">{{ t('scout.counter.back') }}</ActButton>
      <ActButton quiet @click="nought">{{ t('scout.counter.nought') }}</ActButton>
    </div>
  </div>
</template>

<style scoped>
.pads {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(140px, 1fr));
  gap: 10px;
}
</style>
