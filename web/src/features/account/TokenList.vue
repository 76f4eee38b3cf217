<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

/** Tokens for one's own scripts: told once, taken back at any time. */
defineProps<{ me: Schemas['Me'] }>();
const { t } = useI18n();
const { mayWrite } = useSession();
const { busy, refusal, run, at } = useSubmit();
const form = ref({ name: '', writes: false, days: '365' });
const told = ref('');
const give = async (): Promise<void> => {
  const { name, writes, days } = form.value;
  const answer = await run(() =>
    unwrap(api.POST('/me/tokens', { body: { name, writes, days: /^\d+$/.test(days) ? Number(days) : 0 } })),
  );
  if (!answer) return;
  told.value = answer.token ?? '';
  form.value = { name: '', writes: false, days: '365' };
};
const takeBack = (accessToken: string): Promise<unknown> =>
  run(
    () => unwrap(api.DELETE('/me/tokens/{accessToken}', { params: { path: { accessToken } } })),
    t('account.token.taken'),
  );
const day = (at: string | null): string => dayText((at ?? '').slice(0, 10), true);
</script>

<template>
  <h2>{{ t('account.token.title') }}</h2>
  <p class="small soft">{{ t('account.token.help') }}</p>
  <ul v-if="me.tokens.length" class="plain ruled">
    <li v-for="k in me.tokens" :key="k.id" class="line">
      <span
        ><b>{{ k.name }}</b> {{ t(k.writes ? 'account.token.writes' : 'account.token.reads') }}<br /><span
          class="small soft"
          >{{ k.used ? t('account.token.used', { day: day(k.used) }) : t('account.token.unused') }}
          <template v-if="k.until">{{ t('account.token.until', { day: day(k.until) }) }}</template></span
        ></span
      >
      <ActButton small :busy="busy" @click="takeBack(k.id)">{{ t('account.token.takeBack') }}</ActButton>
    </li>
  </ul>
  <div v-if="told" class="note stack" role="status">
    <TextField :model-value="told" :label="t('account.token.told')" readonly />
    <ActButton quiet small class="start" @click="told = ''">{{ t('account.factor.kept') }}</ActButton>
  </div>
  <details>
    <summary>{{ t('account.token.give') }}</summary>
    <form class="stack narrow" novalidate @submit.prevent="give">
      <TextField v-model="form.name" :label="t('account.token.name')" :fault="at('/name')" maxlength="80" />
      <TickField v-if="mayWrite" v-model="form.writes" :label="t('account.token.mayWrite')" />
      <TextField
        v-model="form.days"
        :label="t('account.token.days')"
        :fault="at('/days')"
        width="7em"
        inputmode="numeric"
      />
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
      <ActButton type="submit" :busy="busy">{{ t('account.token.make') }}</ActButton>
    </form>
  </details>
</template>

<style scoped>
.line {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: start;
}
.narrow {
  max-width: 420px;
  padding-top: 8px;
}
</style>
