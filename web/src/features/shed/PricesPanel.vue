<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watchEffect } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import DayField from '@/components/form/DayField.vue';
import TextField from '@/components/form/TextField.vue';
import QuantityField from '@/components/form/QuantityField.vue';

/** What an hour and a product cost this crew, each with its day; a price older than 18 months says so. */
const props = defineProps<{ shed: Schemas['Shed']; mayChange: boolean }>();
const { t } = useI18n();
const { today } = useSession();
const { busy, refusal, run, at } = useSubmit();
const { data: book } = useQuery(handbookQuery());
const MATERIALS = ['oil', 'fuel-oil', 'dye', 'surfactant', 'cover-seed'];
const activeName = (id: string): string =>
  (MATERIALS.includes(id) ? t(`prices.material.${id}`) : null) ??
  book.value?.actives.find((a) => a.id === id)?.name ??
  id;
interface Line {
  active: string;
  amount: string;
  per: string;
  on: string;
  stale: boolean;
}
const actives = computed(() =>
  [...new Set(props.shed.cards.flatMap((c) => c.versions[0]?.actives.map((a) => a.active) ?? []))].sort(),
);
const currency = ref('USD');
const wage = ref({ amount: '', on: '' });
const lines = ref<Line[]>([]);
const UNITS: Record<string, string> = {
  gal_us: 'gal',
  L: 'L',
  fl_oz_us: 'fl oz',
  oz_wt: 'oz wt',
  kg: 'kg',
  lb: 'lb',
  g: 'g',
  mL: 'mL',
  qt_us: 'qt',
  pt_us: 'pt',
};
watchEffect(() => {
  const p = props.shed.prices;
  currency.value = p?.currency ?? 'USD';
  wage.value = { amount: p?.wage?.amount ?? '', on: p?.wage?.on ?? '' };
  lines.value = (actives.value.length === 0 ? [] : [...actives.value, ...MATERIALS]).map((active) => {
    const kept = p?.products.find((x) => x.active === active);
    return {
      active,
      amount: kept?.amount ?? '',
      per: kept
        ? `${kept.per.value} ${UNITS[kept.per.unit] ?? kept.per.unit}`
        : active === 'cover-seed'
          ? '1 lb'
          : '1 gal',
      on: kept?.on ?? '',
      stale: kept?.stale ?? false,
    };
  });
});
const save = async (): Promise<void> => {
  const products = lines.value
    .filter((l) => l.amount !== '')
    .map((l) => ({ active: l.active, amount: l.amount, per: { typed: l.per }, on: l.on || today() }));
  const prices = {
    currency: currency.value,
    ...(wage.value.amount ? { wage: { amount: wage.value.amount, on: wage.value.on || today() } } : {}),
    products,
  };
  await run(
    () =>
      unwrap(
        api.PATCH('/shed/choices', {
          params: { header: { 'If-Match': `"${props.shed.revision}"` } },
          body: { prices },
        }),
      ),
    t('form.kept'),
  );
};
</script>

<template>
  <form class="stack" novalidate aria-labelledby="prices-h" @submit.prevent="save">
    <h2 id="prices-h">{{ t('prices.heading') }}</h2>
    <p class="small soft">{{ t('prices.help') }}</p>
    <div class="row">
      <TextField
        v-model="currency"
        :label="t('prices.currency')"
        :fault="at('/prices/currency')"
        width="5em"
        maxlength="3"
        :readonly="!mayChange"
      />
      <TextField
        v-model="wage.amount"
        :label="t('prices.wage')"
        :fault="at('/prices/wage')"
        width="6em"
        inputmode="decimal"
        :readonly="!mayChange"
      />
      <DayField v-model="wage.on" :label="t('prices.on')" :readonly="!mayChange" />
      <span v-if="shed.prices?.wage?.stale" class="fault small">{{ t('prices.stale') }}</span>
    </div>
    <fieldset v-for="l in lines" :key="l.active" class="row line">
      <legend>{{ activeName(l.active) }}</legend>
      <TextField v-model="l.amount" :label="t('prices.price')" width="6em" inputmode="decimal" :readonly="!mayChange" />
      <QuantityField v-model="l.per" :label="t('prices.per')" width="6em" :readonly="!mayChange" />
      <DayField v-model="l.on" :label="t('prices.on')" :readonly="!mayChange" />
      <span v-if="l.stale && l.amount" class="fault small">{{
        l.on ? t('prices.staleSince', { day: dayText(l.on, true) }) : t('prices.stale')
      }}</span>
    </fieldset>
    <p v-if="lines.length === 0" class="soft">{{ t('prices.noCards') }}</p>
    <ActButton v-if="mayChange" type="submit" :busy="busy">{{ t('prices.keep') }}</ActButton>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
  </form>
</template>

<style scoped>
.line {
  border: 0;
  border-top: 1px solid var(--rule);
  padding: 6px 0 0;
  margin: 0;
  align-items: end;
}
legend {
  font-weight: 650;
  padding: 0;
}
</style>
