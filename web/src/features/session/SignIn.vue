<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { api, unwrap } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import { entered } from './leaving';

const { t } = useI18n();
const { session, set } = useSession();
const { busy, refusal, run, at } = useSubmit();
const router = useRouter();
const route = useRoute();

const setup = computed(() => session.value?.setupNeeded ?? false);
const form = ref({ code: '', crew: '', name: '', email: '', password: '' });
const FIELDS = computed(() =>
  setup.value ? (['code', 'crew', 'name', 'email', 'password'] as const) : (['email', 'password'] as const),
);
const go = async (): Promise<void> => {
  const { code, crew, name, email, password } = form.value;
  const who = await run(() =>
    unwrap(
      setup.value
        ? api.POST('/setup', { body: { code, crew, name, email, password } })
        : api.POST('/session', { body: { email, password } }),
    ),
  );
  if (!who) return;
  entered(who);
  set(who);
  const to = route.query.to;
  await router.push(typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : { name: 'today' });
};
</script>

<template>
  <main class="door">
    <svg class="thorn" viewBox="0 0 60 400" aria-hidden="true">
      <path d="M30 400V0M30 60 54 40M30 130 8 108M30 210l26-18M30 290 6 268M30 350l18-12" />
    </svg>
    <form class="stack" novalidate @submit.prevent="go">
      <h1>Gallant Thicket</h1>
      <p>{{ setup ? t('door.setup') : t('door.intro') }}</p>
      <TextField
        v-for="field in FIELDS"
        :key="field"
        v-model="form[field]"
        :label="t(`door.${field}`)"
        :fault="at(`/${field}`)"
        :help="setup && field === 'password' ? t('door.strong') : undefined"
        :type="field === 'password' ? 'password' : field === 'email' ? 'email' : 'text'"
        :autocomplete="
          field === 'password' ? (setup ? 'new-password' : 'current-password') : field === 'email' ? 'username' : 'off'
        "
      />
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
      <ActButton main type="submit" :busy="busy">{{ setup ? t('door.begin') : t('door.signIn') }}</ActButton>
      <p v-if="session?.demo" class="small soft">{{ t('door.demo') }}</p>
      <p class="small soft">{{ t('door.care') }}</p>
    </form>
  </main>
</template>

<style scoped>
.door {
  min-height: 100vh;
  display: grid;
  grid-template-columns: minmax(40px, 1fr) minmax(0, 400px) 2fr;
  gap: 32px;
  align-items: center;
  padding: 24px;
}
form {
  grid-column: 2;
}
.thorn {
  height: 70vh;
  justify-self: end;
}
.thorn path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 5;
  stroke-linecap: round;
}
@media (max-width: 600px) {
  .door {
    grid-template-columns: minmax(0, 1fr);
  }
  form {
    grid-column: 1;
  }
  .thorn {
    display: none;
  }
}
</style>
