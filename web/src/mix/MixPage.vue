<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { recipeQuery, shedQuery } from '@/api/queries';
import { useAct } from '@/composables/useAct';
import { useSession } from '@/composables/useSession';
import { useStand } from '@/composables/useStand';
import CupDrawing from './CupDrawing.vue';
import StemDrawing from './StemDrawing.vue';
import TankDrawing from './TankDrawing.vue';

const props = defineProps<{ stand: string }>();
const { t, te } = useI18n();
const { say, units, mayWrite } = useSession();
const { stand, took } = useStand(() => props.stand);
const { busy, refusal, run, at } = useAct();
const client = useQueryClient();
const { data: shed } = useQuery(shedQuery());

const sprayerId = ref<string | null>(null);
const dye = ref('');
const dyeAsked = ref('');
const stepId = computed(() => (stand.value?.step?.usesProduct ? stand.value.step.id : null));
const { data: recipe, error } = useQuery(
  computed(() => ({ ...recipeQuery(stepId.value ?? '', sprayerId.value, dyeAsked.value), enabled: stepId.value !== null, placeholderData: (old: Schemas['Recipe'] | undefined) => old })),
);
const cup = computed(() => recipe.value?.measure.find((m) => m.system === units.value) ?? null);
const working = computed(() =>
  Object.entries(recipe.value?.working ?? {}).map(([name, v]) => ({
    name: te(`mix.working.${name}`) ? t(`mix.working.${name}`) : name,
    value: v && typeof v === 'object' && 'shown' in v ? say(v as { shown: { us: string; metric: string } }) : te(`mix.word.${String(v)}`) ? t(`mix.word.${String(v)}`) : String(v),
  })),
);
const save = async (): Promise<void> => {
  const id = stepId.value;
  if (!id || !recipe.value) return;
  const done = await run(() =>
    unwrap(
      api.PUT('/steps/{step}/recipe', {
        params: { path: { step: id }, header: { 'If-Match': `"${recipe.value?.revision ?? 0}"` } },
        body: { ...(sprayerId.value ? { sprayerId: sprayerId.value } : {}), ...(dyeAsked.value ? { dye: dyeAsked.value } : {}) },
      }),
    ),
  );
  if (done) {
    client.setQueryData(recipeQuery(id, sprayerId.value, dyeAsked.value).queryKey, done);
    await took();
  }
};
</script>

<template>
  <div class="stack">
    <h1>
      {{ t('station.mix') }}<template v-if="stand">: {{ stand.name }}</template>
    </h1>
    <div v-if="stand && !stand.step" class="stack">
      <p>{{ t('mix.chooseFirst') }}</p>
      <p>
        <RouterLink class="btn main" :to="{ name: 'methods', params: { stand: props.stand } }">{{ t('station.methods') }}</RouterLink>
      </p>
    </div>
    <div v-else-if="stand && !stand.step?.usesProduct" class="stack">
      <p>{{ t('mix.noProduct', { name: stand.step?.method.name ?? '' }) }}</p>
      <p>
        <RouterLink class="btn main" :to="{ name: 'field-day', params: { stand: props.stand } }">{{ t('station.field-day') }}</RouterLink>
      </p>
    </div>
    <p v-if="error" class="fault" role="alert">{{ error.message }}</p>
    <div v-if="recipe" class="bench">
      <section class="stack" aria-labelledby="pour-h">
        <h2 id="pour-h" class="visually-hidden">{{ t('mix.pour') }}</h2>
        <template v-if="recipe.product && recipe.need">
          <p class="pour">{{ say(recipe.product) }}</p>
          <p class="big">{{ t('mix.then', { carrier: recipe.carrier.name, mark: say(recipe.need) }) }}</p>
        </template>
        <p v-for="m in recipe.missing" :key="m.fact" class="warn">{{ t('mix.need', { fact: m.name }) }}</p>
        <p v-for="b in recipe.blocks" :key="b.code" class="warn">{{ b.text }}</p>
        <p v-if="recipe.card">
          <b>{{ recipe.card.product }}</b> <span class="soft small">{{ t('mix.version', { n: recipe.card.version }) }}</span>
        </p>
        <p v-else class="note">
          {{ t('mix.noCard') }} <RouterLink :to="{ name: 'shed' }">{{ t('station.shed') }}</RouterLink>
        </p>
        <p v-if="recipe.strength">
          {{ t('mix.strength') }} <b>{{ say(recipe.strength.percent) }}</b>. {{ say(recipe.strength.why) }}
        </p>
        <p v-if="recipe.ceiling?.planned" class="small">{{ t('mix.ceiling', { planned: say(recipe.ceiling.planned), most: say(recipe.ceiling.most) }) }}</p>
        <div class="row">
          <label class="label"
            >{{ t('mix.sprayer') }}
            <select class="field" :value="sprayerId ?? recipe.sprayer?.id ?? ''" @change="sprayerId = ($event.target as HTMLSelectElement).value || null">
              <option value="">{{ t('mix.noSprayer') }}</option>
              <option v-for="s in shed?.sprayers ?? []" :key="s.id" :value="s.id">{{ s.name }}, {{ say(s.tank) }}</option>
            </select>
          </label>
          <label class="label"
            >{{ t('mix.dye') }}<input v-model="dye" class="field" style="width: 9em" placeholder="0.25 fl oz/gal" @change="dyeAsked = dye" /><span class="fault">{{ at('/dye') }}</span></label
          >
        </div>
        <div v-for="(load, i) in recipe.loads" :key="i" class="stack sheetlike">
          <h3>{{ load.part ? t('mix.partLoad') : t('mix.fullLoads', { n: load.times }) }}: {{ say(load.finished) }}</h3>
          <div class="loading">
            <TankDrawing :load="load" :say="say" />
            <ol>
              <li v-for="s in load.steps" :key="s.what">
                <b class="amount">{{ say(s.amount) }}</b> {{ s.name }} <span class="small soft">{{ t('mix.mark', { mark: say(s.mark) }) }}</span>
              </li>
            </ol>
          </div>
        </div>
        <div class="row">
          <button v-if="mayWrite" class="btn main" type="button" :disabled="busy || !recipe.finished || (recipe.saved && sprayerId === null && dyeAsked === '')" @click="save">
            {{ recipe.saved && sprayerId === null && dyeAsked === '' ? t('mix.saved') : t('mix.save') }}
          </button>
          <RouterLink v-if="recipe.saved" class="btn" :to="{ name: 'field-day', params: { stand: props.stand } }">{{ t('mix.toField') }}</RouterLink>
        </div>
        <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
        <p class="small soft">{{ t('mix.care') }}</p>
      </section>
      <section class="stack why">
        <template v-if="cup">
          <h3>{{ t('mix.measure', { tool: cup.tool }) }}</h3>
          <CupDrawing :cup="cup" />
        </template>
        <template v-if="recipe.drawing"
          ><h3>{{ t('mix.onStem', { diameter: say(recipe.drawing.diameter) }) }}</h3>
          <StemDrawing :drawing="recipe.drawing" :say="say"
        /></template>
        <details open>
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
  </div>
</template>

<style scoped>
.big {
  font-size: var(--size-l);
}
.loading {
  display: grid;
  grid-template-columns: 110px minmax(0, 1fr);
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
</style>
