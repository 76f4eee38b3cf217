<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { jobDay } from '@/api/client';
import ActButton from '@/components/form/ActButton.vue';
import PickField from '@/components/form/PickField.vue';
import { useSession } from '@/composables/useSession';
import BriefingPart from './BriefingPart.vue';
import ClocksPart from './ClocksPart.vue';
import ClosePart from './ClosePart.vue';
import CountPart from './CountPart.vue';
import HappenedPart from './HappenedPart.vue';
import PicturePart from './PicturePart.vue';
import WayPart from './WayPart.vue';
import WeatherPart from './WeatherPart.vue';
import { beforeStart, clockAt, clocksOf, workingOf } from './fieldLog';
import { fetchTheirs } from './fieldSync';
import { sendNow, useSending } from './sending';
import { useAlarms } from './useAlarms';
import { useFieldDay } from './useFieldDay';

/** The field day in one hand: before, at work, afterwards; whatever is noted stays on this phone till it is sent. */
const props = defineProps<{ sheet: string }>();
const { t } = useI18n();
const { format, user } = useSession();
const { day, notes, pictures, refused, missing, by, full, add, addPicture, dropPicture, putAway } = useFieldDay(
  () => props.sheet,
);
const { state, unsent } = useSending();
const lookAgain = (): void => void (user.value && fetchTheirs(user.value.id, props.sheet));

const PARTS = ['before', 'work', 'after'] as const;
const part = ref<(typeof PARTS)[number]>('before');
const snapshot = computed(() => day.value?.sheet.snapshot ?? null);
const clocks = computed(() => snapshot.value?.field?.clocks ?? []);
const working = computed(() => workingOf(notes.value).has(by.value));

/** What keeps them from beginning, the first of it. */
const shut = computed(() => {
  if (!snapshot.value || part.value === 'after') return '';
  const lacks = beforeStart(snapshot.value, notes.value, by.value, jobDay(day.value?.timeZone ?? 'UTC'));
  // sheets that were brought by an older shell tell none
  const open = (day.value?.sheet.dutiesOpen as { us: string; metric: string }[] | undefined)?.[0];
  if (open) return `${t('fieldMode.stopNow')} ${format(open)}`;
  if (lacks.over[0])
    return t('fieldMode.paperOver', { name: lacks.over[0].name, day: lacks.over[0].settled?.until ?? '' });
  if (lacks.ticks) return t('fieldMode.firstTick', { n: lacks.ticks }, lacks.ticks);
  if (lacks.unread) return t('fieldMode.firstWeather');
  return lacks.outside[0] ? `${t('fieldMode.stopNow')} ${format(lacks.outside[0].text)}` : '';
});

/** Ground that nobody enters, and where this phone is in it. */
const entered = ref(0);
/** How many alarms have sounded by now: one more rings. */
const sounded = computed(() =>
  clocksOf(notes.value).reduce((sum, n) => {
    const clock = clocks.value.find((c) => c.code === n.clock);
    return sum + (clock ? clockAt(clock, Date.parse(n.at), now.value).sounded : 0);
  }, entered.value),
);
const { now, ready } = useAlarms(sounded);
const work = async (what: 'start' | 'pause' | 'stop'): Promise<void> => {
  ready();
  await add('work', { what });
  if (what === 'start') part.value = 'work';
};
</script>

