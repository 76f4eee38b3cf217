<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import PickField from '@/components/form/PickField.vue';
import TextField from '@/components/form/TextField.vue';
import DoorFrame from './DoorFrame.vue';

/** Back in without the password: a letter with a link, or a code that a lead reads out. */
const props = defineProps<{ token: string }>();
const { t } = useI18n();
const { busy, refusal, run, at } = useSubmit();
const WAYS = ['letter', 'code'] as const;
const way = ref<(typeof WAYS)[number]>('letter');
const form = ref({ email: '', code: '', password: '' });
const sent = ref(false);
const done = ref(false);
const ask = async (): Promise<void> => {
  sent.value = (await run(() => unwrap(api.POST('/password-reset', { body: { email: form.value.email } })))) !== null;
};
const choose = async (): Promise<void> => {
  const { email, code, password } = form.value;
  done.value =
    (await run(() =>
      unwrap(
        api.PUT('/password-reset', {
          body: props.token ? { token: props.token, password } : { email, code, password },
        }),
      ),
    )) !== null;
};
</script>

<template>
  <DoorFrame>
    <h1>{{ t('forgotten.title') }}</h1>
    <template v-if="done">
      <p role="status">{{ t('forgotten.done') }}</p>
      <p>
        <RouterLink class="btn main" :to="{ name: 'sign-in' }">{{ t('door.signIn') }}</RouterLink>
      </p>
    </template>
    <form v-else-if="token || way === 'code'" class="stack" novalidate @submit.prevent="choose">
      <PickField
        v-if="!token"
        v-model="way"
        :label="t('forgotten.way')"
        :options="WAYS.map((w) => ({ value: w, label: t(`forgotten.ways.${w}`) }))"
      />
      <template v-if="!token">
        <p class="small soft">{{ t('forgotten.codeHelp') }}</p>
        <TextField v-model="form.email" :label="t('door.email')" :fault="at('/email')" type="email" />
        <TextField v-model="form.code" :label="t('forgotten.code')" :fault="at('/code')" autocomplete="off" />
      </template>
      <TextField
        v-model="form.password"
        :label="t('forgotten.password')"
        :help="t('door.strong')"
        :fault="at('/password')"
        type="password"
        autocomplete="new-password"
      />
      <p v-if="refusal && (at('/token') || !refusal.problem?.errors)" class="fault" role="alert">
        {{ at('/token') ?? refusal.message }}
      </p>
      <ActButton main type="submit" :busy="busy">{{ t('forgotten.keep') }}</ActButton>
    </form>
    <p v-else-if="sent" role="status">{{ t('forgotten.sent', { email: form.email }) }}</p>
    <form v-else class="stack" novalidate @submit.prevent="ask">
      <PickField
        v-model="way"
        :label="t('forgotten.way')"
        :options="WAYS.map((w) => ({ value: w, label: t(`forgotten.ways.${w}`) }))"
      />
      <TextField v-model="form.email" :label="t('door.email')" :fault="at('/email')" type="email" />
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
      <ActButton main type="submit" :busy="busy">{{ t('forgotten.send') }}</ActButton>
    </form>
    <p v-if="!done">
      <RouterLink :to="{ name: 'sign-in' }">{{ t('forgotten.back') }}</RouterLink>
    </p>
  </DoorFrame>
</template>
