<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import ActButton from '@/components/form/ActButton.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TickField from '@/components/form/TickField.vue';
import TicksField from '@/components/form/TicksField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import type { Season } from './season';

/** One person's week. */
const props = defineProps<{ person: Season['people'][number] }>();
const { t } = useI18n();
const { isLead, format } = useSession();
const { busy, refusal, run, at } = useSubmit();
const WEEK = ['1', '2', '3', '4', '5', '6', '7'] as const;
const days = ref([...props.person.weekdays]);
const time = ref(format(props.person.timeADay));
const volunteer = ref(props.person.volunteer);
const changed = computed(
  () =>
    [...days.value].sort().join() !== props.person.weekdays.join() ||
    time.value.trim() !== format(props.person.timeADay) ||
    volunteer.value !== props.person.volunteer,
);
const keep = (): Promise<unknown> =>
  run(
    () =>
      unwrap(
        api.PUT('/season-plan/people/{person}', {
          params: { path: { person: props.person.id }, header: { 'If-Match': `"${props.person.revision}"` } },
          body: {
            weekdays: days.value,
            timeADay: time.value,
            volunteer: volunteer.value,
          },
        }),
      ),
    t('form.kept'),
  );
</script>

<template>
  <li class="stack">
    <h3>{{ person.name }}</h3>
    <TicksField
      v-model="days"
      :label="t('season.workdays', { name: person.name })"
      :disabled="!isLead"
      :options="WEEK.map((d) => ({ value: d, label: t(`season.weekday.${d}`) }))"
    />
    <div class="row">
      <QuantityField
        v-model="time"
        :label="t('season.timeADay', { name: person.name })"
        :fault="at('/timeADay')"
        width="8em"
        sample="6 h"
        :readonly="!isLead"
      />
      <TickField v-model="volunteer" :label="t('season.volunteer')" :disabled="!isLead" />
    </div>
    <ActButton v-if="isLead && changed" main small class="start" :busy="busy" @click="keep">{{
      t('season.keepThis')
    }}</ActButton>
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
  </li>
</template>
