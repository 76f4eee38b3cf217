<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { api, unwrap, type Schemas } from '@/api/client';
import { recipeQuery, shedQuery, type RecipeAsk } from '@/api/queries';
import { WATERS } from '@/api/vocabulary';
import CardChanges from '@/components/CardChanges.vue';
import ViewTabs from '@/components/ViewTabs.vue';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import { useStand } from '@/composables/useStand';
import MeasureDrawing from './MeasureDrawing.vue';
import MixingPanel from './MixingPanel.vue';
import StemDrawing from './StemDrawing.vue';
import PourLine from '@/components/figures/PourLine.vue';
import SumsPanel from './SumsPanel.vue';
import { loadName } from './loadName';
import TankDrawing from './TankDrawing.vue';
import PaperButton from '@/components/feedback/PaperButton.vue';
import FillStep from '@/components/figures/FillStep.vue';
import SaidAmount from '@/components/figures/SaidAmount.vue';
import { useSaid } from '@/components/figures/useSaid';
import EmptyState from '@/components/feedback/EmptyState.vue';
import LoadFault from '@/components/feedback/LoadFault.vue';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';

const props = defineProps<{ stand: string }>();
const { t, te } = useI18n();
const { format, units, mayWrite } = useSession();
const { said, mark } = useSaid();
const { stand, error: standError } = useStand(() => props.stand);
const { busy, refusal, run } = useSubmit();
const { data: shed } = useQuery(shedQuery());
const VIEWS = ['recipe', 'mixing', 'sums'] as const;
type View = (typeof VIEWS)[number];
const route = useRoute();
const router = useRouter();
const view = computed<View>({
  get: () => VIEWS.find((v) => v === route.query.view) ?? 'recipe',
  set: (v) => void router.replace({ query: { view: v } }),
});
const views = computed(() => VIEWS.map((id) => ({ id, name: t(`mix.view.${id}`) })));

/** What is asked beyond what is kept with the step; nothing asked shows the recipe as it was saved. */
const ask = ref<RecipeAsk>({});
const set = (name: keyof RecipeAsk, value: string): void => {
  ask.value = { ...ask.value, [name]: value };
};
watch(
  () => props.stand,
  () => (ask.value = {}),
);
const stepId = computed(() => (stand.value?.step?.usesProduct ? stand.value.step.id : null));
const { data: recipe, error } = useQuery(
  computed(() => ({
    ...recipeQuery(stepId.value ?? '', ask.value),
    enabled: stepId.value !== null,
    placeholderData: (old: Schemas['Recipe'] | undefined) => old,
  })),
);
const asked = computed(() => Object.keys(ask.value).length > 0);
const cups = computed(() => recipe.value?.measure.filter((m) => m.system === units.value) ?? []);
/** Every product of the tank; where there is one, its amount stands alone. */
const products = computed(() => recipe.value?.products ?? []);
const several = computed(() => products.value.length > 1);
const newer = computed(() =>
  [recipe.value?.card?.newer, ...(recipe.value?.partners ?? []).map((p) => p.newer)].filter((n) => n != null),
);
/** What may still be chosen for one place in the tank: nothing stands in two. */
const joins = (other: string): { versionId: string; product: string }[] =>
  (recipe.value?.mayJoin ?? []).filter((j) => j.versionId !== other);
const inTank = (name: 'with' | 'withAlso'): string => ask.value[name] ?? recipe.value?.[name] ?? '';
const short = computed(() => (recipe.value?.shelf ?? []).filter((s) => s.short));
const EXTRAS = ['dye', 'surfactant', 'conditioner', 'oil', 'emulsifier'] as const;
const SAMPLE: Record<string, string> = {
  dye: '0.25 fl oz/gal',
  surfactant: '0.25 %',
  conditioner: '1 %',
  oil: '5 %',
  emulsifier: '0.5 %',
};
const typed = (role: (typeof EXTRAS)[number]): string =>
  ask.value[role] ?? recipe.value?.asked.find((a) => a.role === role)?.typed ?? '';
