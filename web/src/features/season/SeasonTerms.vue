<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import DayField from '@/components/form/DayField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import type { Season } from './season';

/** Till when it is planned, with how much money and how much mix a day. */
const props = defineProps<{ season: Season }>();
const { t } = useI18n();
const { mayWrite, format } = useSession();
const { busy, refusal, run, at } = useSubmit();
const open = ref(false);
const last = ref(props.season.terms.last);
const money = ref(props.season.terms.money ?? '');
const mix = ref(props.season.terms.mixADay ? format(props.season.terms.mixADay) : '');
const keep = async (): Promise<void> => {
  const done = await run(() =>
    unwrap(
      api.PUT('/season-plan/terms', {
        params: { header: { 'If-Match': `"${props.season.terms.revision}"` } },
        body: {
          last: last.value,
          money: money.value.trim() || null,
          mixADay: mix.value.trim() || null,
        },
      }),
    ),
  );
  if (done) open.value = false;
};
</script>

<template>
  <p class="small">
    {{ t('season.till', { day: dayText(season.terms.last, true) }) }}
    {{
      season.terms.money === null
        ? t('season.noMoneyLimit')
        : t('season.moneyLimit', { money: `${season.terms.money} ${season.terms.currency ?? ''}` })
    }}
    <template v-if="season.terms.mixADay">{{ t('season.mixLimit', { mix: format(season.terms.mixADay) }) }}</template>
    <ActButton v-if="mayWrite && !open" quiet small @click="open = true">{{ t('season.change') }}</ActButton>
  </p>
  <form v-if="open" class="stack under" novalidate @submit.prevent="keep">
    <DayField v-model="last" :label="t('season.last')" :fault="at('/last')" :from="season.day" />
    <TextField
      v-model="money"
      :label="t('season.money', { currency: season.terms.currency ?? '' })"
      :fault="at('/money')"
      inputmode="decimal"
      width="10em"
      :help="t('season.moneyHelp')"
    />
    <QuantityField
      v-model="mix"
      :label="t('season.mix')"
      :fault="at('/mixADay')"
      :sample="t('season.mixSample')"
      :help="t('season.mixHelp')"
    />
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    <div class="row">
      <ActButton main type="submit" :busy="busy">{{ t('season.keepThis') }}</ActButton>
      <ActButton quiet @click="open = false">{{ t('frame.back') }}</ActButton>
    </div>
  </form>
</template>