<template>
  <main class="field" @pointerdown="ready">
    <header class="top">
      <RouterLink
        v-if="snapshot"
        class="back"
        :to="{ name: 'field-day', params: { stand: snapshot.standId } }"
        :aria-label="t('fieldMode.back')"
        >‹</RouterLink
      >
      <div class="what">
        <h1>{{ snapshot ? `${snapshot.method.name}: ${snapshot.target.name}` : t('station.field') }}</h1>
        <p v-if="day" class="small soft">
          {{ t('field.sheet', { n: day.sheet.number }) }} · {{ snapshot?.place.patch }}, {{ snapshot?.place.ground }}
        </p>
      </div>
      <button type="button" class="unsent" :class="{ some: unsent > 0 }" @click="sendNow()">
        {{ unsent ? t('fieldMode.unsent', { n: unsent }, unsent) : t('fieldMode.allSent') }}
        <span v-if="unsent" class="small">{{ t(`fieldMode.sending.${state}`) }}</span>
      </button>
    </header>

    <p v-if="missing" class="warn" role="alert">{{ t('fieldMode.missing') }} {{ missing }}</p>
    <p v-if="full" class="warn" role="alert">{{ t('fieldMode.full') }}</p>
    <p v-if="day?.withdrawn" class="warn" role="alert">{{ t('fieldMode.withdrawn') }}</p>
    <p v-if="day?.signed" class="note">{{ t('fieldMode.signed') }}</p>
    <div v-for="one in refused" :key="one.id" class="warn stack" role="alert">
      <p>
        <b>{{ t('fieldMode.refused') }}</b> {{ t(`fieldMode.kind.${one.note.kind}`) }}: {{ one.why }}
      </p>
      <ActButton small quiet class="start" @click="putAway(one.key)">{{ t('fieldMode.putAway') }}</ActButton>
    </div>

    <template v-if="day && snapshot">
      <PickField
        v-if="day.people.length > 1"
        v-model="by"
        :label="t('fieldMode.by')"
        :options="[...new Set([by, ...day.people])].map((p) => ({ value: p, label: p }))"
      />
      <BriefingPart v-if="part === 'before'" :day="day" :notes="notes" :by="by" @note="add" />
      <template v-if="part === 'work'">
        <ClocksPart running :clocks="clocks" :notes="notes" :now="now" @note="add" />
        <CountPart :groups="snapshot.field?.groups ?? []" :notes="notes" @note="add" />
        <ClocksPart :clocks="clocks" :notes="notes" :now="now" @note="add" />
        <HappenedPart :snapshot="snapshot" :notes="notes" @note="add" />
      </template>
      <!-- stays while one looks at another part: the way goes on -->
      <PicturePart
        v-show="part === 'work'"
        :notes="notes"
        :pictures="pictures"
        :keep="addPicture"
        @drop="dropPicture"
      />
      <WayPart
        v-show="part === 'work'"
        :sheet="sheet"
        :snapshot="snapshot"
        :notes="notes"
        @note="add"
        @entered="entered = $event"
        @brought="lookAgain"
      />
      <WeatherPart
        v-if="part !== 'after'"
        :limits="snapshot.startOnlyIf"
        :notes="notes"
        :time-zone="day.timeZone"
        @note="add"
      />
      <ClosePart v-if="part === 'after'" :day="day" :notes="notes" :by="by" @note="add" />
      <p v-if="part === 'before'" class="small soft">{{ t('door.care') }}</p>
    </template>
    <p v-else-if="!missing" role="status">{{ t('frame.loading') }}</p>

    <nav v-if="day" class="bottom" :aria-label="t('fieldMode.parts')">
      <div class="tabs">
        <button
          v-for="p in PARTS"
          :key="p"
          type="button"
          class="tab"
          :class="{ on: part === p }"
          :aria-pressed="part === p"
          @click="part = p"
        >
          {{ t(`fieldMode.part.${p}`) }}
        </button>
      </div>
      <p v-if="!working && shut" id="shut" class="small" role="status">{{ shut }}</p>
      <div class="acts">
        <ActButton v-if="!working" main big :disabled="shut !== ''" @click="work('start')">{{
          t('fieldMode.start')
        }}</ActButton>
        <template v-else>
          <ActButton big @click="work('pause')">{{ t('fieldMode.pause') }}</ActButton>
          <ActButton big main @click="work('stop').then(() => (part = 'after'))">{{ t('fieldMode.stop') }}</ActButton>
        </template>
      </div>
    </nav>
    <p class="visually-hidden" aria-live="polite">{{ snapshot ? format(snapshot.clock) : '' }}</p>
  </main>
</template>

<style scoped>
.field {
  max-width: 620px;
  margin: 0 auto;
  padding: 10px 14px 150px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
  align-content: start;
  min-height: 100vh;
}
.top {
  display: flex;
  align-items: center;
  gap: 10px;
  border-bottom: 2px solid var(--ink);
  padding-bottom: 8px;
}
.back {
  min-width: var(--touch);
  min-height: var(--touch);
  display: grid;
  place-items: center;
  font-size: var(--size-xl);
  text-decoration: none;
}
.what {
  flex: 1;
  min-width: 0;
}
h1 {
  font-size: var(--size-l);
}
.unsent {
  flex: none;
  max-width: 38%;
  min-height: var(--touch);
  border: 2px solid var(--rule);
  border-radius: var(--corner);
  background: transparent;
  padding: 2px 10px;
  font-weight: 650;
  display: grid;
  align-content: center;
}
.unsent.some {
  border-color: var(--gorse);
  background: var(--gorse-fill);
}
.bottom {
  position: fixed;
  inset: auto 0 0 0;
  background: var(--lichen);
  border-top: 2px solid var(--ink);
  display: grid;
  grid-template-columns: minmax(0, 620px);
  justify-content: center;
  gap: 8px;
  padding: 8px 14px calc(10px + env(safe-area-inset-bottom));
  z-index: 5;
}
.tabs,
.acts {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: 1fr;
  gap: 8px;
}
.tab {
  min-height: var(--touch);
  border: 0;
  border-bottom: 4px solid transparent;
  background: transparent;
  font-weight: 600;
}
.tab.on {
  border-color: var(--sloe);
  color: var(--sloe);
}
</style>
