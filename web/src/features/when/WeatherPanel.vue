<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { weatherQuery } from '@/api/queries';
import { dayText, plusDays } from '@/components/dates';
import LoadFault from '@/components/feedback/LoadFault.vue';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import FilesField from '@/components/form/FilesField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import { blocksOf, sentAt, STRETCHES, typedRows } from './weather';
import { momentText } from './hours';

/** A forecast of one's own: a table of hours, or what the radio said, typed in. It counts before the service. */
const props = defineProps<{ ground: string; /** Now on the ground. */ at: string }>();
const { t } = useI18n();
const { mayWrite, session, units } = useSession();
const { busy, refusal, run, at: faultAt } = useSubmit();
const { data, error } = useQuery(computed(() => weatherQuery(props.ground)));
const open = ref(false);
const day = ref(props.at.slice(0, 10));
const rows = ref(typedRows());
const days = computed(() => [0, 1, 2].map((n) => plusDays(props.at.slice(0, 10), n)));
const send = (body: { document: string } | { blocks: ReturnType<typeof blocksOf> }): Promise<unknown> =>
  run(
    () => unwrap(api.POST('/grounds/{ground}/weather', { params: { path: { ground: props.ground } }, body })),
    t('weather.kept'),
  );
const read = async (files: File[]): Promise<void> => {
  const document = await files[0]?.text();
  if (document !== undefined) await send({ document });
};
const type = async (): Promise<void> => {
  if (await send({ blocks: blocksOf(rows.value, day.value, units.value) })) rows.value = typedRows();
};
const drop = (): Promise<unknown> =>
  run(() => unwrap(api.DELETE('/grounds/{ground}/weather', { params: { path: { ground: props.ground } } })));
const BAD_DAYS = ['fine', 'outage', 'slow', 'half', 'nonsense', 'ahead'] as const;
const badDay = ref<(typeof BAD_DAYS)[number]>('fine');
const have = (kind: (typeof BAD_DAYS)[number]): Promise<unknown> =>
  run(() => unwrap(api.PUT('/stand-ins/weather', { body: { day: kind } })));
</script>

<template>
  <div class="stack">
    <LoadFault :of="error" />
    <p v-if="data?.brought" class="small">
      {{ t(`weather.${data.brought.way}`, { name: data.brought.by, time: momentText(data.brought.at, at) }) }}
      <ActButton v-if="mayWrite" quiet small :disabled="busy" @click="drop">{{ t('weather.drop') }}</ActButton>
    </p>
    <ActButton v-if="mayWrite && !open" quiet small class="start" @click="open = true">{{
      t('weather.bring')
    }}</ActButton>
    <div v-if="open" class="stack under">
      <p class="small soft">{{ t('weather.help') }}</p>
      <FilesField
        :label="t('weather.table')"
        accept=".csv,text/csv"
        :help="t('weather.tableHelp')"
        :fault="faultAt('/document')"
        :disabled="busy"
        @files="read"
      />
      <form class="stack" novalidate @submit.prevent="type">
        <h3>{{ t('weather.typedIn') }}</h3>
        <ChoiceField
          v-model="day"
          :label="t('weather.day')"
          width="12em"
          :options="days.map((d) => ({ value: d, label: dayText(d) }))"
        />
        <div class="table-wrap" tabindex="0" role="group" :aria-label="t('weather.typedIn')">
          <table>
            <thead>
              <tr>
                <th>{{ t('weather.stretch') }}</th>
                <th>{{ t('weather.air', { unit: units === 'us' ? 'F' : 'C' }) }}</th>
                <th>{{ t('weather.wind', { unit: units === 'us' ? 'mph' : 'km/h' }) }}</th>
                <th>{{ t('weather.gust', { unit: units === 'us' ? 'mph' : 'km/h' }) }}</th>
                <th>{{ t('weather.rain', { unit: units === 'us' ? 'in' : 'mm' }) }}</th>
                <th>{{ t('weather.cloud') }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="(row, i) in rows" :key="i">
                <th scope="row">{{ STRETCHES[i]!.from }}:00 – {{ STRETCHES[i]!.from + STRETCHES[i]!.hours }}:00</th>
                <td v-for="field in ['air', 'wind', 'gust', 'rain', 'cloud'] as const" :key="field">
                  <TextField
                    v-model="row[field]"
                    bare
                    width="5em"
                    inputmode="decimal"
                    :label="`${t(`weather.${field}`, { unit: '' })} ${STRETCHES[i]!.from}:00`"
                    :fault="faultAt(`/blocks/${sentAt(rows, i)}/${field}`)"
                  />
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <p v-if="faultAt('/blocks')" class="fault" role="alert">{{ faultAt('/blocks') }}</p>
        <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
        <div class="row">
          <ActButton main type="submit" :busy="busy">{{ t('weather.keep') }}</ActButton>
          <ActButton quiet @click="open = false">{{ t('frame.back') }}</ActButton>
        </div>
      </form>
      <ChoiceField
        v-if="session?.demo"
        v-model="badDay"
        :label="t('weather.badDay')"
        width="18em"
        :options="BAD_DAYS.map((d) => ({ value: d, label: t(`weather.bad.${d}`) }))"
        :disabled="busy"
        @change="have"
      />
    </div>
  </div>
</template>

<style scoped>
td {
  padding: 2px 6px 2px 0;
}
tbody th {
  border: 0;
  white-space: nowrap;
}
</style>
