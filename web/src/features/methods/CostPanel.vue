<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { costsQuery } from '@/api/queries';
import VerdictMark from '@/components/figures/VerdictMark.vue';
import { useSession } from '@/composables/useSession';

/** What one pass costs as the stand thickens, as plants grow more stems, and as years go by. */
const props = defineProps<{ stand: string; row: Schemas['BoardRow'] }>();
const { t } = useI18n();
const { format } = useSession();
const { data: costs, error } = useQuery(computed(() => costsQuery(props.stand, props.row.id)));

const WIDTH = 560;
const HEIGHT = 250;
const LEFT = 52;
const BOTTOM = 34;
type Point = Schemas['Costs']['density'][number];
const number = (q: { value: string } | null | undefined): number => Number(q?.value ?? 0);
const points = computed(() => (costs.value?.density ?? []).filter((d) => d.hours !== null));
const most = computed(() => Math.max(1, ...points.value.map((d) => number(d.hours?.high))));
const steps = computed(() => points.value.length - 1);
/** Each doubling is one step to the right, so that thin and thick stands both can be read. */
const x = (i: number): number => LEFT + 14 + (i / Math.max(1, steps.value)) * (WIDTH - LEFT - 40);
const y = (hours: number): number => HEIGHT - BOTTOM - (hours / most.value) * (HEIGHT - BOTTOM - 18);
const line = (of: (d: Point) => number): string =>
  points.value.map((d, i) => `${i ? 'L' : 'M'}${x(i)} ${y(of(d))}`).join('');
const band = computed(
  () =>
    line((d) => number(d.hours?.high)) +
    points.value
      .map((d, i) => ({ d, i }))
      .reverse()
      .map(({ d, i }) => `L${x(i)} ${y(number(d.hours?.low))}`)
      .join('') +
    'Z',
);
const ticks = computed(() => [0, 0.5, 1].map((share) => share * most.value));
</script>

<template>
  <section class="stack" aria-labelledby="cost-h">
    <h2 id="cost-h">
      {{ t('cost.heading', { name: row.active ? `${row.method.name}, ${row.active.name}` : row.method.name }) }}
    </h2>
    <p v-if="error" class="fault" role="alert">{{ error.message }}</p>
    <p v-if="costs && points.length === 0" class="soft">{{ t('cost.none') }}</p>
    <template v-if="costs && points.length">
      <figure>
        <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="t('cost.chart')">
          <path class="band" :d="band" />
          <g v-for="v in ticks" :key="v">
            <path class="grid" :d="`M${LEFT} ${y(v)}H${WIDTH - 8}`" />
            <text :x="LEFT - 6" :y="y(v) + 4" text-anchor="end">{{ v < 10 ? v.toFixed(1) : Math.round(v) }} h</text>
          </g>
          <path class="use" :d="line((d) => number(d.hours?.use))" />
          <g v-for="(d, i) in points" :key="d.factor">
            <circle
              :cx="x(i)"
              :cy="y(number(d.hours?.use))"
              :r="d.factor === '1' ? 7 : 4"
              :class="{ here: d.factor === '1' }"
            />
            <text :x="x(i)" :y="HEIGHT - 12" text-anchor="middle">{{ d.perHectare ?? d.stems }}</text>
            <text
              v-if="d.factor === '1'"
              class="here-t"
              :x="x(i)"
              :y="y(number(d.hours?.use)) - 12"
              text-anchor="middle"
            >
              {{ t('cost.now') }}
            </text>
          </g>
        </svg>
        <figcaption class="small soft">{{ points[0]?.perHectare ? t('cost.perHa') : t('cost.perStand') }}</figcaption>
      </figure>
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
figure {
  margin: 0;
  max-width: 640px;
}
svg {
  width: 100%;
}
.band {
  fill: var(--gorse-fill);
}
.use {
  fill: none;
  stroke: var(--sloe);
  stroke-width: 3;
}
circle {
  fill: var(--lichen);
  stroke: var(--sloe);
  stroke-width: 2.5;
}
circle.here {
  fill: var(--sloe);
}
.grid {
  stroke: var(--rule);
}
text {
  font: 600 12.5px var(--font);
  fill: var(--ink);
}
.here-t {
  font-weight: 750;
  fill: var(--sloe);
}
caption {
  text-align: left;
  font-weight: 650;
  padding: 6px 0;
}
</style>
