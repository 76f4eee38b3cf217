<script setup lang="ts">
import { formats } from '@/app/language';
import { useTemplateRef, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Refusal } from '@/api/client';
import { dayText, plusDays } from '@/components/dates';
import { useSubmit } from '@/composables/useSubmit';
import { along, dayAt, inOrder, isOpenOn, monthsWithin, type Placed, type Season, type SeasonJob } from './season';

/**
 * Every job as a line: when it is open, and the days it stands on. A tap opens it; at the desk its days are drawn along
 * the line, and it goes where it may.
 */
const props = defineProps<{ season: Season; mayMove: boolean }>();
const opened = defineModel<string>({ required: true });
const emit = defineEmits<{ refused: [refusal: Refusal | null] }>();
defineSlots<{ default(props: { job: SeasonJob; placed: Placed | null }): unknown }>();
const { t } = useI18n();
const { busy, refusal, run } = useSubmit();
const first = (): string => props.season.day;
const last = (): string => props.season.terms.last;
const left = (day: string): string => `${along(day, first(), last()) * 100}%`;
const width = (from: string, until: string): string =>
  `${(along(plusDays(until, 1), first(), last()) - along(from, first(), last())) * 100}%`;
const monthName = (day: string): string =>
  new Intl.DateTimeFormat(formats(), { month: 'short', timeZone: 'UTC' })
    .format(new Date(`${day}T00:00:00Z`))
    .slice(0, 3);
const said = (job: SeasonJob, placed: Placed | null): string =>
  [
    `${job.name}, ${job.patch}`,
    placed ? t('season.standsOn', { day: dayText(placed.parts[0]!.day) }) : t('season.noDay'),
    job.pinned ? t('season.pinned') : '',
  ]
    .filter(Boolean)
    .join('. ');

/** A block that is being drawn along its line. */
const drawn = ref<{ job: string; day: string } | null>(null);
const root = useTemplateRef<HTMLElement>('root');
const dayUnder = (e: PointerEvent): string => {
  const lane = root.value?.querySelector('.lane')?.getBoundingClientRect();
  return lane ? dayAt((e.clientX - lane.left) / lane.width, first(), last()) : first();
};
const take = (e: PointerEvent, job: SeasonJob, placed: Placed): void => {
  if (!props.mayMove || busy.value || e.pointerType === 'touch') return;
  drawn.value = { job: job.id, day: placed.parts[0]!.day };
  (e.target as HTMLElement).setPointerCapture(e.pointerId);
};
const draw = (e: PointerEvent): void => {
  if (drawn.value) drawn.value = { ...drawn.value, day: dayUnder(e) };
};
const drop = async (placed: Placed): Promise<void> => {
  const to = drawn.value;
  if (!to || to.day === placed.parts[0]?.day) {
    drawn.value = null;
    return;
  }
  opened.value = to.job;
  await run(
    () => unwrap(api.PUT('/season-plan/jobs/{step}', { params: { path: { step: to.job } }, body: { day: to.day } })),
    t('season.moved', { day: dayText(to.day) }),
  );
  drawn.value = null;
  emit('refused', refusal.value);
};
</script>