const working = computed(() =>
  Object.entries(recipe.value?.working ?? {}).map(([name, v]) => ({
    name: te(`mix.working.${name}`) ? t(`mix.working.${name}`) : name,
    value:
      v && typeof v === 'object' && 'shown' in v
        ? format(v as { shown: { us: string; metric: string } })
        : te(`mix.word.${String(v)}`)
          ? t(`mix.word.${String(v)}`)
          : String(v),
  })),
);
const save = async (): Promise<void> => {
  const id = stepId.value;
  if (!id || !recipe.value) return;
  const { people, ...rest } = ask.value;
  const body = { ...rest, ...(people ? { people: Number(people) } : {}) } as Record<string, never>;
  const done = await run(() =>
    unwrap(
      api.PUT('/steps/{step}/recipe', {
        params: { path: { step: id }, header: { 'If-Match': `"${recipe.value?.revision ?? 0}"` } },
        body,
      }),
    ),
  );
  if (done) {
    ask.value = {};
  }
};
const takeCard = async (): Promise<void> => {
  const id = stepId.value;
  if (!id) return;
  const done = await run(() =>
    unwrap(
      api.PUT('/steps/{step}/card', {
        params: { path: { step: id }, header: { 'If-Match': `"${recipe.value?.revision ?? 0}"` } },
      }),
    ),
  );
  if (!done) return;
  ask.value = {};
};
/** More loads than these stand folded, so that saving and the cautions stay in sight. */
const FEW_LOADS = 6;
const LEVELS = { blocks: 'warn', asks: 'warn', care: 'note' } as const;
</script>

