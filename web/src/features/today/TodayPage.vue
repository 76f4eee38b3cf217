<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { todayHoursQuery, todayQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import { momentText } from '@/features/when/hours';
import EmptyState from '@/components/feedback/EmptyState.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import { groundsOf, groupsOf, NOBODY, peopleOf } from './groups';

/** What is next, the furthest along first, each group with the reason why it comes there. */

const { t } = useI18n();
const { data, isPending, error } = useQuery(todayQuery());
const { data: hours } = useQuery(todayHoursQuery());
/** Jobs that may be done, with the line of their stand. */
const jobs = computed(() =>
  (hours.value?.lines ?? []).flatMap((h) => {
    const line = data.value?.lines.find((l) => l.id === h.standId);
    return line ? [{ ...h, line }] : [];
  }),
);
const open = computed(() => jobs.value.filter((j) => j.openUntil !== null));
/** What the season shuts within three weeks, the soonest first. */
const SOON_DAYS = 21;
const closing = computed(() => {
  const from = Date.parse(data.value?.day ?? '');
  return jobs.value
    .filter((j) => j.lastDay !== null && Date.parse(j.lastDay) - from <= SOON_DAYS * 86_400_000)
    .sort((a, b) => (a.lastDay ?? '').localeCompare(b.lastDay ?? ''));
});
const soonest = computed(
  () => jobs.value.filter((j) => j.next).sort((a, b) => (a.next?.from ?? '').localeCompare(b.next?.from ?? ''))[0],
);
const due = computed(() => data.value?.lookBacks.filter((l) => l.due) ?? []);
const later = computed(() => data.value?.lookBacks.filter((l) => !l.due) ?? []);
const grounds = computed(() => groundsOf(data.value?.lines ?? []));
const ground = ref('');
const people = computed(() => peopleOf(data.value?.lines ?? []));
const who = ref('');
const groups = computed(() =>
  data.value ? groupsOf(data.value.lines, data.value.day, { ground: ground.value, who: who.value }) : [],
);
</script>

<template>
  <div class="stack">
    <h1>{{ data ? dayText(data.day, true) : t('station.today') }}</h1>
    <p v-if="error" class="fault" role="alert">{{ error.message }}</p>
    <p v-else-if="isPending" role="status">{{ t('frame.loading') }}</p>
    <EmptyState v-else-if="data && data.lines.length === 0" :said="t('today.empty')">
      <RouterLink class="btn main" :to="{ name: 'ground' }">{{ t('today.toGround') }}</RouterLink>
    </EmptyState>
    <div v-else-if="data" class="bench">
      <section class="stack" aria-labelledby="next-h">
        <template v-if="hours?.lines.length">
          <h2>{{ t('today.openNow') }}</h2>
          <ul v-if="open.length" class="ruled lines">
            <li v-for="o in open" :key="o.standId">
              <RouterLink :to="{ name: 'when', params: { stand: o.standId } }" class="line">
                <span
                  ><b>{{ o.line.name }}</b
                  ><br /><span class="soft small">{{ o.line.patch }}, {{ o.line.ground }}</span></span
                >
                <span class="act">{{
                  t('today.openTill', { time: momentText(o.openUntil ?? '', o.openUntil ?? '') })
                }}</span>
              </RouterLink>
            </li>
          </ul>
          <p v-else>
            {{ t('today.nothingOpen') }}
            <RouterLink v-if="soonest" :to="{ name: 'when', params: { stand: soonest.standId } }">{{
              t('today.nextOpen', { name: soonest.line.name, time: momentText(soonest.next!.from, `${data.day}T`) })
            }}</RouterLink>
          </p>
        </template>
        <h2 id="next-h">{{ t('today.next') }}</h2>
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
        <p v-if="groups.length === 0" class="soft">{{ t('today.noneSo') }}</p>
        <template v-if="closing.length">
          <h3>{{ t('today.closing') }}</h3>
          <ul class="ruled lines">
            <li v-for="c in closing" :key="c.standId">
              <RouterLink :to="{ name: 'when', params: { stand: c.standId } }" class="line">
                <span
                  ><b>{{ c.line.name }}</b
                  ><br /><span class="soft small">{{ c.line.patch }}, {{ c.line.ground }}</span></span
                >
                <span class="act">{{ t('today.lastDay', { day: dayText(c.lastDay ?? '') }) }}</span>
              </RouterLink>
            </li>
          </ul>
        </template>
        <section v-for="(group, i) in groups" :key="group.code" :aria-labelledby="`group-${group.code}`">
          <h3 :id="`group-${group.code}`">
            {{ t(`today.group.${group.code}`, { n: group.lines.length }, group.lines.length) }}
            <span v-if="i === 0" class="soft small">{{ t('today.first') }}</span>
          </h3>
          <p class="soft small why-now">{{ t(`today.why.${group.code}`) }}</p>
          <ul class="ruled lines">
            <li v-for="line in group.lines" :key="line.id">
              <RouterLink :to="{ name: line.station, params: { stand: line.id } }" class="line">
                <span
                  ><b>{{ line.name }}</b
                  ><br /><span class="soft small"
                    >{{ line.patch }}, {{ line.ground
                    }}<template v-if="line.assignee"> · {{ line.assignee.name }}</template></span
                  ></span
                >
                <!-- the heading says what is next; here only what is of this line alone -->
                <span class="act">
                  <template v-if="group.code === 'later' || group.code === 'judged'">{{ line.act.text }}</template>
                  <span v-if="group.code === 'later' && line.from" class="soft">
                    · {{ t('today.from', { day: dayText(line.from, true) }) }}</span
                  >
                  <span v-if="line.lookAlikesOpen" class="fault">{{ t('today.lookAlike') }}</span>
                </span>
              </RouterLink>
            </li>
          </ul>
        </section>
        <p v-if="data.more" class="small soft">{{ t('today.more', { n: data.more }) }}</p>
      </section>
      <section class="stack why" aria-labelledby="due-h">
        <h2 id="due-h">{{ t('today.lookBacks') }}</h2>
        <p v-if="due.length + later.length === 0" class="soft">{{ t('today.noLookBacks') }}</p>
        <ul class="ruled lines">
          <li v-for="l in [...due, ...later]" :key="l.recordId">
            <RouterLink :to="{ name: 'look-back', params: { stand: l.standId } }" class="line">
              <span
                ><b>{{ l.name }}</b
                ><br /><span class="soft small">{{ l.patch }}</span></span
              >
              <span class="act">{{
                l.due
                  ? t('today.due', { day: dayText(l.judgeAfter, true) })
                  : t('today.notBefore', { day: dayText(l.judgeAfter, true) })
              }}</span>
            </RouterLink>
          </li>
        </ul>
        <template v-if="hours?.looks.length">
          <h2>{{ t('today.looks') }}</h2>
          <ul class="ruled lines">
            <li v-for="l in hours.looks" :key="l.ground + l.species">
              <RouterLink :to="{ name: 'species', params: { id: l.species } }" class="line">
                <span
                  ><b>{{ l.name }}</b
                  ><br /><span class="soft small"
                    >{{ l.ground }} · {{ t(`today.look.${l.why}`)
                    }}<template v-if="l.fruitIsRipe"> · {{ t('today.fruitRipe') }}</template></span
                  ></span
                >
                <span class="act">{{ t('today.openTill', { time: dayText(l.until) }) }}</span>
              </RouterLink>
            </li>
          </ul>
        </template>
        <template v-if="data.shed.length">
          <h2>{{ t('today.shed') }}</h2>
          <ul class="ruled lines">
            <li v-for="r in data.shed" :key="r.code + r.text">
              <RouterLink :to="{ name: 'shed', query: { view: r.view } }" class="line">
                <span>{{ r.text }}</span>
                <span class="act">{{ r.day ? t('today.since', { day: dayText(r.day) }) : '' }}</span>
              </RouterLink>
            </li>
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
.lines > li {
  padding: 0;
}
.line {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 9px 4px;
  color: inherit;
  text-decoration: none;
  min-height: 56px;
  align-items: center;
}
.line:hover {
  background: var(--lichen-deep);
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
.act {
  text-align: right;
  color: var(--sloe);
  font-weight: 600;
}
</style>