<template>
  <div ref="root" class="lanes">
    <div class="line head" aria-hidden="true">
      <span></span>
      <span class="lane">
        <span
          v-for="m in monthsWithin(season.day, season.terms.last)"
          :key="m"
          class="month"
          :style="{ left: left(m) }"
          >{{ monthName(m) }}</span
        >
      </span>
    </div>
    <ul class="plain">
      <li v-for="{ job, placed } in inOrder(season)" :key="job.id">
        <div class="line">
          <button
            type="button"
            class="name"
            :aria-expanded="opened === job.id"
            :aria-label="said(job, placed)"
            @click="opened = opened === job.id ? '' : job.id"
          >
            <span
              ><b v-if="!placed" class="fault">{{ t('season.noDayMark') }}</b> {{ job.name }}</span
            >
            <span class="small soft">{{ job.patch }}</span>
          </button>
          <span
            class="lane"
            :class="{ here: opened === job.id }"
            @click="opened = opened === job.id && !drawn ? '' : job.id"
          >
            <span
              v-for="m in monthsWithin(season.day, season.terms.last)"
              :key="m"
              class="rule"
              :style="{ left: left(m) }"
            ></span>
            <span
              v-for="span in job.open"
              :key="span.first"
              class="span"
              :class="{ care: span.withCare }"
              :style="{ left: left(span.first), width: width(span.first, span.last) }"
            ></span>
            <template v-if="placed">
              <span
                v-for="(part, i) in placed.parts"
                :key="part.day"
                class="mark"
                :class="{
                  pinned: job.pinned,
                  moves: mayMove,
                  shut: drawn?.job === job.id && !isOpenOn(job, drawn.day),
                }"
                :style="{ left: left(drawn?.job === job.id && i === 0 ? drawn.day : part.day) }"
                @pointerdown="take($event, job, placed)"
                @pointermove="draw"
                @pointerup="drop(placed)"
                @pointercancel="drawn = null"
              ></span>
            </template>
            <span v-if="drawn?.job === job.id" class="told" :style="{ left: left(drawn.day) }">{{
              dayText(drawn.day)
            }}</span>
          </span>
        </div>
        <section v-if="opened === job.id" class="stack opened" :aria-label="job.name">
          <slot :job="job" :placed="placed"></slot>
        </section>
      </li>
    </ul>
    <p class="legend small">
      <span class="pair"><i class="key span"></i> {{ t('season.open') }}</span>
      <span class="pair"><i class="key span care"></i> {{ t('season.openWithCare') }}</span>
      <span class="pair"><i class="key dot"></i> {{ t('season.day') }}</span>
      <span class="pair"><i class="key dot pinned"></i> {{ t('season.pinned') }}</span>
    </p>
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 17em minmax(0, 1fr);
  align-items: stretch;
  border-top: 1px solid var(--rule);
}
.line.head {
  border: 0;
}
.head .lane {
  height: 20px;
}
.name {
  display: grid;
  text-align: left;
  background: none;
  border: 0;
  padding: 6px 10px 6px 0;
  cursor: pointer;
  min-height: var(--touch);
  align-content: center;
  line-height: 1.2;
}
.name[aria-expanded='true'] > span:first-child {
  font-weight: 650;
}
.lane {
  position: relative;
  display: block;
  cursor: pointer;
  overflow: hidden;
}
.lane.here {
  background: var(--lichen-deep);
}
.opened {
  padding: 8px 0 16px 17em;
}
.month {
  position: absolute;
  font-size: var(--size-s);
  padding-left: 3px;
  border-left: 1px solid var(--rule);
}
.rule {
  position: absolute;
  top: 0;
  bottom: 0;
  border-left: 1px solid var(--rule);
}
.lane > .span {
  position: absolute;
  top: calc(50% - 5px);
  height: 10px;
  min-width: 2px;
}
.span {
  background: var(--moss-fill);
  border: 1px solid var(--moss);
}
.span.care {
  background: var(--gorse-fill);
  border-color: var(--gorse);
}
.mark {
  position: absolute;
  top: calc(50% - 15px);
  width: 10px;
  height: 30px;
  margin-left: -2px;
  background: var(--sloe);
  outline: 2px solid var(--lichen);
  touch-action: none;
}
.mark.moves {
  cursor: ew-resize;
}
.pinned {
  border-top: 8px solid var(--ink);
}
.mark.shut {
  background: var(--haw);
}
.told {
  position: absolute;
  top: 0;
  margin-left: 14px;
  padding: 0 6px;
  background: var(--ink);
  color: var(--lichen);
  font-size: var(--size-s);
  white-space: nowrap;
  z-index: 2;
}
.legend,
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: center;
}
.pair {
  gap: 6px;
}
.legend {
  border-top: 1px solid var(--rule);
  padding-top: 8px;
}
.key.span {
  width: 22px;
  height: 10px;
}
.key.dot {
  width: 10px;
  height: 20px;
  background: var(--sloe);
}
@media (max-width: 860px) {
  .line {
    grid-template-columns: minmax(0, 1fr);
  }
  .line.head > span:first-child {
    display: none;
  }
  .name {
    padding-bottom: 0;
  }
  .line > .lane {
    height: 34px;
  }
  .opened {
    padding-left: 0;
  }
  .head > .lane {
    height: 20px;
  }
}
</style>
