<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import type { Position } from './shapes';
import type { ShapeEditor } from './useShapeEditor';

const props = defineProps<{
  editor: ShapeEditor;
  way: 'circle' | 'rectangle' | 'legs';
  /** Where the map is looking: the place to begin, till another is typed. */ centre: () => Position;
}>();
const { t } = useI18n();
const at = ref('');
const radius = ref('');
const size = ref({ length: '', width: '', bearing: '0', pace: '' });
const legs = ref([
  { length: '', bearing: '0' },
  { length: '', bearing: '90' },
  { length: '', bearing: '180' },
  { length: '', bearing: '270' },
]);
const FIELDS = ['length', 'width', 'bearing', 'pace'] as const;
const fault = (pointer: string) => props.editor.refusal.value?.at(`/${props.way}${pointer}`) ?? null;
const start = computed<Position | null>(() => {
  const found = /^\s*(-?[\d.]+)[\s,;]+(-?[\d.]+)\s*$/.exec(at.value);
  return found ? [Number(found[1]), Number(found[2])] : null;
});
const work = (): void => {
  const place = (start.value ?? props.centre()).map((v) => Number(v.toFixed(8))) as Position;
  at.value = `${place[0]}, ${place[1]}`;
  const pace = size.value.pace.trim() === '' ? {} : { pace: size.value.pace };
  if (props.way === 'circle') void props.editor.trace({ circle: { centre: place, radius: radius.value } });
  else if (props.way === 'rectangle')
    void props.editor.trace({
      rectangle: {
        corner: place,
        length: size.value.length,
        width: size.value.width,
        bearing: size.value.bearing,
        ...pace,
      },
    });
  else
    void props.editor.trace({
      legs: { start: place, ...pace, legs: legs.value.filter((l) => l.length.trim() !== '') },
    });
};
</script>

<template>
  <form class="stack" novalidate @submit.prevent="work">
    <p class="small soft">{{ t(`ground.measure.help.${way}`) }}</p>
    <TextField v-model="at" :label="t('ground.measure.at')" :placeholder="t('ground.measure.here')" />
    <TextField v-if="way === 'circle'" v-model="radius" :label="t('ground.measure.radius')" :fault="fault('/radius')" />
    <div v-if="way === 'rectangle'" class="row">
      <TextField
        v-for="f in FIELDS"
        :key="f"
        v-model="size[f]"
        :label="t(`ground.measure.${f}`)"
        :fault="fault(`/${f}`)"
        width="7.5em"
      />
    </div>
    <template v-if="way === 'legs'">
      <TextField v-model="size.pace" :label="t('ground.measure.pace')" :fault="fault('/pace')" width="7.5em" />
      <div v-for="(leg, i) in legs" :key="i" class="row">
        <TextField
          v-model="leg.length"
          :label="t('ground.measure.leg', { n: i + 1 })"
          :fault="fault(`/legs/${i}/length`)"
          width="7.5em"
        />
        <TextField
          v-model="leg.bearing"
          :label="t('ground.measure.bearing')"
          :fault="fault(`/legs/${i}/bearing`)"
          width="7.5em"
          inputmode="numeric"
        />
      </div>
      <ActButton small @click="legs.push({ length: '', bearing: '' })">{{ t('ground.measure.addLeg') }}</ActButton>
    </template>
    <ActButton type="submit">{{ t('ground.measure.work') }}</ActButton>
  </form>
</template>
