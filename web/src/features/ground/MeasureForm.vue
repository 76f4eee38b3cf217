<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
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
    <label class="label"
      >{{ t('ground.measure.at') }}<input v-model="at" class="field" :placeholder="t('ground.measure.here')"
    /></label>
    <label v-if="way === 'circle'" class="label"
      >{{ t('ground.measure.radius') }}<input v-model="radius" class="field" :aria-invalid="fault('/radius') !== null"
    /></label>
    <div v-if="way === 'rectangle'" class="row">
      <label v-for="f in FIELDS" :key="f" class="label"
        >{{ t(`ground.measure.${f}`)
        }}<input v-model="size[f]" class="field short" :aria-invalid="fault(`/${f}`) !== null"
      /></label>
    </div>
    <template v-if="way === 'legs'">
      <label class="label"
        >{{ t('ground.measure.pace')
        }}<input v-model="size.pace" class="field short" :aria-invalid="fault('/pace') !== null"
      /></label>
      <div v-for="(leg, i) in legs" :key="i" class="row">
        <label class="label"
          >{{ t('ground.measure.leg', { n: i + 1 })
          }}<input v-model="leg.length" class="field short" :aria-invalid="fault(`/legs/${i}/length`) !== null"
        /></label>
        <label class="label"
          >{{ t('ground.measure.bearing')
          }}<input
            v-model="leg.bearing"
            class="field short"
            inputmode="numeric"
            :aria-invalid="fault(`/legs/${i}/bearing`) !== null"
        /></label>
      </div>
      <button class="btn small" type="button" @click="legs.push({ length: '', bearing: '' })">
        {{ t('ground.measure.addLeg') }}
      </button>
    </template>
    <button class="btn" type="submit">{{ t('ground.measure.work') }}</button>
  </form>
</template>

<style scoped>
.short {
  width: 7.5em !important;
}
</style>
