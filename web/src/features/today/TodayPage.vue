<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { calendarDaysQuery, todayHoursQuery, todayQuery } from '@/api/queries';
import { dayText, plusDays } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import { momentText } from '@/features/when/hours';
import EmptyState from '@/components/feedback/EmptyState.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import { useSession } from '@/composables/useSession';
import FieldLines from './FieldLines.vue';
import TodayLine from './TodayLine.vue';
import { groundsOf, groupsOf, isOf, type Line, NOBODY, peopleOf } from './groups';

/** What is next, the furthest along first, each group with the reason why it comes there. */

const KeptDays = defineAsyncComponent(() => import('@/features/field-mode/KeptDays.vue'));
const { t } = useI18n();
const { user, mayWrite } = useSession();
const { data, isPending, error, failureReason } = useQuery(todayQuery());
/** The first asking that fails is enough to show what the phone has; it is asked on meanwhile. */
const away = computed(() => (data.value ? null : (error.value ?? failureReason.value)));
const { data: hours } = useQuery(todayHoursQuery());
/** The device could not keep a sheet. */
const noRoom = ref(false);
// what is out is taken along while there is signal, once Today itself is there
watch(
  () => data.value?.sheets,
  (sheets) => {
    const me = user.value?.id;
    if (me && sheets?.length && mayWrite.value)
      void import('@/features/field-mode/takeAlong')
        .then((along) => along.takeAllAlong(me, sheets))
        .catch(() => (noRoom.value = true));
  },
  { immediate: true },
);
const ground = ref('');
const who = ref('');
/** Jobs that may be done, with the line of their stand. */
const jobs = computed(() =>
  (hours.value?.lines ?? []).flatMap((h) => {
    const line = data.value?.lines.find((l) => l.id === h.standId);
    return line && isOf(line, { ground: ground.value, who: who.value }) ? [{ ...h, line }] : [];
  }),
);
const open = computed(() => jobs.value.flatMap((j) => (j.openUntil ? [{ ...j, openUntil: j.openUntil }] : [])));
/** What the season shuts within three weeks, the soonest first. */
const SOON_DAYS = 21;
const closing = computed(() => {
  const from = Date.parse(data.value?.day ?? '');
  return jobs.value
    .flatMap((j) =>
      j.lastDay && Date.parse(j.lastDay) - from <= SOON_DAYS * 86_400_000 ? [{ ...j, lastDay: j.lastDay }] : [],
    )
    .sort((a, b) => a.lastDay.localeCompare(b.lastDay));
});
const soonest = computed(
  () => jobs.value.filter((j) => j.next).sort((a, b) => (a.next?.from ?? '').localeCompare(b.next?.from ?? ''))[0],
);
const whereOf = (line: Line): string => `${line.patch}, ${line.ground}`;
/** Jobs of the season plan in the week from today. */
const WEEK = 6;
const days = computed(() => {
  const day = data.value?.day;
  return { ...calendarDaysQuery(day ?? '', plusDays(day ?? '2026-01-01', WEEK), 'all'), enabled: day !== undefined };
});
const { data: calendar } = useQuery(days);
const planned = computed(() => calendar.value?.entries.filter((e) => e.kind === 'planned') ?? []);
const field = computed(() => data.value?.field.filter((d) => ground.value === '' || d.groundId === ground.value) ?? []);
const due = computed(() => data.value?.lookBacks.filter((l) => l.due) ?? []);
const later = computed(() => data.value?.lookBacks.filter((l) => !l.due) ?? []);
const grounds = computed(() => groundsOf(data.value?.lines ?? []));
const people = computed(() => peopleOf(data.value?.lines ?? []));
const groups = computed(() =>
  data.value ? groupsOf(data.value.lines, data.value.day, { ground: ground.value, who: who.value }) : [],
);
</script>

