<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';

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
          <button
            v-if="isLead"
            class="btn small quiet"
            type="button"
            :aria-label="t('people.editOf', { name: p.name })"
            @click="edit(p)"
          >
            {{ t('people.edit') }}
          </button>
        </li>
      </ul>
      <button v-if="isLead && !writing" class="btn" type="button" @click="writing = 'new'">
        {{ t('people.add') }}
      </button>
    </section>
    <section class="stack why" :aria-label="t('people.add')">
      <form v-if="writing" class="stack" novalidate @submit.prevent="save">
        <h2>{{ writing === 'new' ? t('people.add') : writing.name }}</h2>
        <label class="label"
          >{{ t('people.name')
          }}<input v-model="form.name" class="field" maxlength="120" :aria-invalid="at('/name') !== null" /><span
            class="fault"
            >{{ at('/name') }}</span
          ></label
        >
        <div class="row">
          <label class="label"
            >{{ t('people.licence') }}<input v-model="form.licence" class="field" maxlength="60"
          /></label>
          <label class="label"
            >{{ t('people.class') }}<input v-model="form.licenceClass" class="field" maxlength="80"
          /></label>
          <label class="label"
            >{{ t('people.until')
            }}<input
              v-model="form.licenceUntil"
              class="field"
              type="date"
              :aria-invalid="at('/licenceUntil') !== null"
            /><span class="fault">{{ at('/licenceUntil') }}</span></label
          >
        </div>
        <fieldset class="row">
          <legend class="label">{{ t('people.clearances') }}</legend>
          <label v-for="c in book?.clearances ?? []" :key="c.id"
            ><input v-model="form.clearances" type="checkbox" :value="c.id" /> {{ c.name }}</label
          >
        </fieldset>
        <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
        <div class="row">
          <button class="btn main" type="submit" :disabled="busy">{{ t('people.keep') }}</button><button
            class="btn quiet"
            type="button"
            @click="writing = null"
          >
            {{ t('frame.back') }}
          </button>
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
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
</style>
