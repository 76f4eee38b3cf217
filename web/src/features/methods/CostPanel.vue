<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { costsQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import FigureChart from '@/components/figures/FigureChart.vue';
import VerdictMark from '@/components/figures/VerdictMark.vue';
import { useSession } from '@/composables/useSession';

/** What one pass costs as the stand thickens, as plants grow more stems, and as years go by. */
const props = defineProps<{ stand: string; row: Schemas['BoardRow'] }>();
const { t } = useI18n();
const { format } = useSession();
const { data: costs, error } = useQuery(computed(() => costsQuery(props.stand, props.row.id)));

const number = (q: { value: string } | null | undefined): number => Number(q?.value ?? 0);
const points = computed(() => (costs.value?.density ?? []).filter((d) => d.hours !== null));
/** Each doubling is one step to the right, so that thin and thick stands both can be read. */
const steps = computed(() =>
  points.value.map((d) => ({
    label: String(d.perHectare ?? d.stems),
    told: d.hours ? `${format(d.hours.use)} (${format(d.hours.low)} – ${format(d.hours.high)})` : '',
    value: number(d.hours?.use),
    ...(d.factor === '1' ? { tag: t('cost.now') } : {}),
    low: number(d.hours?.low),
    high: number(d.hours?.high),
  })),
);
const now = computed(() => points.value.findIndex((d) => d.factor === '1'));
</script>

<template>
  <section class="stack" aria-labelledby="cost-h">
    <h2 id="cost-h">
      {{ t('cost.heading', { name: row.active ? `${row.method.name}, ${row.active.name}` : row.method.name }) }}
    </h2>
    <LoadFault :of="error" />
    <p v-if="costs && points.length === 0" class="soft">{{ t('cost.none') }}</p>
    <template v-if="costs && points.length">
      <div class="beside">
        <FigureChart
          :name="t('cost.chart')"
          :steps="steps"
          unit="h"
          :marked="now"
          :caption="points[0]?.perHectare ? t('cost.perHa') : t('cost.perStand')"
        />
        <div class="table-wrap" tabindex="0" role="group" :aria-label="t('cost.thickness')">
          <table>
            <caption>
              {{
                t('cost.thickness')
              }}
            </caption>
            <thead>
              <tr>
                <th>{{ points[0]?.perHectare ? t('cost.stemsPerHa') : t('cost.stems') }}</th>
                <th>{{ t('cost.hours') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(s, k) in steps" :key="s.label" :class="{ here: k === now }">
                <td>
                  {{ s.label }}<span v-if="k === now" class="soft small"> · {{ t('cost.now') }}</span>
                </td>
                <td>{{ s.told }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </div>
      <div class="table-wrap" tabindex="0" role="group" :aria-label="t('cost.clumps')">
        <table>
          <caption>
            {{
              t('cost.clumps')
            }}
          </caption>
          <thead>
            <tr>
              <th>{{ t('cost.stemsPerClump') }}</th>
              <th>{{ t('cost.stems') }}</th>
              <th>{{ t('cost.hours') }}</th>
              <th v-if="costs.currency">{{ t('cost.money', { currency: costs.currency }) }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="c in costs.clumps" :key="c.stemsPerClump">
              <td>{{ c.stemsPerClump }}</td>
              <td>{{ c.stems }}</td>
              <td>
                {{
                  c.hours
                    ? `${format(c.hours.use)} (${format(c.hours.low)} – ${format(c.hours.high)})`
                    : t('besides.unknown')
                }}
              </td>
              <td v-if="costs.currency">{{ c.money ?? t('besides.noPrice') }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="table-wrap" tabindex="0" role="group" :aria-label="t('cost.waiting')">
        <table>
          <caption>
            {{
              t('cost.waiting')
            }}
          </caption>
          <thead>
            <tr>
              <th>{{ t('cost.wait') }}</th>
              <th>{{ t('cost.stems') }}</th>
              <th>{{ t('cost.hours') }}</th>
              <th v-if="costs.currency">{{ t('cost.money', { currency: costs.currency }) }}</th>
              <th>{{ t('cost.then') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="w in costs.waiting" :key="w.years">
              <td>{{ w.years === 0 ? t('cost.now') : t('cost.years', { n: w.years }, w.years) }}</td>
              <td>{{ w.years === 0 ? w.stems[1] : `${w.stems[1]} (${w.stems[0]} – ${w.stems[2]})` }}</td>
              <td>
                {{
                  w.hours
                    ? w.years === 0
                      ? format(w.hours.use)
                      : `${format(w.hours.use)} (${format(w.hours.low)} – ${format(w.hours.high)})`
                    : t('cost.beyond')
                }}
              </td>
              <td v-if="costs.currency">{{ w.money ?? t('besides.noPrice') }}</td>
              <td>
                <VerdictMark :outcome="w.outcome" :name="w.outcomeName" />
                <span v-if="w.why" class="small">{{ format(w.why) }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="small soft">{{ t('cost.guess') }}</p>
    </template>
  </section>
</template>

<style scoped>
.beside {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(220px, 2fr);
  gap: 24px;
}
@media (max-width: 760px) {
  .beside {
    grid-template-columns: minmax(0, 1fr);
  }
}
tr.here td {
  font-weight: 700;
}
caption {
  text-align: left;
  font-weight: 650;
  padding: 6px 0;
}
</style>
