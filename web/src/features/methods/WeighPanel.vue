<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';

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
const set = (measure: string, e: Event): void => {
  emit('try', {
    ...Object.fromEntries(measures.value.map((m) => [m, wish(m)])),
    [measure]: Number((e.target as HTMLInputElement).value),
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
              <label class="row slide"
                ><span class="visually-hidden">{{ t('weigh.slider', { measure: t(`weigh.of.${m}`) }) }}</span
                ><input type="range" min="0" max="100" step="5" :value="wish(m)" @change="(e) => set(m, e)" /><b
                  >{{ weights[m] }} %</b
                ></label
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
      <button v-if="mayPlan" class="btn small" type="button" :disabled="busy" @click="emit('plan')">
        {{ t('weigh.keepPlan') }}
      </button>
      <button v-if="mayKeep" class="btn small" type="button" :disabled="busy" @click="emit('keep')">
        {{ t('weigh.keep') }}
      </button>
      <button class="btn small quiet" type="button" @click="emit('drop')">{{ t('weigh.drop') }}</button>
    </div>
    <div v-else-if="ofPlan" class="row">
      <span class="small">{{ t('weigh.ofPlan') }}</span>
      <button v-if="mayPlan" class="btn small quiet" type="button" :disabled="busy" @click="emit('asCrew')">
        {{ t('weigh.asCrew') }}
      </button>
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
.slide input {
  width: 120px;
}
@media (max-width: 860px) {
  .slide {
    min-height: var(--touch);
  }
}
</style>
