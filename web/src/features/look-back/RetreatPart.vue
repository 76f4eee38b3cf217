<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { api, unwrap, type Schemas } from '@/api/client';
import ActButton from '@/components/form/ActButton.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

/** What survived, what to do with it, and the way into another round. */
const props = defineProps<{ record: Schemas['Record']; stand: Schemas['Stand'] }>();
const { t } = useI18n();
const router = useRouter();
const { format, mayWrite } = useSession();
const { busy, refusal, run } = useSubmit();
const begin = async (): Promise<void> => {
  if (await run(() => unwrap(api.POST('/records/{record}/round', { params: { path: { record: props.record.id } } })))) {
    await router.push({ name: 'methods', params: { stand: props.stand.id } });
  }
};
</script>

<template>
  <section v-if="record.retreat" class="stack" aria-labelledby="retreat-h">
    <h3 id="retreat-h">{{ t('retreat.heading') }}</h3>
    <ul>
      <li v-for="(one, i) in record.retreat.said" :key="i">{{ format(one) }}</li>
    </ul>
    <div v-if="mayWrite && record.retreat.survivors > 0 && stand.step" class="row">
      <ActButton main :busy="busy" @click="begin">{{
        t('retreat.begin', { n: record.retreat.survivors }, record.retreat.survivors)
      }}</ActButton>
      <RouterLink class="btn" :to="{ name: 'scout', params: { stand: stand.id } }">{{ t('retreat.count') }}</RouterLink>
    </div>
    <p v-if="refusal" class="fault" role="alert">
      {{ refusal.message }}
      <RouterLink :to="{ name: 'scout', params: { stand: stand.id } }">{{ t('station.scout') }}</RouterLink>
    </p>
  </section>
</template>