<template>
  <div class="stack">
    <h1>{{ data ? dayText(data.day, true) : t('station.today') }}</h1>
    <template v-if="away">
      <p class="fault" role="alert">{{ away.message }}</p>
      <KeptDays />
    </template>
    <p v-else-if="isPending" role="status">{{ t('frame.loading') }}</p>
    <EmptyState v-else-if="data && data.lines.length === 0" :said="t('today.empty')">
      <RouterLink class="btn main" :to="{ name: 'ground' }">{{ t('today.toGround') }}</RouterLink>
    </EmptyState>
    <div v-else-if="data" class="bench">
      <section class="stack" aria-labelledby="next-h">
        <div class="row narrowed">
          <div v-if="grounds.length > 1" class="row grounds" role="group" :aria-label="t('today.ofGround')">
            <ActButton
              v-for="g in [{ id: '', name: t('today.everyGround') }, ...grounds]"
              :key="g.id"
              small
              :class="{ main: ground === g.id }"
              :aria-pressed="ground === g.id"
              @click="ground = g.id"
              >{{ g.name }}</ActButton
            >
          </div>
          <ChoiceField
            v-if="people.length"
            v-model="who"
            :label="t('today.ofWhom')"
            width="16em"
            :options="[
              { value: '', label: t('today.everybody') },
              ...people.map((p) => ({ value: p.id, label: p.id === data?.person ? t('today.me', p) : p.name })),
              { value: NOBODY, label: t('today.nobody') },
            ]"
          />
        </div>
        <p v-if="noRoom" class="warn" role="alert">{{ t('fieldMode.noRoom') }}</p>
        <template v-if="field.length">
          <h2>{{ t('today.field') }}</h2>
          <FieldLines :days="field" />
        </template>
        <template v-if="jobs.length">
          <h2>{{ t('today.openNow') }}</h2>
          <ul v-if="open.length" class="ruled lines">
            <TodayLine
              v-for="o in open"
              :key="o.standId"
              :to="{ name: 'when', params: { stand: o.standId } }"
              :name="o.line.name"
              :where="whereOf(o.line)"
              >{{ t('today.openTill', { time: momentText(o.openUntil, `${data.day}T`) }) }}</TodayLine
            >
          </ul>
          <p v-else>
            {{ t('today.nothingOpen') }}
            <RouterLink v-if="soonest" :to="{ name: 'when', params: { stand: soonest.standId } }">{{
              t('today.nextOpen', { name: soonest.line.name, time: momentText(soonest.next!.from, `${data.day}T`) })
            }}</RouterLink>
          </p>
          <p v-if="hours?.more" class="small soft">{{ t('today.moreHours', { n: hours.more }, hours.more) }}</p>
        </template>
        <template v-if="planned.length">
          <h2>{{ t('today.planned') }}</h2>
          <ul class="ruled lines">
            <TodayLine v-for="e in planned" :key="e.id" :to="e.path" :name="e.title" :where="e.where">{{
              dayText(e.day)
            }}</TodayLine>
          </ul>
        </template>
        <p>
          <RouterLink :to="{ name: 'season' }">{{ t('today.season') }}</RouterLink> ·
          <RouterLink :to="{ name: 'accounts' }">{{ t('accounts.link') }}</RouterLink>
        </p>
        <h2 id="next-h">{{ t('today.next') }}</h2>
        <template v-if="closing.length">
          <h3>{{ t('today.closing') }}</h3>
          <ul class="ruled lines">
            <TodayLine
              v-for="c in closing"
              :key="c.standId"
              :to="{ name: 'when', params: { stand: c.standId } }"
              :name="c.line.name"
              :where="whereOf(c.line)"
              >{{ t('today.lastDay', { day: dayText(c.lastDay) }) }}</TodayLine
            >
          </ul>
        </template>
        <p v-if="groups.length === 0" class="soft">{{ t('today.noneSo') }}</p>
        <section v-for="(group, i) in groups" :key="group.code" :aria-labelledby="`group-${group.code}`">
          <h3 :id="`group-${group.code}`">
            {{ t(`today.group.${group.code}`, { n: group.lines.length }, group.lines.length) }}
            <span v-if="i === 0" class="soft small">{{ t('today.first') }}</span>
          </h3>
          <p class="soft small why-now">{{ t(`today.why.${group.code}`) }}</p>
          <ul class="ruled lines">
            <TodayLine
              v-for="line in group.lines"
              :key="line.id"
              :to="{ name: line.station, params: { stand: line.id } }"
              :name="line.name"
              :where="[whereOf(line), line.assignee?.name].filter(Boolean).join(' · ')"
            >
              <!-- the heading says what is next; here only what is of this line alone -->
              <template v-if="group.code === 'later' || group.code === 'judged'">{{ line.act.text }}</template>
              <span v-if="group.code === 'later' && line.from" class="soft">
                · {{ t('today.from', { day: dayText(line.from, true) }) }}</span
              >
              <span v-if="line.lookAlikesOpen" class="fault">{{ t('today.lookAlike') }}</span>
            </TodayLine>
          </ul>
        </section>
        <p v-if="data.more" class="small soft">{{ t('today.more', { n: data.more }) }}</p>
      </section>
      <section class="stack why" aria-labelledby="due-h">
        <h2 id="due-h">{{ t('today.lookBacks') }}</h2>
        <p v-if="due.length + later.length === 0" class="soft">{{ t('today.noLookBacks') }}</p>
        <ul class="ruled lines">
          <TodayLine
            v-for="l in [...due, ...later]"
            :key="l.recordId"
            :to="{ name: 'look-back', params: { stand: l.standId } }"
            :name="l.name"
            :where="l.patch"
            >{{ t(l.due ? 'today.due' : 'today.notBefore', { day: dayText(l.judgeAfter, true) }) }}</TodayLine
          >
        </ul>
        <template v-if="data.patrols.length">
          <h2>{{ t('today.patrols') }}</h2>
          <ul class="ruled lines">
            <TodayLine
              v-for="p in data.patrols"
              :key="p.standId"
              :to="{ name: 'look-back', params: { stand: p.standId } }"
              :name="p.name"
              :where="p.patch"
              >{{ t('today.due', { day: dayText(p.next, true) }) }}</TodayLine
            >
          </ul>
        </template>
        <template v-if="data.duties.length">
          <h2>{{ t('today.duties') }}</h2>
          <ul class="ruled lines">
            <TodayLine
              v-for="d in data.duties"
              :key="d.id"
              :to="
                d.standId
                  ? { name: 'field-day', params: { stand: d.standId } }
                  : { name: 'ground', query: { ground: d.groundId } }
              "
              :name="`${d.name[0]?.toUpperCase()}${d.name.slice(1)}: ${d.who}`"
              :where="d.ground"
              >{{ t(d.paper ? 'today.wantedBy' : 'today.tellBy', { day: dayText(d.by, true) }) }}</TodayLine
            >
          </ul>
        </template>
        <template v-if="data.standing.length">
          <h2>{{ t('today.standing') }}</h2>
          <ul class="ruled lines">
            <TodayLine
              v-for="s in data.standing"
              :key="s.id"
              :to="{ name: 'look-back', params: { stand: s.standId } }"
              :name="t('today.standingTrees', { n: s.count }, s.count)"
              :where="s.patch"
              >{{ t('today.due', { day: dayText(s.lookBy, true) }) }}</TodayLine
            >
          </ul>
        </template>
        <template v-if="hours?.looks.length">
          <h2>{{ t('today.looks') }}</h2>
          <ul class="ruled lines">
            <TodayLine
              v-for="l in hours.looks"
              :key="l.ground + l.species"
              :to="{ name: 'species', params: { id: l.species } }"
              :name="l.name"
              :where="
                [l.ground, t(`today.look.${l.why}`), l.fruitIsRipe ? t('today.fruitRipe') : '']
                  .filter(Boolean)
                  .join(' · ')
              "
              >{{ t('today.openTill', { time: dayText(l.until) }) }}</TodayLine
            >
          </ul>
        </template>
        <template v-if="data.shed.length">
          <h2>{{ t('today.shed') }}</h2>
          <ul class="ruled lines">
            <TodayLine
              v-for="r in data.shed"
              :key="r.code + r.text"
              :to="{ name: 'shed', query: { view: r.view } }"
              :name="r.text"
              >{{
                r.day ? t('today.since', { day: dayText(r.day, r.day.slice(0, 4) !== data.day.slice(0, 4)) }) : ''
              }}</TodayLine
            >
          </ul>
        </template>
        <p v-if="hours?.silent" class="note small">{{ hours.silent }}</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.lines {
  list-style: none;
  padding: 0;
}
@media (max-width: 600px) {
  .grounds {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  .grounds > .btn {
    flex: none;
  }
}
section > h3 {
  margin: 6px 0 0;
}
.why-now {
  margin: 2px 0 6px;
}
</style>
