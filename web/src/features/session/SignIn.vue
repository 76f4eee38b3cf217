<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { api, unwrap } from '@/api/client';
import { spoken } from '@/app/language';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import PickField from '@/components/form/PickField.vue';
import TextField from '@/components/form/TextField.vue';
import DoorFrame from './DoorFrame.vue';
import { entered } from './leaving';

/** In by password, and by a code where a phone is set up; or the first account of an empty installation. */
const { t } = useI18n();
const { session, set } = useSession();
const { busy, refusal, run, at } = useSubmit();
const router = useRouter();
const route = useRoute();

const setup = computed(() => session.value?.setupNeeded ?? false);
const form = ref({ code: '', crew: '', name: '', email: '', password: '', phone: '' });
const units = ref<'us' | 'metric'>(navigator.language === 'en-US' ? 'us' : 'metric');
/** Once the server asked for it, it stays asked. */
const codeAsked = ref(false);
const FIELDS = computed(() =>
  setup.value ? (['code', 'crew', 'name', 'email', 'password'] as const) : (['email', 'password'] as const),
);
const go = async (): Promise<void> => {
  const { code, crew, name, email, password, phone } = form.value;
  const begins = setup.value;
  const who = await run(() =>
    unwrap(
      begins
        ? api.POST('/setup', {
            body: { code, crew, name, email, password, units: units.value, locale: spoken() },
          })
        : api.POST('/session', { body: { email, password, ...(phone ? { code: phone } : {}) } }),
    ),
  );
  if (!begins && at('/code')) codeAsked.value = true;
  if (!who) return;
  entered(who);
  set(who);
  const to = route.query.to;
  if (begins) await router.push({ name: 'welcome' });
  else await router.push(typeof to === 'string' && to.startsWith('/') && !to.startsWith('//') ? to : { name: 'today' });
};
</script>

<template>
  <DoorFrame>
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
      <TextField
        v-if="codeAsked"
        v-model="form.phone"
        :label="t('door.phoneCode')"
        :help="t('door.phoneHelp')"
        :fault="at('/code')"
        inputmode="numeric"
        autocomplete="one-time-code"
      />
      <PickField
        v-if="setup"
        v-model="units"
        :label="t('frame.unitsOf')"
        :options="(['us', 'metric'] as const).map((u) => ({ value: u, label: t(`frame.${u}`) }))"
      />
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
      <ActButton main type="submit" :busy="busy">{{ setup ? t('door.begin') : t('door.signIn') }}</ActButton>
      <p v-if="!setup">
        <RouterLink :to="{ name: 'forgotten', params: { token: '' } }">{{ t('door.forgotten') }}</RouterLink>
      </p>
      <p v-if="session?.demo" class="small soft">{{ t('door.demo') }}</p>
      <p class="small soft">{{ t('door.care') }}</p>
    </form>
  </DoorFrame>
</template>
