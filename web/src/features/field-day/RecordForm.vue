<script setup lang="ts">
import { formats } from '@/app/language';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { fieldNotesQuery } from '@/api/queries';
import { api, jobDay, unwrap, type Schemas } from '@/api/client';
import type { paths } from '@/api/schema';
import { DROPLETS, FURTHER } from '@/api/vocabulary';
import { useSubmit } from '@/composables/useSubmit';
import { inOrder, recordOf } from '@/features/field-mode/fieldLog';
import { dayKey, field as fieldDb, type FieldNote, type Signing } from '@/features/field-mode/fieldStore';
import { recount } from '@/features/field-mode/fieldSync';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import SaidAmount from '@/components/figures/SaidAmount.vue';
import NamesField from '@/components/form/NamesField.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import DayField from '@/components/form/DayField.vue';
import TimeField from '@/components/form/TimeField.vue';
import QuantityField from '@/components/form/QuantityField.vue';

const props = defineProps<{
  sheet: Schemas['Sheet'];
  timeZone: string;
  crew: readonly { name: string }[];
  /** What this phone holds of the day, in order, for where the server cannot be asked. */
  notes?: readonly FieldNote[];
}>();
const emit = defineEmits<{ signed: [] }>();
const { t } = useI18n();
const { user, format } = useSession();
const { busy, refusal, run, at } = useSubmit();

/** What the sheet says was settled with others, as a line of the record. */
const settled = (paper: boolean): string =>
  (props.sheet.snapshot.duties ?? [])
    .filter((d) => d.paper === paper && d.settled)
    .map((d) => [d.name, d.keeper, d.settled?.number, d.settled?.who, d.settled?.on].filter(Boolean).join(', '))
    .join('; ')
    .slice(0, 300);
const form = ref({
  workedOn: jobDay(props.timeZone),
  start: '',
  stop: '',
  people: user.value?.name ?? '',
  treated: '',
  skipped: '0',
  mixUsed: '',
  weather: '',
  wind: '',
  temperature: '',
  equipment: '',
  remarks: '',
  incident: false,
  owner: '',
  supervisor: '',
  mixers: '',
  nozzle: '',
  pressure: '',
  height: '',
  droplets: '',
  instrument: '',
  buffers: '',
  permits: settled(true),
  notices: settled(false),
  leftovers: '',
  containers: '',
});
const { restoredAt, drop } = useDraft(
  () => (user.value ? draftKey(user.value.id, 'record', props.sheet.id) : ''),
  form,
);
/** What was noted on the way, put in where nobody has written anything yet. */
const { data: field } = useQuery(computed(() => fieldNotesQuery(props.sheet.id)));
const noted = computed(() => {
  const server = field.value;
  const notes = server ? inOrder(server.notes.map((n) => n.note as FieldNote)) : (props.notes ?? []);
  if (notes.length === 0) return null;
  const { sky, conflicts, ...told } = recordOf(notes, props.timeZone);
  const mix = server?.day.mixFilled;
  return {
    conflicts,
    told: {
      ...told,
      ...(sky ? { weather: t(`fieldMode.skies.${sky}`) } : {}),
      ...(mix ? { mixUsed: format(mix) } : {}),
    },
  };
});
const tookOver = ref(false);
const takeOver = (): void => {
  form.value = { ...form.value, ...noted.value?.told };
  tookOver.value = true;
};
const FIELDS = [
  'workedOn',
  'start',
  'stop',
  'people',
  'treated',
  'skipped',
  'mixUsed',
  'weather',
  'wind',
  'temperature',
  'equipment',
  'remarks',
] as const;
const shown = FIELDS.filter((f) => f !== 'mixUsed' || props.sheet.snapshot.product !== null);
const number = (text: string): number => (/^\d+$/.test(text.trim()) ? Number(text) : -1);

const sign = async (): Promise<void> => {
  const { people, treated, skipped, mixUsed, equipment, remarks, workedOn, start, stop, weather, wind, temperature } =
    form.value;
  const further = Object.fromEntries(FURTHER.flatMap((f) => (form.value[f].trim() ? [[f, form.value[f]]] : [])));
  const body = {
    ...further,
    workedOn,
    start,
    stop,
    weather,
    wind,
    temperature,
    incident: form.value.incident,
    people: people
      .split(',')
      .map((p) => p.trim())
      .filter(Boolean),
    treated: number(treated),
    skipped: number(skipped),
    ...(props.sheet.snapshot.product ? { mixUsed } : {}),
    ...(equipment ? { equipment } : {}),
    ...(remarks ? { remarks } : {}),
  };
  const key = crypto.randomUUID();
  if (await send(key, body)) {
    await drop();
    emit('signed');
  } else if (refusal.value?.status === 0 && user.value) {
    // no signal: signed on this phone, and sealed when the server has it
    await drop();
    const kept = {
      sheetId: props.sheet.id,
      user: user.value.id,
      key: signingKey.value,
      write: key,
      body,
      at: Date.now(),
    };
    await fieldDb().signings.put(kept);
    signing.value = kept;
    await recount();
  }
};

