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

const props = defineProps<{ stand: string }>();
const { t, te } = useI18n();
const { format, units, mayWrite } = useSession();
const { stand } = useStand(() => props.stand);
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
    <ViewTabs v-model="view" :views="views" :label="t('mix.views')" />
    <SumsPanel v-if="view === 'sums'" />
    <template v-else>
      <div v-if="stand && !stand.step" class="stack">
        <p>{{ t('mix.chooseFirst') }}</p>
        <p>
          <RouterLink class="btn main" :to="{ name: 'methods', params: { stand: props.stand } }">{{
            t('station.methods')
          }}</RouterLink>
        </p>
      </div>
      <div v-else-if="stand && !stand.step?.usesProduct" class="stack">
        <p>{{ t('mix.noProduct', { name: stand.step?.method.name ?? '' }) }}</p>
        <p>
          <RouterLink class="btn main" :to="{ name: 'field-day', params: { stand: props.stand } }">{{
            t('station.field-day')
          }}</RouterLink>
        </p>
      </div>
      <p v-if="error" class="fault" role="alert">{{ error.message }}</p>
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
              {{ t(several ? 'mix.thenOf' : 'mix.then', { carrier: recipe.carrier.name, mark: format(recipe.need) }) }}
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
            <button v-if="mayWrite" class="btn small" type="button" :disabled="busy" @click="takeCard">
              {{ t('mix.takeCard') }}
            </button>
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
            <h3>{{ loadName(t, load) }}: {{ format(load.finished) }}</h3>
            <div class="loading">
              <TankDrawing :load="load" :format="format" />
              <ol>
                <li v-for="s in load.steps" :key="s.what">
                  <b class="amount">{{ format(s.amount) }}</b> {{ s.name }}
                  <span class="small soft">{{ t('mix.mark', { mark: format(s.mark) }) }}</span>
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
                  <td>{{ format(l.finished) }}</td>
                  <td>{{ format(l.carried) }}</td>
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
            {{ t('mix.plan.water', { water: format(recipe.plan.water), weight: format(recipe.plan.waterWeight) }) }}
          </p>
          <div class="row">
            <button
              v-if="mayWrite"
              class="btn main"
              type="button"
              :disabled="busy || !recipe.finished || (recipe.saved && !asked)"
              @click="save"
            >
              {{ recipe.saved && !asked ? t('mix.saved') : t('mix.save') }}
            </button>
            <button v-if="recipe.saved && !asked" class="btn" type="button" @click="view = 'mixing'">
              {{ t('mix.toMixing') }}
            </button>
            <PaperButton v-if="recipe.saved && !asked" kind="mixing-card" :of="recipe.stepId" :label="t('mix.card')" />
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
            <label class="label"
              >{{ t('mix.sprayer') }}
              <select
                class="field"
                :value="ask.sprayerId ?? recipe.sprayer?.id ?? ''"
                @change="set('sprayerId', ($event.target as HTMLSelectElement).value)"
              >
                <option value="" disabled>{{ t('mix.noSprayer') }}</option>
                <option v-for="s in shed?.sprayers ?? []" :key="s.id" :value="s.id">
                  {{ s.name }}, {{ format(s.tank) }}
                </option>
              </select>
            </label>
            <label class="label"
              >{{ t('mix.carrier') }}
              <select
                class="field"
                :value="ask.carrier ?? recipe.carrier.id"
                @change="set('carrier', ($event.target as HTMLSelectElement).value)"
              >
                <option v-for="c in recipe.carriers ?? ['water', 'oil']" :key="c" :value="c">
                  {{ t(`shed.carrier.${c}`) }}
                </option>
              </select>
            </label>
            <label v-if="recipe.mayJoin?.length" class="label"
              >{{ t('mix.with') }}
              <select
                class="field"
                :value="inTank('with')"
                @change="set('with', ($event.target as HTMLSelectElement).value)"
              >
                <option value="">{{ t('mix.withNone') }}</option>
                <option v-for="j in joins(inTank('withAlso'))" :key="j.versionId" :value="j.versionId">
                  {{ j.product }}
                </option>
              </select>
            </label>
            <label v-if="inTank('with') && joins(inTank('with')).length" class="label"
              >{{ t('mix.withAlso') }}
              <select
                class="field"
                :value="inTank('withAlso')"
                @change="set('withAlso', ($event.target as HTMLSelectElement).value)"
              >
                <option value="">{{ t('mix.withNone') }}</option>
                <option v-for="j in joins(inTank('with'))" :key="j.versionId" :value="j.versionId">
                  {{ j.product }}
                </option>
              </select>
            </label>
            <label v-if="recipe.carrier.id === 'water'" class="label"
              >{{ t('mix.water') }}
              <select
                class="field"
                :value="ask.water ?? recipe.water ?? ''"
                @change="set('water', ($event.target as HTMLSelectElement).value)"
              >
                <option value="" disabled>{{ t('mix.waterUnknown') }}</option>
                <option v-for="w in WATERS" :key="w" :value="w">{{ t(`mix.waters.${w}`) }}</option>
              </select>
            </label>
            <label
              v-if="recipe.additivesForWater !== null || recipe.words.some((w) => w.code.startsWith('mix.additives-'))"
              class="label"
              >{{ t('mix.additivesForWater') }}
              <select
                class="field"
                :value="
                  ask.additivesForWater ??
                  (recipe.additivesForWater === null ? '' : recipe.additivesForWater ? 'yes' : 'no')
                "
                @change="set('additivesForWater', ($event.target as HTMLSelectElement).value)"
              >
                <option value="" disabled>{{ t('shed.notRead') }}</option>
                <option value="yes">{{ t('shed.word.yes') }}</option>
                <option value="no">{{ t('shed.word.no') }}</option>
              </select>
            </label>
            <label class="label"
              >{{ t('mix.leftover')
              }}<input
                class="field"
                style="width: 7em"
                placeholder="0.5 gal"
                :value="ask.leftover ?? recipe.leftover ?? ''"
                @change="set('leftover', ($event.target as HTMLInputElement).value)"
            /></label>
            <label v-if="(ask.leftover ?? recipe.leftover ?? '') !== ''" class="label"
              >{{ t('mix.leftoverFrom') }}
              <select
                class="field"
                :value="ask.leftoverFrom ?? recipe.leftoverFrom ?? ''"
                @change="set('leftoverFrom', ($event.target as HTMLSelectElement).value)"
              >
                <option value="" disabled>{{ t('mix.leftoverUnknown') }}</option>
                <option v-for="b in recipe.leftOver" :key="b.id" :value="b.id">{{ b.title }}, {{ b.contents }}</option>
              </select>
            </label>
            <label class="label"
              >{{ t('mix.people')
              }}<input
                class="field"
                style="width: 4em"
                type="number"
                min="1"
                max="20"
                :value="ask.people ?? recipe.people"
                @change="set('people', ($event.target as HTMLInputElement).value)"
            /></label>
          </div>
          <details :open="EXTRAS.some((e) => typed(e) !== '')">
            <summary>{{ t('mix.additives') }}</summary>
            <div class="row">
              <label v-for="e in EXTRAS" :key="e" class="label"
                >{{ t(`mix.extra.${e}`)
                }}<input
                  class="field"
                  style="width: 9em"
                  :placeholder="SAMPLE[e]"
                  :value="typed(e)"
                  @change="set(e, ($event.target as HTMLInputElement).value)"
              /></label>
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
.amount {
  font-size: var(--size-l);
}
summary {
  min-height: 36px;
  cursor: pointer;
}
</style>
