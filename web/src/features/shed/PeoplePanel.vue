<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import DayField from '@/components/form/DayField.vue';
import TextField from '@/components/form/TextField.vue';
import TicksField from '@/components/form/TicksField.vue';

/** Who is of the crew, until when their licence holds, and which tools they may use. */
defineProps<{ shed: Schemas['Shed'] }>();
const { t } = useI18n();
const { isLead } = useSession();
const { busy, refusal, run, at } = useSubmit();
type Person = Schemas['ShedPerson'];
const { data: book } = useQuery(handbookQuery());
const clearanceName = (id: string): string => book.value?.clearances.find((c) => c.id === id)?.name ?? id;
const blank = () => ({ name: '', licence: '', licenceClass: '', licenceUntil: '', clearances: [] as string[] });
const form = ref(blank());
const writing = ref<Person | 'new' | null>(null);
const edit = (p: Person): void => {
  form.value = {
    name: p.name,
    licence: p.licence ?? '',
    licenceClass: p.licenceClass ?? '',
    licenceUntil: p.licenceUntil ?? '',
    clearances: [...p.clearances],
  };
  writing.value = p;
};
const save = async (): Promise<void> => {
  const f = form.value;
  const body = {
    name: f.name,
    clearances: f.clearances,
    ...Object.fromEntries(
      (['licence', 'licenceClass', 'licenceUntil'] as const).filter((k) => f[k] !== '').map((k) => [k, f[k]]),
    ),
  };
  const old = writing.value;
  const done = await run(() =>
    old && old !== 'new'
      ? unwrap(
          api.PUT('/shed/people/{person}', {
            params: { path: { person: old.id }, header: { 'If-Match': `"${old.revision}"` } },
            body,
          }),
        )
      : unwrap(api.POST('/shed/people', { body })),
  );
  if (done) {
    writing.value = null;
    form.value = blank();
  }
};
</script>

<template>
  <div class="bench">
    <section class="stack" aria-labelledby="people-h">
      <h2 id="people-h">{{ t('shed.people') }}</h2>
      <p class="soft small">{{ t('people.help') }}</p>
      <ul class="plain ruled">
        <li v-for="p in shed.people" :key="p.id" class="head">
          <span
            ><b>{{ p.name }}</b
            ><br /><span class="small"
              >{{
                p.licence
                  ? t('shed.licence', { n: p.licence, day: p.licenceUntil ? dayText(p.licenceUntil, true) : '' })
                  : t('shed.noLicence')
              }}<template v-if="p.licenceClass"> ({{ p.licenceClass }})</template></span
            ><b v-if="p.licence && !p.licensed" class="fault"> {{ t('people.lapsed') }}</b
            ><br /><span class="soft small">{{
              p.clearances.length
                ? t('shed.cleared', { tools: p.clearances.map(clearanceName).join(', ') })
                : t('shed.noClearance')
            }}</span></span
          >
          <ActButton v-if="isLead" quiet small :aria-label="t('people.editOf', { name: p.name })" @click="edit(p)">{{
            t('people.edit')
          }}</ActButton>
        </li>
      </ul>
      <ActButton v-if="isLead && !writing" @click="writing = 'new'">{{ t('people.add') }}</ActButton>
    </section>
    <section class="stack why" :aria-label="t('people.add')">
      <form v-if="writing" class="stack" novalidate @submit.prevent="save">
        <h2>{{ writing === 'new' ? t('people.add') : writing.name }}</h2>
        <TextField v-model="form.name" :label="t('people.name')" :fault="at('/name')" maxlength="120" />
        <div class="row">
          <TextField v-model="form.licence" :label="t('people.licence')" maxlength="60" />
          <TextField v-model="form.licenceClass" :label="t('people.class')" maxlength="80" />
          <DayField v-model="form.licenceUntil" :label="t('people.until')" :fault="at('/licenceUntil')" />
        </div>
        <TicksField
          v-model="form.clearances"
          :label="t('people.clearances')"
          :options="(book?.clearances ?? []).map((c) => ({ value: c.id, label: c.name }))"
        />
        <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
        <div class="row">
          <ActButton main type="submit" :busy="busy">{{ t('people.keep') }}</ActButton><ActButton
            quiet
            @click="writing = null"
            >{{ t('frame.back') }}</ActButton
          >
        </div>
      </form>
    </section>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: start;
}
</style>