const signingKey = computed(() => dayKey(user.value?.id ?? '', props.sheet.id));
const signing = ref<Signing | null>(null);
watch(signingKey, async (key) => (signing.value = (await fieldDb().signings.get(key)) ?? null), { immediate: true });
type Signed = NonNullable<paths['/sheets/{sheet}/records']['post']['requestBody']>['content']['application/json'];
const send = (key: string, body: Record<string, unknown>) =>
  run(() =>
    unwrap(
      api.POST('/sheets/{sheet}/records', {
        params: { path: { sheet: props.sheet.id } },
        headers: { 'Idempotency-Key': key },
        body: body as Signed,
      }),
    ),
  );
/** With signal, and the password again: the server seals what was signed out there. */
const seal = async (): Promise<void> => {
  const kept = signing.value;
  if (!kept || !(await send(kept.write, kept.body))) return;
  await fieldDb().signings.delete(kept.key);
  signing.value = null;
  await recount();
  emit('signed');
};
/** Back into the form: what was signed on the phone is not sealed yet, and may be put right. */
const takeBack = async (): Promise<void> => {
  const kept = signing.value;
  if (!kept) return;
  const { people, ...rest } = kept.body as { people: string[] } & Record<string, string>;
  form.value = { ...form.value, ...rest, people: people.join(', ') } as typeof form.value;
  form.value.treated = String(kept.body.treated);
  form.value.skipped = String(kept.body.skipped);
  await fieldDb().signings.delete(kept.key);
  signing.value = null;
  await recount();
};
</script>

<template>
  <section v-if="signing" class="note stack" aria-labelledby="signing-h">
    <h2 id="signing-h">{{ t('record.onPhone') }}</h2>
    <p>{{ t('record.onPhoneHelp') }}</p>
    <div class="row">
      <ActButton main :busy="busy" @click="seal">{{ t('record.seal') }}</ActButton>
      <ActButton quiet :disabled="busy" @click="takeBack">{{ t('record.takeBack') }}</ActButton>
    </div>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
  </section>
  <form v-else class="stack" novalidate aria-labelledby="record-h" @submit.prevent="sign">
    <h2 id="record-h">{{ t('record.title') }}</h2>
    <p v-if="restoredAt" class="note small">
      {{ t('frame.restored', { when: restoredAt.toLocaleString(formats()) }) }}
    </p>
    <div v-if="noted && !tookOver" class="note stack">
      <p>{{ t('record.fromField', { n: noted.told.treated ?? 0 }) }}</p>
      <p v-if="noted.conflicts" class="warn">{{ t('record.differ') }}</p>
      <ActButton small class="start" @click="takeOver">{{ t('record.takeOver') }}</ActButton>
    </div>
    <p v-if="sheet.snapshot.recipe" class="small">
      {{ t('record.planned') }} <b><SaidAmount :of="sheet.snapshot.recipe.need" /></b>
    </p>
    <div class="fields">
      <template v-for="f in shown" :key="f">
        <DayField v-if="f === 'workedOn'" v-model="form[f]" :label="t(`record.${f}`)" :fault="at(`/${f}`)" />
        <TimeField
          v-else-if="f === 'start' || f === 'stop'"
          v-model="form[f]"
          :time-zone="timeZone"
          :label="t(`record.${f}`)"
          :fault="at(`/${f}`)"
        />
        <QuantityField
          v-else-if="f === 'mixUsed' || f === 'wind' || f === 'temperature'"
          v-model="form[f]"
          :label="t(`record.${f}`)"
          :fault="at(`/${f}`)"
          :sample="t(`record.example.${f}`)"
        />
        <NamesField
          v-else-if="f === 'people'"
          v-model="form[f]"
          :suggestions="crew.map((p) => p.name)"
          :label="t(`record.${f}`)"
          :fault="at(`/${f}`)"
        />
        <TextField
          v-else
          v-model="form[f]"
          :label="t(`record.${f}`)"
          :fault="at(`/${f}`)"
          :inputmode="f === 'treated' || f === 'skipped' ? 'numeric' : 'text'"
        />
      </template>
    </div>
    <details v-if="sheet.snapshot.product">
      <summary class="label">{{ t('record.further') }}</summary>
      <div class="fields">
        <template v-for="f in FURTHER" :key="f">
          <ChoiceField
            v-if="f === 'droplets'"
            v-model="form[f]"
            :label="t(`record.${f}`)"
            :fault="at(`/${f}`)"
            :options="DROPLETS.map((d) => ({ value: d, label: t(`record.drops.${d}`) }))"
          />
          <QuantityField
            v-else-if="f === 'pressure' || f === 'height'"
            v-model="form[f]"
            :label="t(`record.${f}`)"
            :fault="at(`/${f}`)"
            :sample="t(`record.example.${f}`)"
          />
          <TextField v-else v-model="form[f]" :label="t(`record.${f}`)" :fault="at(`/${f}`)" maxlength="300" />
        </template>
      </div>
    </details>
    <TickField v-model="form.incident">{{ t('record.incident') }}</TickField>
    <p class="small soft">{{ t('record.once') }}</p>
    <ActButton main type="submit" :busy="busy">{{ t('record.sign') }}</ActButton>
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
  </form>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 8px 16px;
}
</style>
