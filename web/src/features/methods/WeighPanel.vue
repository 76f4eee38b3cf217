<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import ActButton from '@/components/form/ActButton.vue';
import SliderField from '@/components/form/SliderField.vue';

const props = defineProps<{
  /** What the board was ordered by, hundredths. */ weights: Record<string, number>;
  /** The row that is looked at. */ row: Schemas['Row'] | null;
  /** Wishes that are only tried here; none is the crew's own. */ tried: Record<string, number> | null;
  mayKeep: boolean;
  mayPlan: boolean;
  /** Whether this plan is weighed by weights of its own. */ ofPlan: boolean;
  busy: boolean;
}>();
const emit = defineEmits<{ try: [wishes: Record<string, number>]; drop: []; keep: []; plan: []; asCrew: [] }>();
const { t } = useI18n();
const measures = computed(() => Object.keys(props.weights));
const wish = (measure: string): number => props.tried?.[measure] ?? props.weights[measure] ?? 0;
const set = (measure: string, value: number): void => {
  emit('try', {
    ...Object.fromEntries(measures.value.map((m) => [m, wish(m)])),
    [measure]: value,
  });
};
const share = (measure: string): Schemas['Row']['weighing']['shares'][number] | undefined =>
  props.row?.weighing.shares.find((s) => s.measure === measure);
</script>

<template>
  <section class="stack" aria-labelledby="weigh-h">
    <h2 id="weigh-h">{{ t('weigh.heading') }}</h2>
    <p class="small soft">{{ t('weigh.how') }}</p>
    <div class="table-wrap">
      <table>
        <thead>
          <tr>
            <th>{{ t('weigh.measure') }}</th>
            <th>{{ t('weigh.counts') }}</th>
            <th v-if="row">{{ t('weigh.figure') }}</th>
            <th v-if="row" class="right">{{ t('weigh.adds') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="m in measures" :key="m">
            <td>{{ t(`weigh.of.${m}`) }}</td>
            <td>
              <span class="row slide"
                ><SliderField
                  :model-value="wish(m)"
                  :step="5"
                  :label="t('weigh.slider', { measure: t(`weigh.of.${m}`) })"
                  :said="(v) => `${v} %`"
                  @change="set(m, $event)"
                /><b>{{ weights[m] }} %</b></span
              >
            </td>
            <td v-if="row" class="small">
              <template v-if="share(m)?.figure">{{ share(m)?.figure }}</template><span v-else class="soft">{{
                t('weigh.unknown')
              }}</span>
            </td>
            <td v-if="row" class="right">{{ share(m)?.points }}</td>
          </tr>
          <tr v-if="row">
            <td colspan="3">
              <b>{{ t('weigh.total', { name: row.method.name + (row.active ? `, ${row.active.name}` : '') }) }}</b>
            </td>
            <td class="right">
              <b>{{ row.weighing.total }}</b>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-if="tried" class="row">
      <ActButton v-if="mayPlan" small :disabled="busy" @click="emit('plan')">{{ t('weigh.keepPlan') }}</ActButton>
      <ActButton v-if="mayKeep" small :disabled="busy" @click="emit('keep')">{{ t('weigh.keep') }}</ActButton>
      <ActButton quiet small @click="emit('drop')">{{ t('weigh.drop') }}</ActButton>
    </div>
    <div v-else-if="ofPlan" class="row">
      <span class="small">{{ t('weigh.ofPlan') }}</span>
      <ActButton v-if="mayPlan" quiet small :disabled="busy" @click="emit('asCrew')">{{ t('weigh.asCrew') }}</ActButton>
    </div>
  </section>
</template>

<style scoped>
.right {
  text-align: right;
}
.slide {
  flex-wrap: nowrap;
  min-height: 32px;
}
.slide > .el-slider {
  width: 120px;
}
@media (max-width: 860px) {
  .slide {
    min-height: var(--touch);
  }
}
</style>
