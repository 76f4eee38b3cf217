<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { api, unwrap } from '@/api/client';
import { spoken } from '@/app/language';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import DoorFrame from './DoorFrame.vue';
import { entered } from './leaving';

/** Somebody was asked to join, and does. */
const props = defineProps<{ token: string }>();
const { t } = useI18n();
const { set } = useSession();
const { busy, refusal, run, at } = useSubmit();
const router = useRouter();
const { data: asked, error } = useQuery({
  queryKey: ['invite', props.token],
  queryFn: () => unwrap(api.GET('/invites/{token}', { params: { path: { token: props.token } } })),
});
const form = ref({ name: '', email: '', password: '' });
watch(asked, (a) => a && (form.value = { ...form.value, name: a.name ?? '', email: a.email ?? '' }));
const FIELDS = ['name', 'email', 'password'] as const;
const join = async (): Promise<void> => {
  const who = await run(() =>
    unwrap(
      api.POST('/invites/{token}', {
        params: { path: { token: props.token } },
        body: { ...form.value, locale: spoken() },
      }),
    ),
  );
  if (!who) return;
  entered(who);
  set(who);
  await router.push({ name: 'today' });
};
</script>

<template>
  <DoorFrame>
    <h1>{{ t('join.title') }}</h1>
    <p v-if="error" class="fault" role="alert">{{ error.message }}</p>
    <form v-if="asked" class="stack" novalidate @submit.prevent="join">
      <p>{{ t('join.asked', { by: asked.by, crew: asked.crew }) }} {{ t(`crew.roleDoes.${asked.role}`) }}</p>
      <TextField
        v-for="f in FIELDS"
        :key="f"
        v-model="form[f]"
        :label="t(`door.${f}`)"
        :fault="at(`/${f}`)"
        :help="f === 'password' ? t('door.strong') : undefined"
        :type="f === 'password' ? 'password' : f === 'email' ? 'email' : 'text'"
        :autocomplete="f === 'password' ? 'new-password' : f === 'email' ? 'username' : 'name'"
      />
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
      <ActButton main type="submit" :busy="busy">{{ t('join.join') }}</ActButton>
      <p class="small soft">{{ t('door.care') }}</p>
    </form>
  </DoorFrame>
</template>
