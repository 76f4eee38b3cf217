<script setup lang="ts">
import { formats } from '@/app/language';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import ChoiceField from '@/components/form/ChoiceField.vue';

const props = defineProps<{ count: Schemas['Count'] }>();
const share = defineModel<string>('share', { required: true });
const { t } = useI18n();
const { format } = useSession();
const tallest = computed(() => Math.max(1, ...props.count.classes.map((c) => c.stems)));
const samples = computed(() =>
  (['plots', 'seedlings'] as const).map((k) => ({ kind: k, sample: props.count[k] })).filter((s) => s.sample !== null),
);
const rows = computed(() => {
  const c = props.count.census;
  if (!c) return [];
  return [
    ['clumps', String(c.clumps)],
    ...(c.perArea ? [['perArea', `${format(c.perArea)}${c.density ? `, ${c.density}` : ''}`]] : []),
    ['sum', format(c.sumOfDiameters)],
    ['band', `${format(c.bandArea)} (${format(c.band)})`],
    ['faces', format(c.stumpFaces)],
    ['sides', format(c.stumpFacesAndSides)],
  ] as [string, string][];
});
</script>

<template>
  <div class="stack">
    <template v-if="count.census">
      <p>
        <span class="pour">{{ count.census.stems.toLocaleString(formats()) }}</span> {{ t('scout.stems') }}
        <b v-if="count.census.estimated" class="est">{{ t('scout.sum.estimated') }}</b>
      </p>
      <figure class="histogram" :aria-label="t('scout.sum.histogram')">
        <div v-for="(c, i) in count.classes" :key="i" class="bar-row">
          <span class="class"
            >{{ format(c.from) }}<template v-if="c.below"> – {{ format(c.below) }}</template></span
          >
          <span class="bar" :class="{ hollow: c.estimated }" :style="{ width: `${(50 * c.stems) / tallest}%` }"></span
          ><b>{{ c.stems.toLocaleString(formats()) }}</b>
        </div>
      </figure>
      <dl>
        <template v-for="[name, value] in rows" :key="name">
          <dt>{{ t(`scout.sum.${name}`) }}</dt>
          <dd>{{ value }}</dd>
        </template>
        <dt>{{ t('scout.sum.cuts') }}</dt>
        <dd>
          <span v-for="c in count.census.cuts" :key="c.name" class="line"
            ><b>{{ c.cuts.toLocaleString(formats()) }}</b> {{ c.name }}</span
          >
        </dd>
      </dl>
    </template>
    <section v-for="{ kind, sample } in samples" :key="kind" class="stack" :aria-label="t(`scout.sum.${kind}`)">
      <h3>{{ t(`scout.sum.${kind}`) }}</h3>
      <template v-if="sample">
        <p v-if="sample.all && sample.all.total !== null">
          <b>{{ sample.all.total.toLocaleString(formats()) }}</b> {{ t('scout.sum.inAll')
          }}<template v-if="sample.all.totalLow !== null && sample.all.totalHigh !== null"
            >,
            {{
              t('scout.sum.interval', {
                low: sample.all.totalLow.toLocaleString(formats()),
                high: sample.all.totalHigh.toLocaleString(formats()),
              })
            }}</template
          >
        </p>
        <div class="table-wrap">
          <table>
            <thead>
              <tr>
                <th>{{ t('scout.sum.where') }}</th>
                <th>{{ t('scout.plots.title') }}</th>
                <th>{{ t('scout.sum.mean') }}</th>
                <th>{{ t('scout.sum.error') }}</th>
                <th>{{ t('scout.sum.low') }}</th>
                <th>{{ t('scout.sum.needed', { percent: sample.wanted }) }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(e, i) in sample.each" :key="i">
                <td>{{ e.zone ?? t('scout.sum.wholePatch') }}</td>
                <td>{{ e.plots }}</td>
                <td>{{ format(e.mean) }}</td>
                <td>{{ format(e.standardError) }}</td>
                <td>{{ e.low ? `${format(e.low)} – ${format(e.high)}` : t('scout.sum.onePlot') }}</td>
                <td>
                  {{
                    e.still === null
                      ? '—'
                      : e.still === 0
                        ? t('scout.sum.enough')
                        : t('scout.sum.more', { n: e.still }, e.still)
                  }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </template>
    </section>
    <ChoiceField
      v-if="samples.length"
      v-model="share"
      :label="t('scout.sum.wanted')"
      :options="['0.1', '0.2', '0.3', '0.5'].map((s) => ({ value: s, label: `± ${Number(s) * 100} %` }))"
    />
    <p v-if="count.cover">
      <b>{{ count.cover.name }}</b> {{ t('scout.cover.said', { day: dayText(count.cover.visitedOn, true) })
      }}<template v-if="count.cover.covered"
        >: {{ t('scout.cover.about', { area: format(count.cover.covered) }) }}</template
      >
    </p>
    <details v-if="count.history.length">
      <summary>{{ t('scout.history.title', { n: count.history.length }, count.history.length) }}</summary>
      <ul class="ruled plain small">
        <li v-for="h in count.history" :key="h.id">
          <b>{{ dayText(h.visitedOn, true) }}</b> {{ t(`scout.kind.${h.kind}`)
          }}<template v-if="h.zone"> · {{ h.zone }}</template
          ><template v-if="h.stems !== null"> · {{ t('scout.history.stems', { n: h.stems }) }}</template>
          <span class="soft"> · {{ h.by }}, {{ h.at ? new Date(h.at).toLocaleString(formats()) : '' }}</span>
        </li>
      </ul>
    </details>
  </div>
</template>

<style scoped>
.est {
  border: 1px dashed var(--ink);
  padding: 0 6px;
  font-size: var(--size-s);
}
.histogram {
  margin: 0;
  display: grid;
  gap: 4px;
}
.bar-row {
  display: flex;
  align-items: center;
  gap: 8px;
}
.class {
  flex: 0 0 10.5em;
  font-size: var(--size-s);
  text-align: right;
}
.bar {
  height: 18px;
  background: var(--sloe);
  min-width: 2px;
}
.bar.hollow {
  background: repeating-linear-gradient(135deg, var(--sloe) 0 3px, transparent 3px 7px);
  border: 1px solid var(--sloe);
}
dl {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 2px 16px;
  margin: 0;
}
dt {
  color: var(--ink-soft);
  font-size: var(--size-s);
}
dd {
  margin: 0;
}
.line {
  display: block;
  font-size: var(--size-s);
}
</style>
