<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { AMENDED } from '@/api/vocabulary';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

/** What was put right after a record was signed: added to it, never written over. */
const props = defineProps<{ record: Schemas['Record'] }>();
const { t } = useI18n();
const { mayWrite } = useSession();
const { busy, refusal, run, at } = useSubmit();
const opened = ref(false);
const form = ref<{ field: (typeof AMENDED)[number]; text: string; why: string }>({
  field: 'treated',
  text: '',
  why: '',
});
const nameOf = (name: string): string => t(name === 'other' ? 'look.otherField' : `record.${name}`);
const add = async (): Promise<void> => {
  const done = await run(() =>
    unwrap(
      api.POST('/records/{record}/amendments', { params: { path: { record: props.record.id } }, body: form.value }),
    ),
  );
  if (!done) return;
  form.value = { field: 'treated', text: '', why: '' };
  opened.value = false;
};
</script>

<template>
  <section class="stack" aria-labelledby="amend-h">
    <h3 id="amend-h">{{ t('look.amendments') }}</h3>
    <p v-if="record.amendments.length === 0" class="small soft">{{ t('look.noAmendments') }}</p>
    <ul v-else class="plain ruled small">
      <li v-for="a in record.amendments" :key="a.id">
        <b>{{ nameOf(a.field) }}</b>: {{ a.text }}
        <span class="soft">{{ a.why }} · {{ a.by }}, {{ dayText(a.at.slice(0, 10), true) }}</span>
      </li>
    </ul>
    <ActButton v-if="mayWrite && !opened" small quiet class="start" @click="opened = true">{{
      t('look.amend')
    }}</ActButton>
    <form v-if="opened" class="stack" novalidate @submit.prevent="add">
      <ChoiceField
        v-model="form.field"
        :label="t('look.amendField')"
        :fault="at('/field')"
        :options="AMENDED.map((f) => ({ value: f, label: nameOf(f) }))"
      />
      <TextField v-model="form.text" :label="t('look.amendText')" :fault="at('/text')" maxlength="2000" />
      <TextField v-model="form.why" :label="t('look.amendWhy')" :fault="at('/why')" maxlength="500" />
      <div class="row">
        <ActButton main type="submit" :busy="busy">{{ t('look.amendAdd') }}</ActButton>
        <ActButton quiet @click="opened = false">{{ t('fieldMode.leaveIt') }}</ActButton>
      </div>
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    </form>
  </section>
</template>
