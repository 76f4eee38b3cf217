<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { batchesQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import BatchLabel from './BatchLabel.vue';
import MeasureDrawing from './MeasureDrawing.vue';
import { loadName } from './loadName';
import TankDrawing from './TankDrawing.vue';
import { cupOf, cupsOf } from '@/components/figures/cups';
import FillStep from '@/components/figures/FillStep.vue';
import { useSaid } from '@/components/figures/useSaid';
import PaperButton from '@/components/feedback/PaperButton.vue';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';

/**
 * One load, an addition at a time, each ticked off in order with a wet glove: nothing goes in twice, and the product
 * leaves the shelf with the last tick.
 */
const props = defineProps<{
  recipe: Schemas['Recipe'];
  stock: Schemas['ShedContainer'][];
  units: 'us' | 'metric';
  mayWrite: boolean;
}>();
const emit = defineEmits<{ recipe: [] }>();
const { t } = useI18n();
const { format } = useSession();
const { said } = useSaid();
const { busy, refusal, run } = useSubmit();
const { data: before, error } = useQuery(computed(() => batchesQuery(props.recipe.stepId)));
const at = ref(0);
const load = computed(() => props.recipe.loads[at.value] ?? null);
const done = ref(0);
const batch = ref<Schemas['Batch'] | null>(null);
const restart = (): void => {
  done.value = 0;
  batch.value = null;
};
watch([at, () => props.recipe.stepId], restart);
const steps = computed(() => load.value?.steps ?? []);
const current = computed(() => steps.value[done.value] ?? null);
/** The product at hand on the crew's own tool, for this very load. */
const cups = computed(() =>
  cupsOf(load.value, props.units).filter((m) => !current.value || current.value.what === m.what),
);
const measuredOf = (step: Schemas['Load']['steps'][number]): string =>
  cupOf(load.value, step.what, props.units)?.measured ?? said(step.amount);
const all = computed(() => steps.value.length > 0 && done.value >= steps.value.length);
/** For each product of the load the jugs that something is left in, the one that is open first. */
const products = computed(() =>
  (load.value?.products ?? []).map((p) => ({
    ...p,
    jugs: props.stock.filter((c) => c.product === p.product && c.left.value !== '0'),
  })),
);
const from = ref<Record<string, string>>({});
watch(
  products,
  (list) => {
    for (const p of list)
      if (!p.jugs.some((c) => c.id === from.value[p.what])) from.value[p.what] = p.jugs[0]?.id ?? '';
  },
  { immediate: true },
);
const draws = computed(() => products.value.map((p) => from.value[p.what] ?? '').filter((id) => id !== ''));
const washed = (): Promise<unknown> =>
  run(() =>
    unwrap(
      api.POST('/shed/sprayers/{sprayer}/cleanings', {
        params: { path: { sprayer: props.recipe.sprayer?.id ?? '' } },
        body: {},
      }),
    ),
  );
const write = async (): Promise<void> => {
  const made = await run(() =>
    unwrap(
      api.POST('/steps/{step}/batches', {
        params: { path: { step: props.recipe.stepId } },
        body: {
          load: at.value,
          confirmed: steps.value.map((s) => s.what),
          ...(draws.value.length ? { draws: draws.value.map((containerId) => ({ containerId })) } : {}),
        },
      }),
    ),
  );
  if (!made) return;
  batch.value = made;
};
</script>

<template>
  <div v-if="!recipe.saved" class="stack">
    <p class="note">{{ t('mixing.saveFirst') }}</p>
    <p>
      <ActButton main @click="emit('recipe')">{{ t('mixing.toRecipe') }}</ActButton>
    </p>
  </div>
  <div v-else class="bench">
    <section class="stack" aria-live="polite" :aria-label="t('mixing.title')">
      <h2 class="visually-hidden">{{ t('mixing.title') }}</h2>
      <LoadFault :of="error" />
      <div v-if="recipe.loads.length > 1" class="row" role="group" :aria-label="t('mixing.which')">
        <ActButton
          v-for="(l, i) in recipe.loads"
          :key="i"
          small
          :class="{ main: i === at }"
          :aria-pressed="i === at"
          @click="at = i"
          >{{ loadName(t, l) }}: {{ said(l.finished) }}</ActButton
        >
      </div>
      <p class="small">{{ t('mix.care') }}</p>
      <div v-if="recipe.washFirst" class="stack note" role="alert">
        <p>{{ format(recipe.washFirst) }}</p>
        <p class="small">{{ t('mixing.wash') }}</p>
        <ActButton v-if="mayWrite" class="start" :disabled="busy" @click="washed">{{ t('sprayer.rinsed') }}</ActButton>
      </div>
      <ol class="steps">
        <li
          v-for="(s, i) in steps"
          :key="s.what"
          :class="{ done: i < done, now: i === done && !batch, later: i > done }"
          :aria-current="i === done ? 'step' : undefined"
        >
          <span class="n">{{ i < done ? '✓' : i + 1 }}</span>
          <FillStep v-if="load" :load="load" :step="s" />
        </li>
      </ol>
      <template v-if="!batch">
        <ActButton v-if="current && mayWrite && !recipe.washFirst" main big @click="done++">{{
          t('mixing.isIn', { what: current.name, amount: measuredOf(current) })
        }}</ActButton>
        <ActButton v-if="done > 0" quiet small @click="done--">{{ t('mixing.undo') }}</ActButton>
        <template v-if="all">
          <template v-for="p in products" :key="p.what">
            <ChoiceField
              v-if="p.jugs.length"
              v-model="from[p.what]"
              :label="products.length > 1 ? t('mixing.fromOf', { product: p.product }) : t('mixing.from')"
              :options="[
                ...p.jugs.map((c) => ({
                  value: c.id,
                  label: t('mixing.jug', { size: c.sold, lot: c.lot ?? '–', left: format(c.left) }),
                })),
                { value: '', label: t('mixing.noJug') },
              ]"
            />
            <p v-else class="small soft">
              <template v-if="products.length > 1">{{ p.product }}: </template>{{ t('mixing.noStock') }}
            </p>
          </template>
          <ActButton main big :disabled="busy" @click="write">{{ t('mixing.write') }}</ActButton>
        </template>
        <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
      </template>
      <template v-else>
        <BatchLabel :batch="batch" />
        <ActButton @click="restart">{{ t('mixing.another') }}</ActButton>
      </template>
    </section>
    <section class="stack why">
      <MeasureDrawing v-for="c in cups" :key="c.what" :cup="c" />
      <TankDrawing v-if="load" :load="load" :format="format" large />
      <PaperButton kind="mixing-card" :of="recipe.stepId" :label="t('mix.card')" />
      <template v-if="before?.data.length">
        <h3>{{ t('mixing.made') }}</h3>
        <ul class="plain ruled">
          <li v-for="b in before.data" :key="b.id">
            <b>{{ b.label.title }}</b> {{ format(b.finished) }}
            <span class="small soft">{{ b.label.mixed }}{{ b.recordId ? ` · ${t('stock.recorded')}` : '' }}</span>
          </li>
        </ul>
      </template>
    </section>
  </div>
</template>

<style scoped>
.steps {
  list-style: none;
  padding: 0;
  border-bottom: 1px solid var(--rule);
}
.steps li {
  display: grid;
  grid-template-columns: 48px minmax(0, 1fr);
  align-items: center;
  min-height: 72px;
  border-top: 1px solid var(--rule);
  padding: 6px 8px;
}
.n {
  font-size: var(--size-xl);
  font-weight: 700;
}
.steps :deep(.amount) {
  font-size: var(--size-xl);
}
.now {
  background: var(--sloe-pale);
  box-shadow: inset 6px 0 0 var(--sloe);
}
.done {
  color: var(--ink-soft);
}
.later :deep(.amount) {
  font-weight: 500;
}
</style>
