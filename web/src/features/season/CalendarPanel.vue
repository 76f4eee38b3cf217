<script setup lang="ts">
import { formats } from '@/app/language';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { calendarDaysQuery } from '@/api/queries';
import { dayText, plusDays } from '@/components/dates';
import LoadFault from '@/components/feedback/LoadFault.vue';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import { useDesk } from '@/composables/useDesk';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import { byDay, isOpenOn, otherMonth, weeksOf, type CalendarEntry, type Season } from './season';

/** A month as a wall calendar at the desk, or day by day; a planned job is drawn to another day, where it may go. */
const props = defineProps<{ season: Season }>();
const { t } = useI18n();
const { mayWrite } = useSession();
const { busy, refusal, run } = useSubmit();
const desk = useDesk();
const asList = ref<boolean | null>(null);
const list = computed(() => asList.value ?? !desk.value);
const who = ref<'all' | 'me'>('all');
const month = ref(props.season.day.slice(0, 7));
const weeks = computed(() => weeksOf(month.value));
const first = computed(() => (list.value ? `${month.value}-01` : weeks.value[0]![0]!));
const last = computed(() => (list.value ? plusDays(`${otherMonth(month.value, 1)}-01`, -1) : weeks.value.at(-1)![6]!));
const { data, error } = useQuery(computed(() => calendarDaysQuery(first.value, last.value, who.value)));
const days = computed(() => byDay(data.value?.entries ?? []));
const on = (day: string): CalendarEntry[] => days.value.find((d) => d.day === day)?.entries ?? [];
const monthText = computed(() =>
  new Intl.DateTimeFormat(formats(), { month: 'long', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(`${month.value}-01T00:00:00Z`),
  ),
);
const weekdays = computed(() =>
  weeks.value[0]!.map((day) =>
    new Intl.DateTimeFormat(formats(), { weekday: 'short', timeZone: 'UTC' }).format(new Date(`${day}T00:00:00Z`)),
  ),
);
/** The planned job that is being carried, and the day under it. */
const carried = ref<string | null>(null);
const over = ref('');
const mayGo = (day: string): boolean => {
  const job = props.season.jobs.find((j) => j.id === carried.value);
  return job !== undefined && isOpenOn(job, day);
};
const drop = async (day: string): Promise<void> => {
  const step = carried.value;
  carried.value = null;
  over.value = '';
  if (!step) return;
  await run(
    () => unwrap(api.PUT('/season-plan/jobs/{step}', { params: { path: { step } }, body: { day } })),
    t('season.moved', { day: dayText(day) }),
  );
};
</script>

<template>
  <div class="stack">
    <div class="row">
      <ActButton quiet small :aria-label="t('season.earlier')" @click="month = otherMonth(month, -1)">←</ActButton>
      <h2>{{ monthText }}</h2>
      <ActButton quiet small :aria-label="t('season.later')" @click="month = otherMonth(month, 1)">→</ActButton>
      <ActButton quiet small :aria-pressed="list" @click="asList = !list">{{
        t(list ? 'season.asMonth' : 'season.asList')
      }}</ActButton>
      <ChoiceField
        v-model="who"
        :label="t('season.whose')"
        width="12em"
        :options="[
          { value: 'all', label: t('season.ofAll') },
          { value: 'me', label: t('season.ofMe') },
        ]"
      />
    </div>
    <LoadFault :of="error" />
    <p v-if="refusal" class="fault" role="alert">{{ refusal.at('/day') ?? refusal.message }}</p>
    <ul v-if="list" class="plain ruled">
      <li v-for="d in days" :key="d.day" class="agenda" :class="{ today: d.day === season.day }">
        <b>{{ dayText(d.day) }}</b>
        <div class="stack tight">
          <RouterLink v-for="e in d.entries" :key="e.id" :to="e.path" class="entry" :class="e.kind"
            >{{ e.title }}<span v-if="e.where" class="small soft"> · {{ e.where }}</span></RouterLink
          >
        </div>
      </li>
      <li v-if="days.length === 0" class="soft">{{ t('season.nothingThen') }}</li>
    </ul>
    <table v-else class="month" :aria-busy="busy">
      <caption class="visually-hidden">
        {{
          monthText
        }}
      </caption>
      <thead>
        <tr>
          <th v-for="d in weekdays" :key="d" scope="col">{{ d }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="week in weeks" :key="week[0]">
          <td
            v-for="day in week"
            :key="day"
            :class="{
              other: day.slice(0, 7) !== month,
              today: day === season.day,
              goes: over === day && mayGo(day),
              shut: over === day && carried !== null && !mayGo(day),
            }"
            @dragover.prevent="over = day"
            @drop.prevent="drop(day)"
          >
            <span class="number">{{ Number(day.slice(8)) }}</span>
            <RouterLink
              v-for="e in on(day)"
              :key="e.id"
              :to="e.path"
              class="entry"
              :class="[e.kind, { moves: e.job && mayWrite }]"
              :draggable="Boolean(e.job && mayWrite)"
              :title="e.title"
              @dragstart="carried = e.job"
              @dragend="((carried = null), (over = ''))"
              >{{ e.title }}</RouterLink
            >
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="!list && mayWrite" class="small soft">{{ t('season.carry') }}</p>
  </div>
</template>

<style scoped>
.month {
  table-layout: fixed;
}
.month td {
  height: 96px;
  padding: 3px;
  border: 1px solid var(--rule);
}
.other {
  background: var(--lichen-deep);
}
.number {
  font-size: var(--size-s);
  color: var(--ink-soft);
}
.today .number,
.today > b {
  background: var(--ink);
  color: var(--lichen);
  padding: 0 5px;
  font-weight: 650;
}
.goes {
  outline: 3px solid var(--moss);
  outline-offset: -3px;
}
.shut {
  outline: 3px dashed var(--haw);
  outline-offset: -3px;
}
.entry {
  display: block;
  margin: 2px 0;
  padding: 2px 4px 2px 6px;
  border-left: 4px solid var(--rule);
  color: inherit;
  text-decoration: none;
  font-size: var(--size-s);
  line-height: 1.2;
  overflow-wrap: anywhere;
}
.entry:hover {
  background: var(--lichen-deep);
}
.month .entry {
  max-height: 3.7em;
  overflow: hidden;
}
.planned {
  border-color: var(--sloe);
  background: var(--sloe-pale);
}
.moves {
  cursor: grab;
}
.last-day {
  border-color: var(--haw);
}
.opens {
  border-color: var(--moss);
}
.look-back {
  border-color: var(--bark);
}
.agenda {
  display: grid;
  grid-template-columns: 6.5em minmax(0, 1fr);
  gap: 8px;
}
.agenda .entry {
  min-height: var(--touch);
  align-content: center;
}
.tight {
  gap: 2px;
}
</style>
