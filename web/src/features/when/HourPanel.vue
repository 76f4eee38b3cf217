<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { hourQuery, hoursQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import VerdictMark, { type Outcome } from '@/components/figures/VerdictMark.vue';
import { useSession } from '@/composables/useSession';
import HourGrid from './HourGrid.vue';
import WeatherPanel from './WeatherPanel.vue';
import { hoursShown, momentText, timeOf } from './hours';

/** Can we go, with what, till when: the answer, the picture of ten days, and one hour with all that is said of it. */
const props = defineProps<{ stand: string; ground: string }>();
const { t } = useI18n();
const { format, today } = useSession();
const { data: board, error } = useQuery(computed(() => hoursQuery(props.stand)));
const all = computed(() => hoursShown(board.value?.days ?? []));
const at = ref('');
watch(board, (b) => {
  if (b && !all.value.some((h) => h.at === at.value)) at.value = b.next?.from ?? all.value[0]?.at ?? '';
});
const { data: hour } = useQuery(
  computed(() => ({ ...hourQuery(props.stand, at.value), enabled: at.value !== '' && Boolean(board.value) })),
);
const step = (by: 1 | -1): void => {
  const i = all.value.findIndex((h) => h.at === at.value);
  at.value = all.value[Math.min(all.value.length - 1, Math.max(0, i + by))]?.at ?? at.value;
};
const shut = computed(
  () => board.value?.conditions.filter((c) => c.opens !== board.value?.days[0]?.hours[0]?.at) ?? [],
);
</script>

<template>
  <section class="stack" aria-labelledby="hours-h">
    <h2 id="hours-h">{{ t('hours.title') }}</h2>
    <p v-if="error" class="note" role="alert">{{ error.message }}</p>
    <template v-else-if="board">
      <p class="headline">
        <template v-if="board.openUntil">{{
          t('hours.goTill', { time: momentText(board.openUntil, board.at) })
        }}</template>
        <template v-else-if="board.next">{{
          t('hours.next', { time: momentText(board.next.from, board.at) })
        }}</template>
        <template v-else>{{ t('hours.none') }}</template>
      </p>
      <p v-if="!board.openUntil && board.now.why">
        <VerdictMark :outcome="board.now.outcome as Outcome" :name="board.now.outcomeName" />
        {{ format(board.now.why) }}
      </p>
      <p v-if="board.best">
        {{ t('hours.best') }} <b>{{ momentText(board.best.from, board.at) }} – {{ timeOf(board.best.until) }}</b>
        <span class="soft"> ({{ board.best.surety }})</span>
      </p>
      <p v-if="board.forecast.stale" class="warn" role="alert">
        {{ t('hours.stale', { time: momentText(board.forecast.issued, board.at) }) }}
      </p>
      <div class="bench">
        <div class="stack">
          <HourGrid v-model="at" :days="board.days" :now="board.at" />
          <p class="small soft">
            {{ t('hours.from', { source: board.forecast.source, time: momentText(board.forecast.issued, board.at) }) }}
            <template v-if="board.forecast.notBelieved">{{
              t('hours.notBelieved', { n: board.forecast.notBelieved }, board.forecast.notBelieved)
            }}</template>
            {{ t('hours.measure') }}
          </p>
          <template v-if="shut.length">
            <h3>{{ t('hours.shutNow') }}</h3>
            <ul class="plain ruled">
              <li v-for="c in shut" :key="c.id">
                <b>{{ c.name }}</b> <span class="small soft">({{ t('hours.else', { what: c.threatens }) }})</span> ·
                {{ c.opens ? t('hours.opens', { time: momentText(c.opens, board.at) }) : t('hours.notInSight') }}
              </li>
            </ul>
          </template>
        </div>
        <section v-if="hour" class="stack why" aria-live="polite" :aria-label="t('hours.one')">
          <div class="row">
            <ActButton small :aria-label="t('hours.earlier')" @click="step(-1)">‹</ActButton>
            <h3 class="hour">{{ dayText(hour.at.slice(0, 10)) }} {{ timeOf(hour.at) }}</h3>
            <ActButton small :aria-label="t('hours.later')" @click="step(1)">›</ActButton>
            <VerdictMark :outcome="hour.outcome as Outcome" :name="hour.outcomeName" />
            <span class="small soft">{{ hour.surety }}</span>
          </div>
          <ul class="plain ruled">
            <li v-for="f in hour.findings" :key="f.condition" class="finding">
              <VerdictMark :outcome="f.outcome as Outcome" :name="f.outcomeName" />
              <span
                ><b>{{ f.name }}</b
                >: {{ format(f.text) }} <template v-if="f.change"> {{ format(f.change) }}</template>
                <span class="small soft"> {{ f.source }}</span></span
              >
            </li>
          </ul>
        </section>
      </div>
    </template>
    <WeatherPanel :ground="ground" :at="board?.at ?? `${today()}T00:00`" />
  </section>
</template>

<style scoped>
.hour {
  min-width: 9em;
  text-align: center;
}
.headline + p :deep(.mark) {
  vertical-align: middle;
}
.finding {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr);
  gap: 10px;
  padding: 6px 0;
}
</style>
