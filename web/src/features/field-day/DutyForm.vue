<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { DUTY_STATES } from '@/api/vocabulary';
import ActButton from '@/components/form/ActButton.vue';
import DayField from '@/components/form/DayField.vue';
import PickField from '@/components/form/PickField.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

/** One thing that was settled with others, written down. */
const props = defineProps<{ stand: string; duty: Schemas['Duty']; ground: string; patch: string }>();
const emit = defineEmits<{ done: [] }>();
const { t } = useI18n();
const { today } = useSession();
const { busy, refusal, run, at } = useSubmit();
const sort = computed(() => (props.duty.kind === 'owner' ? 'owner' : props.duty.paper ? 'paper' : 'notice'));
const form = ref({
  state: 'done' as (typeof DUTY_STATES)[number],
  who: '',
  number: '',
  boundaryChecked: false,
  on: today(),
  until: '' as string | null,
  text: '',
  wholeGround: props.duty.kind === 'owner',
});
const ready = computed(() => form.value.who.trim() !== '' && Boolean(form.value.on));
const save = async (): Promise<void> => {
  const { state, who, number, boundaryChecked, on, until, text, wholeGround } = form.value;
  const kept = await run(() =>
    unwrap(
      api.POST('/stands/{stand}/duties', {
        params: { path: { stand: props.stand } },
        body: {
          kind: props.duty.kind,
          state,
          who,
          on,
          ...(props.duty.keeper ? { keeper: props.duty.keeper } : {}),
          ...(number.trim() ? { number } : {}),
          ...(until ? { until } : {}),
          ...(text.trim() ? { text } : {}),
          ...(props.duty.needsBoundary ? { boundaryChecked } : {}),
          ...(props.duty.paper ? { wholeGround } : {}),
        },
      }),
    ),
  );
  if (kept) emit('done');
};
</script>

<template>
  <form class="stack" novalidate @submit.prevent="save">
    <PickField
      v-model="form.state"
      :label="t('duty.how')"
      :fault="at('/state')"
      :options="DUTY_STATES.map((s) => ({ value: s, label: t(`duty.state.${sort}.${s}`) }))"
    />
    <div class="row">
      <TextField
        v-model="form.who"
        :label="t(`duty.who.${sort}.${form.state}`)"
        :fault="at('/who')"
        maxlength="120"
        width="16em"
      />
      <TextField
        v-if="duty.paper && form.state === 'done'"
        v-model="form.number"
        :label="t(duty.hasNumber ? 'duty.number' : 'duty.numberIfAny')"
        :fault="at('/number')"
        maxlength="80"
        width="10em"
      />
      <DayField
        v-model="form.on"
        :label="t(`duty.on.${duty.paper ? 'paper' : 'notice'}.${form.state}`)"
        :fault="at('/on')"
      />
      <DayField
        v-if="duty.paper && form.state !== 'under-way'"
        v-model="form.until"
        :label="t(duty.needsEnd ? 'duty.until' : 'duty.untilIfAny')"
        :fault="at('/until')"
      />
    </div>
    <TextField v-model="form.text" :label="t('duty.text')" :fault="at('/text')" maxlength="1000" />
    <TickField v-if="duty.needsBoundary && form.state !== 'under-way'" v-model="form.boundaryChecked">{{
      t('duty.boundary')
    }}</TickField>
    <p v-if="at('/boundaryChecked')" class="fault" role="alert">{{ at('/boundaryChecked') }}</p>
    <TickField v-if="duty.paper" v-model="form.wholeGround">{{ t('duty.wholeGround', { ground, patch }) }}</TickField>
    <div class="row">
      <ActButton main type="submit" :busy="busy" :disabled="!ready">{{ t('duty.save') }}</ActButton>
      <ActButton quiet :disabled="busy" @click="emit('done')">{{ t('duty.cancel') }}</ActButton>
    </div>
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
  </form>
</template>