<template>
  <div class="stack">
    <h1>
      {{ t('station.mix') }}<template v-if="stand">: {{ stand.name }}</template>
    </h1>
    <ViewTabs v-model="view" :views="views" :label="t('mix.views')">
      <SumsPanel v-if="view === 'sums'" />
      <template v-else>
        <EmptyState v-if="stand && !stand.step" :said="t('mix.chooseFirst')">
          <RouterLink class="btn main" :to="{ name: 'methods', params: { stand: props.stand } }">{{
            t('station.methods')
          }}</RouterLink>
        </EmptyState>
        <EmptyState
          v-else-if="stand && !stand.step?.usesProduct"
          :said="t('mix.noProduct', { name: stand.step?.method.name ?? '' })"
        >
          <RouterLink class="btn main" :to="{ name: 'field-day', params: { stand: props.stand } }">{{
            t('station.field-day')
          }}</RouterLink>
        </EmptyState>
        <LoadFault :of="standError ?? error" />
        <MixingPanel
          v-if="recipe && view === 'mixing'"
          :recipe="recipe"
          :stock="shed?.stock ?? []"
          :units="units"
          :may-write="mayWrite"
          @recipe="view = 'recipe'"
        />
        <div v-else-if="recipe" class="bench">
          <section class="stack" aria-labelledby="pour-h">
            <h2 id="pour-h" class="visually-hidden">{{ t('mix.pour') }}</h2>
            <template v-if="recipe.product && recipe.need">
              <PourLine :recipe="recipe" />
              <p class="big">
                {{ t(several ? 'mix.thenOf' : 'mix.then', { carrier: recipe.carrier.name, mark: mark(recipe.need) }) }}
              </p>
            </template>
            <p v-for="m in recipe.missing" :key="m.fact" class="warn">{{ t('mix.need', { fact: m.name }) }}</p>
            <p v-for="b in recipe.blocks" :key="b.code" class="warn">{{ b.text }}</p>
            <p v-for="w in recipe.words.filter((x) => x.level !== 'care')" :key="w.code" :class="LEVELS[w.level]">
              {{ format(w.text) }} <span class="small soft">{{ w.source.name }}</span>
            </p>
            <p v-for="s in short" :key="s.product" class="note">
              {{ t('mix.short', { product: s.product, left: format(s.left), short: format(s.short) }) }}
              <RouterLink :to="{ name: 'shed', query: { view: 'buying' } }">{{ t('mix.toBuying') }}</RouterLink>
            </p>
            <p v-if="recipe.card">
              <b>{{ recipe.card.product }}</b>
              <span class="soft small">{{ t('mix.version', { n: recipe.card.version }) }}</span>
              <template v-for="p in recipe.partners ?? []" :key="p.versionId"
                ><br /><b>{{ p.product }}</b>
                <span class="soft small">{{ t('mix.version', { n: p.version }) }}</span></template
              >
            </p>
            <div v-if="newer.length" class="warn stack">
              <template v-for="n in newer" :key="n.version">
                <p>{{ t('mix.newer', { n: n.version }) }}</p>
                <CardChanges :changes="n.changes" />
              </template>
              <ActButton v-if="mayWrite" small :disabled="busy" @click="takeCard">{{ t('mix.takeCard') }}</ActButton>
            </div>
            <p v-if="!recipe.card" class="note">
              {{ t('mix.noCard') }} <RouterLink :to="{ name: 'shed' }">{{ t('station.shed') }}</RouterLink>
            </p>
            <template v-if="several">
              <p v-for="p in products.filter((x) => x.strength)" :key="p.what">
                {{ p.product }}: <b>{{ format(p.strength?.percent) }}</b>. {{ format(p.strength?.why) }}
              </p>
            </template>
            <p v-else-if="recipe.strength">
              {{ t('mix.strength') }} <b>{{ format(recipe.strength.percent) }}</b>. {{ format(recipe.strength.why) }}
            </p>
            <p v-if="recipe.ways && !several" class="small soft">
              {{ recipe.ways.parts }} · {{ recipe.ways.written.join(' · ')
              }}<template v-if="recipe.ways.active"> · {{ recipe.ways.active }}</template>
            </p>
            <p v-if="recipe.ways?.trap && !several" class="small">{{ recipe.ways.trap }}</p>
            <template v-for="p in products" :key="p.what">
              <p v-if="p.ceiling?.planned" class="small">
                <template v-if="several">{{ p.product }}: </template
                >{{
                  t(`mix.ceilings.${p.ceiling.by ?? 'year'}`, {
                    planned: format(p.ceiling.planned),
                    most: format(p.ceiling.most),
                  })
                }}
                <template v-if="p.ceiling.left">{{ t('mix.stillAllowed', { left: format(p.ceiling.left) }) }}</template>
              </p>
            </template>
            <div v-for="(load, i) in recipe.loads" :key="i" class="stack sheetlike">
              <h3>{{ loadName(t, load) }}: <SaidAmount :of="load.finished" /></h3>
              <div class="loading">
                <TankDrawing :load="load" :format="format" />
                <ol>
                  <li v-for="s in load.steps" :key="s.what">
                    <FillStep :load="load" :step="s" />
                  </li>
                </ol>
              </div>
            </div>
            <details
              v-if="recipe.plan && recipe.plan.loads.length > 1"
              class="table-wrap"
              :open="recipe.plan.loads.length <= FEW_LOADS"
            >
              <summary>{{ t('mix.plan.each', { n: recipe.plan.loads.length + recipe.plan.more }) }}</summary>
              <table class="small">
                <thead>
                  <tr>
                    <th>{{ t('mix.plan.load') }}</th>
                    <th>{{ t('mix.plan.holds') }}</th>
                    <th>{{ t('mix.plan.carried') }}</th>
                    <th>{{ t('mix.plan.refill') }}</th>
                  </tr>
                </thead>
                <tbody>
                  <tr v-for="l in recipe.plan.loads" :key="`${l.round}.${l.person}`">
                    <td>
                      {{ recipe.plan.people > 1 ? t('mix.plan.who', { round: l.round, person: l.person }) : l.round }}
                    </td>
                    <td><SaidAmount :of="l.finished" /></td>
                    <td><SaidAmount :of="l.carried" /></td>
                    <td>
                      {{
                        l.stemsAfter === null
                          ? t('mix.plan.after', { n: l.doneAfter })
                          : t('mix.plan.afterStems', { n: l.doneAfter, stems: l.stemsAfter })
                      }}
                    </td>
                  </tr>
                </tbody>
              </table>
              <p v-if="recipe.plan.more" class="small soft">{{ t('mix.plan.more', { n: recipe.plan.more }) }}</p>
            </details>
            <p v-if="recipe.plan?.water" class="small">
              {{ t('mix.plan.water', { water: said(recipe.plan.water), weight: format(recipe.plan.waterWeight) }) }}
            </p>
            <div class="row">
              <ActButton
                v-if="mayWrite"
                main
                :disabled="busy || !recipe.finished || (recipe.saved && !asked)"
                @click="save"
                >{{ recipe.saved && !asked ? t('mix.saved') : t('mix.save') }}</ActButton
              >
              <ActButton v-if="recipe.saved && !asked" @click="view = 'mixing'">{{ t('mix.toMixing') }}</ActButton>
              <PaperButton
                v-if="recipe.saved && !asked"
                kind="mixing-card"
                :of="recipe.stepId"
                :label="t('mix.card')"
              />
              <RouterLink
                v-if="recipe.saved && !asked"
                class="btn quiet"
                :to="{ name: 'field-day', params: { stand: props.stand } }"
                >{{ t('mix.toField') }}</RouterLink
              >
            </div>
            <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
            <p v-for="w in recipe.words.filter((x) => x.level === 'care')" :key="w.code" class="note small">
              {{ format(w.text) }} <span class="soft">{{ w.source.name }}</span>
            </p>
            <p class="small soft">{{ t('mix.care') }}</p>
          </section>
          <section class="stack why">
            <h3>{{ t('mix.made') }}</h3>
            <div class="row">
              <ChoiceField
                :label="t('mix.sprayer')"
                :model-value="ask.sprayerId ?? recipe.sprayer?.id ?? ''"
                @change="set('sprayerId', $event)"
                :options="[
                  { value: '', label: t('mix.noSprayer') },
                  ...(shed?.sprayers ?? []).map((s) => ({ value: s.id, label: `${s.name}, ${format(s.tank)}` })),
                ]"
              />
              <ChoiceField
                :label="t('mix.carrier')"
                :model-value="ask.carrier ?? recipe.carrier.id"
                @change="set('carrier', $event)"
                :options="
                  (recipe.carriers ?? ['water', 'oil']).map((c) => ({ value: c, label: t(`shed.carrier.${c}`) }))
                "
              />
              <ChoiceField
                v-if="recipe.mayJoin?.length"
                :label="t('mix.with')"
                :model-value="inTank('with')"
                @change="set('with', $event)"
                :options="[
                  { value: '', label: t('mix.withNone') },
                  ...joins(inTank('withAlso')).map((j) => ({ value: j.versionId, label: j.product })),
                ]"
              />
              <ChoiceField
                v-if="inTank('with') && joins(inTank('with')).length"
                :label="t('mix.withAlso')"
                :model-value="inTank('withAlso')"
                @change="set('withAlso', $event)"
                :options="[
                  { value: '', label: t('mix.withNone') },
                  ...joins(inTank('with')).map((j) => ({ value: j.versionId, label: j.product })),
                ]"
              />
              <ChoiceField
                v-if="recipe.carrier.id === 'water'"
                :label="t('mix.water')"
                :model-value="ask.water ?? recipe.water ?? ''"
                @change="set('water', $event)"
                :options="[
                  { value: '', label: t('mix.waterUnknown') },
                  ...WATERS.map((w) => ({ value: w, label: t(`mix.waters.${w}`) })),
                ]"
              />
              <ChoiceField
                v-if="
                  recipe.additivesForWater !== null || recipe.words.some((w) => w.code.startsWith('mix.additives-'))
                "
                :label="t('mix.additivesForWater')"
                :model-value="
                  ask.additivesForWater ??
                  (recipe.additivesForWater === null ? '' : recipe.additivesForWater ? 'yes' : 'no')
                "
                @change="set('additivesForWater', $event)"
                :options="[
                  { value: '', label: t('shed.notRead') },
                  { value: 'yes', label: t('shed.word.yes') },
                  { value: 'no', label: t('shed.word.no') },
                ]"
              />
              <QuantityField
                :label="t('mix.leftover')"
                width="7em"
                sample="0.5 gal"
                :model-value="ask.leftover ?? recipe.leftover ?? ''"
                @change="set('leftover', $event)"
              />
              <ChoiceField
                v-if="(ask.leftover ?? recipe.leftover ?? '') !== ''"
                :label="t('mix.leftoverFrom')"
                :model-value="ask.leftoverFrom ?? recipe.leftoverFrom ?? ''"
                @change="set('leftoverFrom', $event)"
                :options="[
                  { value: '', label: t('mix.leftoverUnknown') },
                  ...recipe.leftOver.map((b) => ({ value: b.id, label: `${b.title}, ${b.contents}` })),
                ]"
              />
              <TextField
                :label="t('mix.people')"
                width="9em"
                inputmode="numeric"
                maxlength="2"
                :model-value="String(ask.people ?? recipe.people)"
                @change="set('people', $event)"
              />
            </div>
            <details :open="EXTRAS.some((e) => typed(e) !== '')">
              <summary>{{ t('mix.additives') }}</summary>
              <div class="row">
                <TextField
                  v-for="e in EXTRAS"
                  :key="e"
                  :label="t(`mix.extra.${e}`)"
                  width="9em"
                  :placeholder="SAMPLE[e]"
                  :model-value="typed(e)"
                  @change="set(e, $event)"
                />
              </div>
              <p class="small soft">{{ t('mix.leftoverHelp') }}</p>
            </details>
            <template v-for="cup in cups" :key="cup.what ?? cup.tool">
              <h3>
                <template v-if="several">{{ cup.product }}: </template>{{ t('mix.measure', { tool: cup.tool }) }}
              </h3>
              <MeasureDrawing :cup="cup" />
            </template>
            <template v-if="recipe.drawing"
              ><h3>{{ t('mix.onStem', { diameter: format(recipe.drawing.diameter) }) }}</h3>
              <StemDrawing :drawing="recipe.drawing" :format="format"
            /></template>
            <p v-for="(l, i) in recipe.learned" :key="i" class="small">{{ format(l) }}</p>
            <details>
              <summary>{{ t('mix.how') }}</summary>
              <table>
                <tbody>
                  <tr v-for="w in working" :key="w.name">
                    <td>{{ w.name }}</td>
                    <td>
                      <b>{{ w.value }}</b>
                    </td>
                  </tr>
                </tbody>
              </table>
              <p class="small soft">{{ t('mix.guess') }}</p>
            </details>
          </section>
        </div>
      </template>
    </ViewTabs>
  </div>
</template>

<style scoped>
.big {
  font-size: var(--size-l);
}
.loading {
  display: grid;
  grid-template-columns: 120px minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}
.loading ol {
  display: grid;
  gap: 8px;
}
.loading :deep(.amount) {
  font-size: var(--size-l);
}
</style>
