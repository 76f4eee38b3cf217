<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { outlookQuery } from '@/api/queries';
import EmptyState from '@/components/feedback/EmptyState.vue';
import LoadFault from '@/components/feedback/LoadFault.vue';
import FigureChart from '@/components/figures/FigureChart.vue';
import PickField from '@/components/form/PickField.vue';
import { useSession } from '@/composables/useSession';
import OutlookTerms from './OutlookTerms.vue';

/** The years ahead of a stand: as planned, with a year left out, given up, without product, later, or left alone. */
const props = defineProps<{ stand: string; revision: number }>();
const { t } = useI18n();
const { format, mayWrite, units } = useSession();
const { data: outlook, error } = useQuery(computed(() => outlookQuery(props.stand)));
type Band = { low: number; use: number; high: number } | null;

const shown = ref('planned');
const course = computed(
  () => outlook.value?.courses.find((c) => c.id === shown.value) ?? outlook.value?.courses[0] ?? null,
);
/** A chart is drawn in the crew's units by what the server says. */
const scale = computed(() => outlook.value?.scale?.[units.value] ?? null);
const drawn = (n: number | undefined): number => Math.round((n ?? 0) * Number(scale.value?.factor ?? 1));
const steps = computed(() =>
  (course.value?.years ?? []).map((y) => ({
    label: y.year === 0 ? t('outlook.today') : String(y.year),
    told: format(y.plantsText),
    value: drawn(y.plants?.use),
    low: drawn(y.plants?.low),
    high: drawn(y.plants?.high),
  })),
);
const range = (band: Band | undefined): string =>
  !band ? t('outlook.unknown') : band.low === band.high ? `${band.use}` : `${band.use} (${band.low} – ${band.high})`;
const last = computed(() => outlook.value?.years ?? 0);
const keeps = computed(() => outlook.value?.courses.some((c) => c.crop !== null) ?? false);
const wet = computed(() => outlook.value?.courses.some((c) => c.litres === null || c.litres.high > 0) ?? false);
const priced = computed(() => outlook.value?.courses.some((c) => c.money !== null && c.money.high > 0) ?? false);
const to = (lacks: string) => ({
  name: lacks === 'way' ? 'methods' : 'scout',
  params: { stand: props.stand },
});
</script>

<template>
  <section class="stack" aria-labelledby="outlook-h">
    <h2 id="outlook-h">{{ t('outlook.heading') }}</h2>
    <LoadFault :of="error" />
    <EmptyState v-if="outlook?.lacks" :said="outlook.lacks.text">
      <RouterLink class="btn main" :to="to(outlook.lacks.code)">{{
        t(outlook.lacks.code === 'way' ? 'station.methods' : 'station.scout')
      }}</RouterLink>
    </EmptyState>
    <template v-if="outlook && course">
      <p class="lead">{{ format(course.text) }}</p>
      <p class="small soft">{{ format(outlook.since ?? null) }} {{ t('outlook.guess') }}</p>
      <PickField
        v-model="shown"
        :label="t('outlook.course')"
        :options="outlook.courses.map((c) => ({ value: c.id, label: c.name }))"
      />
      <div class="beside">
        <FigureChart
          :name="t('outlook.chart', { course: course.name })"
          :steps="steps"
          :unit="scale?.unit ?? ' '"
          :caption="t('outlook.band')"
        />
        <div
          class="table-wrap"
          tabindex="0"
          role="group"
          :aria-label="t('outlook.yearByYear', { course: course.name })"
        >
          <table>
            <caption>
              {{
                t('outlook.yearByYear', { course: course.name })
              }}
            </caption>
            <thead>
              <tr>
                <th>{{ t('outlook.year') }}</th>
                <th>{{ t(outlook.unit === 'stems' ? 'outlook.stems' : 'outlook.covered') }}</th>
                <th>{{ t('outlook.chance', { below: format(outlook.thresholdText ?? null) }) }}</th>
                <th>{{ t('outlook.seeds') }}</th>
                <th>{{ t('outlook.hours') }}</th>
                <th v-if="keeps">{{ t('outlook.kept') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="y in course.years" :key="y.year">
                <td>{{ y.year === 0 ? t('outlook.today') : y.year }}</td>
                <td>{{ format(y.plantsText) }}</td>
                <td>{{ y.chance }} %</td>
                <td>{{ y.seeds ? `${y.seeds.use} %` : t('outlook.unknown') }}</td>
                <td>{{ y.year === 0 ? '' : range(y.hours) }}</td>
                <td v-if="keeps">{{ y.kept ? `${y.kept.use} %` : '' }}</td>
              </tr>
            </tbody>
          </table>
        </div>
      </div>
      <div class="table-wrap wide" tabindex="0" role="group" :aria-label="t('outlook.compared', { n: last })">
        <table>
          <caption>
            {{
              t('outlook.compared', { n: last })
            }}
          </caption>
          <thead>
            <tr>
              <th>{{ t('outlook.course') }}</th>
              <th>{{ t('outlook.chance', { below: format(outlook.thresholdText ?? null) }) }}</th>
              <th>{{ t(outlook.unit === 'stems' ? 'outlook.stems' : 'outlook.covered') }}</th>
              <th>{{ t('outlook.hours') }}</th>
              <th v-if="wet">{{ t('outlook.mix') }}</th>
              <th v-if="priced">{{ t('outlook.money', { currency: outlook.currency ?? '' }) }}</th>
              <th v-if="keeps">{{ t('outlook.crop') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="c in outlook.courses" :key="c.id" :class="{ here: c.id === course.id }">
              <td>
                {{ c.name }}<span v-if="c.way" class="soft small"> · {{ c.way }}</span>
              </td>
              <td>{{ c.years[last]?.chance }} %</td>
              <td>{{ format(c.years[last]?.plantsText ?? null) }}</td>
              <td>{{ c.hours?.high ? range(c.hours) : '–' }}</td>
              <td v-if="wet">
                {{ c.litres === null ? t('outlook.unknown') : c.litres.high ? format(c.litresText) : '–' }}
              </td>
              <td v-if="priced">{{ c.money?.high === 0 ? '–' : range(c.money) }}</td>
              <td v-if="keeps">{{ c.crop && c.crop.use > last ? t('outlook.later', { n: last }) : range(c.crop) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <OutlookTerms :stand="stand" :revision="revision" :outlook="outlook" :may-write="mayWrite" />
    </template>
  </section>
</template>

<style scoped>
.lead {
  font-size: 20px;
}
.beside {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 24px;
}
@media (max-width: 1000px) {
  .beside {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (max-width: 760px) {
  .wide table {
    min-width: 640px;
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
