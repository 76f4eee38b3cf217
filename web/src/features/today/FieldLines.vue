<script setup lang="ts">
import { onScopeDispose, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { jobNow, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import { clockAt, minutesText } from '@/features/field-mode/fieldLog';
import TodayLine from './TodayLine.vue';

/** Field days that go on, with the clocks that run; and those that nobody has signed for. */
defineProps<{ days: Schemas['Today']['field'] }>();
const { t } = useI18n();
const now = ref(jobNow().getTime());
const timer = setInterval(() => (now.value = jobNow().getTime()), 1000);
onScopeDispose(() => clearInterval(timer));
const clockText = (clock: Schemas['Today']['field'][number]['clocks'][number]): string => {
  const at = clockAt(clock, Date.parse(clock.startedAt), now.value);
  const name = clock.of ? `${clock.name} (${clock.of})` : clock.name;
  return at.next === null ? t('today.clockOver', { name }) : t('today.clockRuns', { name, time: minutesText(at.next) });
};
</script>

<template>
  <ul class="ruled lines">
    <TodayLine
      v-for="d in days"
      :key="d.sheetId"
      :to="
        d.late && !d.working.length
          ? { name: 'field-day', params: { stand: d.standId } }
          : { name: 'field', params: { sheet: d.sheetId } }
      "
      :name="d.name"
      :where="[d.patch, ...d.clocks.map(clockText)].join(' · ')"
      ><span :class="{ fault: d.late }">{{
        d.late
          ? t('today.unsigned', { day: dayText(d.day) })
          : d.working.length
            ? t('today.atWork', { names: d.working.join(', ') })
            : t('today.toSign')
      }}</span></TodayLine
    >
  </ul>
</template>
