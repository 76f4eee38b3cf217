<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

/** All data as one file, and the end of a crew. */
defineProps<{ crew: Schemas['Crew'] }>();
const { t } = useI18n();
const { set } = useSession();
const client = useQueryClient();
const router = useRouter();
const { busy, refusal, run, at } = useSubmit();
const name = ref('');
const close = async (): Promise<void> => {
  const out = await run(() => unwrap(api.POST('/crew/close', { body: { name: name.value } })));
  if (!out) return;
  client.clear();
  set(out);
  await router.push({ name: 'sign-in' });
};
</script>

<template>
  <div class="bench">
    <section class="stack" aria-labelledby="bundle-h">
      <h2 id="bundle-h">{{ t('crew.bundle') }}</h2>
      <p>{{ t('crew.bundleHelp') }}</p>
      <p>
        <a class="btn" href="/api/v1/crew/bundle" download="thicket-bundle.zip">{{ t('crew.bundleTake') }}</a>
      </p>
    </section>
    <section class="stack why" aria-labelledby="close-h">
      <h2 id="close-h">{{ t('crew.close') }}</h2>
      <p>{{ t('crew.closeHelp') }}</p>
      <p v-if="crew.keptUntil">{{ t('crew.keptUntil', { day: dayText(crew.keptUntil, true) }) }}</p>
      <form class="stack" novalidate @submit.prevent="close">
        <TextField v-model="name" :label="t('crew.closeName', { name: crew.name })" :fault="at('/name')" />
        <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
        <ActButton type="submit" :busy="busy">{{ t('crew.closeNow') }}</ActButton>
      </form>
    </section>
  </div>
</template>
