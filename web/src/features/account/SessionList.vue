<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { formats } from '@/app/language';
import ActButton from '@/components/form/ActButton.vue';
import { useSubmit } from '@/composables/useSubmit';

/** Browsers in which one is signed in; a lost phone is signed out from here. */
defineProps<{ me: Schemas['Me'] }>();
const { t } = useI18n();
const { busy, refusal, run } = useSubmit();
const end = (open: string): Promise<unknown> =>
  run(() => unwrap(api.DELETE('/me/sessions/{open}', { params: { path: { open } } })), t('account.ended'));
const endOthers = (): Promise<unknown> => run(() => unwrap(api.DELETE('/me/sessions')), t('account.ended'));
/** A hand-held browser says "Mobi"; of what else it says of itself the first bracket tells the machine. */
const called = (agent: string): string => t(/Mobi/.test(agent) ? 'account.phone' : 'account.computer');
const machine = (agent: string): string => (/\(([^)]{1,60})/.exec(agent)?.[1] ?? '').split(';').slice(0, 2).join(',');
const when = (at: string): string =>
  new Date(at).toLocaleString(formats(), { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <h2>{{ t('account.sessions') }}</h2>
  <ul class="plain ruled">
    <li v-for="s in me.sessions" :key="s.id" class="line">
      <span
        ><b>{{ called(s.agent) }}</b
        ><template v-if="s.here"> ({{ t('account.here') }})</template><br /><span class="small soft"
          >{{ t('account.seen', { when: when(s.seen) }) }} {{ machine(s.agent) }} {{ s.from }}</span
        ></span
      >
      <ActButton v-if="!s.here" small :busy="busy" @click="end(s.id)">{{ t('account.end') }}</ActButton>
    </li>
  </ul>
  <p v-if="me.sessions.length > 1">
    <ActButton quiet small :busy="busy" @click="endOthers">{{ t('account.endOthers') }}</ActButton>
  </p>
  <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
</template>

<style scoped>
.line {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: start;
}
</style>
