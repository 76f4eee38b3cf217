<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import { useSubmit } from '@/composables/useSubmit';

/** A code of one's phone beside the password; codes on paper for the day on which the phone is lost. */
defineProps<{ me: Schemas['Me'] }>();
const { t } = useI18n();
const { busy, refusal, run, at } = useSubmit();
/** While a phone is set up: what it reads off the screen. */
const begun = ref<{ secret: string; drawing: string } | null>(null);
const code = ref('');
/** Told once. */
const codes = ref<string[] | null>(null);
const begin = async (): Promise<void> => {
  const answer = await run(() => unwrap(api.POST('/me/second-factor')));
  if (!answer) return;
  const { toString } = await import('qrcode');
  begun.value = {
    secret: answer.secret,
    drawing: await toString(answer.address, { type: 'svg', margin: 1, errorCorrectionLevel: 'M' }),
  };
};
const confirm = async (): Promise<void> => {
  const answer = await run(() => unwrap(api.PUT('/me/second-factor', { body: { code: code.value } })));
  if (!answer) return;
  [begun.value, code.value, codes.value] = [null, '', answer.codes];
};
const anew = async (): Promise<void> => {
  codes.value = (await run(() => unwrap(api.POST('/me/recovery-codes'))))?.codes ?? codes.value;
};
const off = async (): Promise<void> => {
  if (await run(() => unwrap(api.DELETE('/me/second-factor')), t('account.factor.isOff'))) codes.value = null;
};
const spaced = (secret: string): string => secret.replace(/(.{4})/g, '$1 ').trim();
</script>

<template>
  <h2>{{ t('account.factor.title') }}</h2>
  <p class="small soft">{{ t('account.factor.help') }}</p>
  <template v-if="begun">
    <p>{{ t('account.factor.scan') }}</p>
    <!-- drawn by the library from our own address: nothing of it was typed by anybody -->
    <!-- eslint-disable-next-line vue/no-v-html -->
    <div class="drawing" role="img" :aria-label="t('account.factor.drawing')" v-html="begun.drawing"></div>
    <p class="small">
      {{ t('account.factor.byHand') }} <span class="secret">{{ spaced(begun.secret) }}</span>
    </p>
    <form class="row" novalidate @submit.prevent="confirm">
      <TextField
        v-model="code"
        :label="t('door.phoneCode')"
        :fault="at('/code')"
        width="9em"
        inputmode="numeric"
        autocomplete="one-time-code"
      />
      <ActButton main type="submit" :busy="busy">{{ t('account.factor.turnOn') }}</ActButton>
    </form>
  </template>
  <template v-else-if="me.secondFactor.on">
    <p>
      <b>{{ t('account.factor.on', { day: dayText((me.secondFactor.since ?? '').slice(0, 10), true) }) }}</b>
      {{ t('account.factor.left', { n: me.secondFactor.recoveryCodes }, me.secondFactor.recoveryCodes) }}
    </p>
    <div class="row">
      <ActButton small :busy="busy" @click="anew">{{ t('account.factor.anew') }}</ActButton>
      <ActButton quiet small :busy="busy" @click="off">{{ t('account.factor.turnOff') }}</ActButton>
    </div>
  </template>
  <p v-else>
    <ActButton :busy="busy" @click="begin">{{ t('account.factor.begin') }}</ActButton>
  </p>
  <div v-if="codes" class="note stack" role="status">
    <p>{{ t('account.factor.codes') }}</p>
    <ul class="plain codes">
      <li v-for="c in codes" :key="c">{{ c }}</li>
    </ul>
    <ActButton quiet small class="start" @click="codes = null">{{ t('account.factor.kept') }}</ActButton>
  </div>
  <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
</template>

<style scoped>
.drawing {
  width: 200px;
  background: #fff;
}
.drawing :deep(svg) {
  display: block;
}
.secret,
.codes {
  font-family: var(--font-amount);
}
.codes {
  columns: 2;
  max-width: 20em;
}
</style>
