<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { meQuery } from '@/api/queries';
import { LOCALES, nameOf } from '@/app/language';
import LoadFault from '@/components/feedback/LoadFault.vue';
import ActButton from '@/components/form/ActButton.vue';
import PickField from '@/components/form/PickField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import CalendarFeed from '@/features/session/CalendarFeed.vue';
import SecondFactor from './SecondFactor.vue';
import SessionList from './SessionList.vue';
import TokenList from './TokenList.vue';

/** One's own account. */
const { t } = useI18n();
const { user, change } = useSession();
const { data: me, error } = useQuery(meQuery());
const { busy, refusal, run, at } = useSubmit();
const secret = useSubmit();
const form = ref({ name: '', email: '' });
watch(me, (m) => m && (form.value = { name: m.name, email: m.email }), { immediate: true });
const keep = (): Promise<unknown> => run(() => unwrap(api.PATCH('/me', { body: form.value })), t('account.kept'));
const words = ref({ current: '', password: '' });
const keepPassword = async (): Promise<void> => {
  const done = await secret.run(
    () => unwrap(api.PUT('/me/password', { body: words.value })),
    t('account.passwordKept'),
  );
  if (done) words.value = { current: '', password: '' };
};
</script>

<template>
  <div class="stack">
    <h1>{{ t('account.title') }}</h1>
    <LoadFault :of="error" />
    <div v-if="me" class="bench">
      <section class="stack" aria-labelledby="who-h">
        <h2 id="who-h">{{ t('account.who') }}</h2>
        <form class="stack narrow" novalidate @submit.prevent="keep">
          <TextField v-model="form.name" :label="t('door.name')" :fault="at('/name')" maxlength="120" />
          <TextField v-model="form.email" :label="t('door.email')" :fault="at('/email')" type="email" />
          <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
          <ActButton type="submit" :busy="busy">{{ t('account.keep') }}</ActButton>
        </form>
        <PickField
          :model-value="user?.locale"
          :label="t('account.language')"
          :options="LOCALES.map((l) => ({ value: l, label: nameOf(l) }))"
          @change="change({ locale: $event })"
        />
        <h2>{{ t('account.password') }}</h2>
        <form class="stack narrow" novalidate @submit.prevent="keepPassword">
          <p class="small soft">{{ t('account.passwordHelp') }}</p>
          <TextField
            v-model="words.current"
            :label="t('account.current')"
            :fault="secret.at('/current')"
            type="password"
            autocomplete="current-password"
          />
          <TextField
            v-model="words.password"
            :label="t('forgotten.password')"
            :help="t('door.strong')"
            :fault="secret.at('/password')"
            type="password"
            autocomplete="new-password"
          />
          <p v-if="secret.refusal.value && !secret.refusal.value.problem?.errors" class="fault" role="alert">
            {{ secret.refusal.value.message }}
          </p>
          <ActButton type="submit" :busy="secret.busy.value">{{ t('account.keepPassword') }}</ActButton>
        </form>
        <SecondFactor :me="me" />
      </section>
      <section class="stack why" :aria-label="t('account.sessions')">
        <SessionList :me="me" />
        <TokenList :me="me" />
        <CalendarFeed />
        <h2>{{ t('account.data') }}</h2>
        <p class="small soft">{{ t('account.dataHelp') }}</p>
        <p>
          <a class="btn quiet small" href="/api/v1/me/data" download="thicket-my-data.json">{{
            t('account.dataTake')
          }}</a>
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.narrow {
  max-width: 420px;
}
</style>
