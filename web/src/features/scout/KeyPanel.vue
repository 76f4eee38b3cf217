<script setup lang="ts">
import { formats } from '@/app/language';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import KeyForm from './KeyForm.vue';
import { toGiven, toLists } from './seen';

const props = defineProps<{ stand: Schemas['Stand'] }>();
const { t } = useI18n();
const { user, mayWrite } = useSession();
const { busy, refusal, run } = useSubmit();

const seen = ref(toLists(props.stand.seen));
const { restoredAt, drop } = useDraft(() => (user.value ? draftKey(user.value.id, 'key', props.stand.id) : ''), seen);
const open = ref(!props.stand.confirmed && !props.stand.markedUnknown);

const confirm = async (species: string | null): Promise<void> => {
  const done = await run(() =>
    unwrap(
      api.POST('/stands/{stand}/sightings', {
        params: { path: { stand: props.stand.id } },
        body: { seen: toGiven(seen.value), tests: [], ...(species ? { species } : { unknown: true }) },
      }),
    ),
  );
  if (done) {
    await drop();
    open.value = false;
  }
};
</script>

<template>
  <section class="stack" aria-labelledby="key-h">
    <div class="row">
      <h2 id="key-h">{{ t('scout.what') }}</h2>
      <template v-if="!open">
        <span v-if="stand.confirmed"
          ><b>{{ stand.name }}</b
          >, {{ t('scout.confirmed') }}</span
        >
        <span v-else-if="stand.markedUnknown">{{ t('scout.unknown') }}</span>
        <RouterLink v-if="stand.species" :to="{ name: 'species', params: { id: stand.species } }">{{
          t('scout.page')
        }}</RouterLink>
        <ActButton small @click="open = true">{{ t('scout.again') }}</ActButton>
      </template>
    </div>
    <template v-if="open">
      <p v-if="restoredAt" class="note small">
        {{ t('frame.restored', { when: restoredAt.toLocaleString(formats()) }) }}
      </p>
      <KeyForm v-model="seen" :ground="stand.groundId">
        <template #candidate="{ candidate }">
          <ActButton v-if="mayWrite" small :disabled="busy" @click="confirm(candidate.id)">{{
            t('scout.itIs', { name: candidate.name })
          }}</ActButton>
        </template>
        <template #after>
          <ActButton v-if="mayWrite" quiet :disabled="busy" @click="confirm(null)">{{
            t('scout.staysUnknown')
          }}</ActButton>
          <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
        </template>
      </KeyForm>
    </template>
  </section>
</template>
