<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watchEffect } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { useAct } from '@/composables/useAct';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';

const emit = defineEmits<{ done: []; close: [] }>();
const { t } = useI18n();
const { user } = useSession();
const { data: book } = useQuery(handbookQuery());
const { busy, refusal, run, at } = useAct();
/** Uses that a label may list: of one plant by strength, of an area by a rate. */
const uses = computed(() => (book.value?.methods ?? []).filter((m) => m.product !== 'none'));
const blank = () => ({ on: false, min: '', max: '', rateMost: '', spray: '' });
type Use = ReturnType<typeof blank>;
const use = (id: string): Use => form.value.uses[id] ?? blank();
const FORMULATIONS = ['soluble-liquid', 'emulsifiable', 'oil-soluble-ester', 'water-dispersible-granule', 'granule', 'ready-to-use'] as const;

const form = ref({
  product: '',
  registration: '',
  formulation: 'soluble-liquid',
  active: 'glyphosate',
  amount: '',
  carriers: ['water'] as string[],
  sites: [] as string[],
  uses: {} as Record<string, Use>,
  numbers: {} as Record<string, string>,
  waterBuffer: '',
  yearlyMaximum: '',
  wearing: '',
  firstAid: '',
  licensedOnly: false,
  aquaticAllowed: false,
});
watchEffect(() => {
  for (const m of uses.value) form.value.uses[m.id] ??= blank();
});
const { drop } = useDraft(() => (user.value ? draftKey(user.value.id, 'card', 'new') : ''), form);
const NUMBERS = ['reentryHours', 'rainfastHours', 'grazingDays', 'hayDays', 'leadDays', 'lastingDays'] as const;
const TEXTS = ['waterBuffer', 'yearlyMaximum', 'wearing', 'firstAid'] as const;
const save = async (): Promise<void> => {
  const f = form.value;
  const card: Record<string, unknown> = {
    product: f.product,
    registration: f.registration,
    formulation: f.formulation,
    actives: [{ active: f.active, amount: f.amount }],
    carriers: f.carriers,
    sites: f.sites,
    licensedOnly: f.licensedOnly,
    aquaticAllowed: f.aquaticAllowed,
    methods: Object.entries(f.uses)
      .filter(([, u]) => u.on)
      .map(([method, u]) => ({ method, ...Object.fromEntries((['min', 'max', 'rateMost', 'spray'] as const).filter((k) => u[k] !== '').map((k) => [k, u[k]])) })),
    ...Object.fromEntries(NUMBERS.filter((n) => /^\d+$/.test(f.numbers[n] ?? '')).map((n) => [n, Number(f.numbers[n])])),
    ...Object.fromEntries(TEXTS.filter((x) => f[x] !== '').map((x) => [x, f[x]])),
  };
  if (await run(() => unwrap(api.POST('/shed/cards', { body: { card: card as Record<string, never> } })))) {
    await drop();
    emit('done');
  }
};
</script>

<template>
  <form class="stack sheetlike" novalidate @submit.prevent="save">
    <h3>{{ t('shed.newCard') }}</h3>
    <p class="small soft">{{ t('shed.asPrinted') }}</p>
    <label class="label"
      >{{ t('shed.product') }}<input v-model="form.product" class="field" :aria-invalid="at('/card/product') !== null" /><span class="fault">{{ at('/card/product') }}</span></label
    >
    <label class="label"
      >{{ t('shed.registration') }}<input v-model="form.registration" class="field" :aria-invalid="at('/card/registration') !== null" /><span class="fault">{{ at('/card/registration') }}</span></label
    >
    <label class="label"
      >{{ t('shed.formulation')
      }}<select v-model="form.formulation" class="field">
        <option v-for="f in FORMULATIONS" :key="f" :value="f">{{ t(`shed.formulations.${f}`) }}</option>
      </select></label
    >
    <div class="row">
      <label class="label"
        >{{ t('shed.active')
        }}<select v-model="form.active" class="field">
          <option v-for="a in book?.actives ?? []" :key="a.id" :value="a.id">{{ a.name }}</option>
        </select></label
      >
      <label class="label">{{ t('shed.amount') }}<input v-model="form.amount" class="field" placeholder="480 g ae/L" :aria-invalid="at('/card/actives') !== null" /></label>
    </div>
    <p class="fault">{{ at('/card/actives') }}</p>
    <fieldset class="row">
      <legend class="label">{{ t('shed.carriers') }}</legend>
      <label v-for="c in ['water', 'oil']" :key="c"><input v-model="form.carriers" type="checkbox" :value="c" /> {{ t(`shed.carrier.${c}`) }}</label>
    </fieldset>
    <fieldset class="row">
      <legend class="label">{{ t('shed.sites') }}</legend>
      <label v-for="s in book?.settings ?? []" :key="s.id"><input v-model="form.sites" type="checkbox" :value="s.id" /> {{ s.name }}</label>
    </fieldset>
    <fieldset class="stack">
      <legend class="label">{{ t('shed.uses') }}</legend>
      <div v-for="m in uses" :key="m.id" class="row">
        <label style="min-width: 12em"><input v-model="use(m.id).on" type="checkbox" /> {{ m.name }}</label>
        <template v-if="use(m.id).on && m.product === 'strength'"
          ><label class="label">{{ t('shed.least') }}<input v-model="use(m.id).min" class="field" style="width: 6em" placeholder="10%" /></label
          ><label class="label">{{ t('shed.most') }}<input v-model="use(m.id).max" class="field" style="width: 6em" placeholder="30%" /></label
        ></template>
        <template v-else-if="use(m.id).on"
          ><label class="label">{{ t('shed.rateMost') }}<input v-model="use(m.id).rateMost" class="field" style="width: 8em" placeholder="2 qt/ac" /></label
          ><label class="label">{{ t('shed.spray') }}<input v-model="use(m.id).spray" class="field" style="width: 8em" placeholder="20 gal/ac" /></label
        ></template>
      </div>
    </fieldset>
    <p class="fault">{{ at('/card/methods') }}</p>
    <label v-for="f in TEXTS" :key="f" class="label"
      >{{ t(`shed.${f}`) }}<input v-model="form[f]" class="field" :aria-invalid="at(`/card/${f}`) !== null" /><span class="fault">{{ at(`/card/${f}`) }}</span></label
    >
    <fieldset class="row">
      <legend class="label">{{ t('shed.waits') }}</legend>
      <label v-for="n in NUMBERS" :key="n" class="label"
        >{{ t(`shed.numbers.${n}`) }}<input v-model="form.numbers[n]" class="field" style="width: 6em" inputmode="numeric" :aria-invalid="at(`/card/${n}`) !== null"
      /></label>
    </fieldset>
    <label><input v-model="form.licensedOnly" type="checkbox" /> {{ t('shed.licensedOnly') }}</label>
    <label><input v-model="form.aquaticAllowed" type="checkbox" /> {{ t('shed.aquatic') }}</label>
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    <div class="row">
      <button class="btn main" type="submit" :disabled="busy">{{ t('shed.save') }}</button><button class="btn quiet" type="button" @click="emit('close')">{{ t('frame.back') }}</button>
    </div>
  </form>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
label:not(.label) {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 32px;
}
</style>
