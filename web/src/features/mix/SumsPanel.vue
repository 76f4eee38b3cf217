<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { sumsQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';
import BuySum from './BuySum.vue';

/**
 * The sums of mixing in every direction: say what is known, and the rest follows, or it is said what does not go
 * together.
 */
const { t } = useI18n();
const { format } = useSession();
const { busy, refusal, run, at } = useSubmit();
const { data, error } = useQuery(sumsQuery());
const pickedId = ref('make-up');
const picked = computed(() => data.value?.sums.find((s) => s.id === pickedId.value) ?? null);
const known = ref<Record<string, string>>({});
const soil = ref<Record<string, string>>({});
const solved = ref<Schemas['SolvedSum'] | null>(null);
watch(pickedId, () => {
  known.value = {};
  soil.value = {};
  solved.value = null;
});
const fields = computed(() => picked.value?.fields.filter((f) => !f.derived) ?? []);
const name = (id: string): string => picked.value?.fields.find((f) => f.id === id)?.name ?? id;
const solve = async (): Promise<void> => {
  const given = Object.fromEntries(
    Object.entries({ ...known.value, ...(pickedId.value === 'by-soil' ? soil.value : {}) }).filter(
      ([, v]) => v.trim() !== '',
    ),
  );
  const done = await run(() => unwrap(api.POST('/mix/sums', { body: { sum: pickedId.value, known: given } })));
  if (done) solved.value = done;
};
/** Said of the whole, and not of one figure beside its field. */
const nothingKnown = computed(
  () => refusal.value?.problem?.errors?.find((e) => e.pointer === '/known')?.message ?? null,
);
const found = computed(
  () =>
    solved.value?.values.filter(
      (v) => !v.given && v.value.value !== '0' && v.field !== 'carrierShare' && v.field !== 'more',
    ) ?? [],
);
const SOILS = ['coarse', 'medium', 'fine'] as const;
</script>

<template>
  <LoadFault v-if="error && !data" :of="error" />
  <div v-if="data" class="bench sums">
    <section class="stack" :aria-label="t('sums.which')">
      <p class="small soft">{{ t('sums.help') }}</p>
      <div class="list">
        <button
          v-for="s in data.sums"
          :key="s.id"
          type="button"
          class="one"
          :class="{ picked: s.id === pickedId }"
          :aria-pressed="s.id === pickedId"
          @click="pickedId = s.id"
        >
          <b>{{ s.name }}</b> <span class="small soft">{{ s.help }}</span>
        </button>
        <button
          type="button"
          class="one"
          :class="{ picked: pickedId === 'buy' }"
          :aria-pressed="pickedId === 'buy'"
          @click="pickedId = 'buy'"
        >
          <b>{{ t('sums.buy') }}</b> <span class="small soft">{{ t('sums.buyHelp') }}</span>
        </button>
      </div>
    </section>
    <section v-if="pickedId === 'buy'" class="stack why" :aria-label="t('sums.buy')">
      <BuySum />
    </section>
    <section v-else-if="picked" class="stack why" :aria-label="picked.name">
      <h2>{{ picked.name }}</h2>
      <form class="stack" novalidate @submit.prevent="solve">
        <div class="row">
          <TextField
            v-for="f in fields"
            :key="`${picked.id}-${f.id}`"
            v-model="known[f.id]"
            :label="f.name"
            :fault="at(`/known/${f.id}`)"
            width="9.5em"
            :placeholder="f.sample"
          />
        </div>
        <div v-if="picked.id === 'by-soil'" class="row">
          <ChoiceField
            v-model="soil.soil"
            :label="t('sums.soil')"
            :options="[
              { value: '', label: t('sums.noSoil') },
              ...SOILS.map((c) => ({ value: c, label: t(`sums.soils.${c}`) })),
            ]"
          />
          <QuantityField
            v-for="c in SOILS"
            :key="c"
            v-model="soil[c]"
            :label="t(`sums.soils.${c}`)"
            :fault="at(`/known/${c}`)"
            width="8em"
            sample="2.25 tsp/gal"
          />
          <span class="fault">{{
            at('/known/soil') ?? at('/known/coarse') ?? at('/known/medium') ?? at('/known/fine')
          }}</span>
        </div>
        <p v-if="nothingKnown" class="fault" role="alert">{{ nothingKnown }}</p>
        <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
        <ActButton main type="submit" :busy="busy">{{ t('sums.solve') }}</ActButton>
      </form>
      <div v-if="solved" class="stack" aria-live="polite">
        <p v-for="(u, i) in solved.unchecked" :key="i" class="warn">{{ format(u) }}</p>
        <p v-for="w in solved.warnings" :key="w.code + w.field" class="warn">{{ format(w.text) }}</p>
        <p v-for="f in solved.faults" :key="f.code + f.field" class="warn">{{ format(f.text) }}</p>
        <p v-if="solved.correction" :class="solved.correction.fits === false ? 'warn' : 'note'">
          {{ format(solved.correction.text) }}
        </p>
        <table v-if="found.length && solved.faults.length === 0">
          <tbody>
            <tr v-for="v in found" :key="v.field">
              <td>{{ v.name }}</td>
              <td>
                <b class="amount">{{ format(v.value) }}</b>
              </td>
              <td class="small soft">
                {{ v.value.shown.us === format(v.value) ? v.value.shown.metric : v.value.shown.us }}
              </td>
            </tr>
          </tbody>
        </table>
        <p v-if="solved.nominal" class="small note">{{ t('sums.nominal') }}</p>
        <template v-if="solved.ways">
          <p class="small soft">{{ solved.ways.parts }} · {{ solved.ways.written.join(' · ') }}</p>
          <p v-if="solved.ways.trap" class="small">{{ solved.ways.trap }}</p>
        </template>
        <p v-if="solved.tool" class="small">{{ format(solved.tool.text) }}</p>
        <p v-if="solved.tool?.short" class="warn">{{ t('sums.underLeast') }}</p>
        <template v-if="solved.next.length && solved.faults.length === 0">
          <p class="small">{{ t('sums.next') }}</p>
          <ul class="small">
            <li v-for="(n, i) in solved.next" :key="i">
              {{ t('sums.way', { missing: n.missing.join(', '), gives: n.gives.join(', ') }) }}
            </li>
          </ul>
        </template>
      </div>
      <details>
        <summary>{{ t('sums.ways') }}</summary>
        <table class="small">
          <thead>
            <tr>
              <th>{{ t('sums.known') }}</th>
              <th>{{ t('sums.gives') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(w, i) in picked.ways" :key="i">
              <td>{{ w.known.map(name).join(', ') }}</td>
              <td>{{ w.gives.map(name).join(', ') }}</td>
            </tr>
          </tbody>
        </table>
      </details>
      <p class="small soft">{{ t('mix.care') }}</p>
    </section>
  </div>
</template>

<style scoped>
.sums {
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
}
.list {
  border-bottom: 1px solid var(--rule);
}
.one {
  display: grid;
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  border-top: 1px solid var(--rule);
  padding: 8px 10px;
  min-height: var(--touch);
  cursor: pointer;
}
.one.picked {
  background: var(--sloe-pale);
  box-shadow: inset 4px 0 0 var(--sloe);
}
.amount {
  font-size: var(--size-l);
}
@media (max-width: 860px) {
  .sums {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
