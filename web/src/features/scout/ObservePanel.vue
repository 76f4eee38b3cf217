<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { FACTS } from '@/api/vocabulary';
import { api, jobNow, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import DayField from '@/components/form/DayField.vue';
import FieldItem from '@/components/form/FieldItem.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';

const props = defineProps<{ stand: Schemas['Stand'] }>();
const { t, te } = useI18n();
const { mayWrite, format } = useSession();
const { busy, refusal, run, at } = useSubmit();

/** What to note, by where one looks. */
const GROUPS: readonly { key: string; facts: readonly string[] }[] = [
  {
    key: 'plant',
    facts: [
      'stage',
      'also-stage',
      'leaf-count',
      'height',
      'bark-texture',
      'bark-thickness',
      'root-form',
      'bark-diseased',
      'first-found',
      'fruiting',
      'fresh-flush',
      'leaf-damage',
      'weeds-up',
      'above-keepers',
      'leaf-out',
      'green-leaf',
      'leaves-limp',
      'shade',
      'target-cover',
      'cover',
      'purpose',
      'treat-from',
      'treat-below',
    ],
  },
  {
    key: 'day',
    facts: [
      'bark-wetness',
      'leaf-wetness',
      'snow-at-base',
      'wind-speed',
      'wind-from',
      'air-temperature',
      'drought',
      'bees-flying',
      'flowers-around',
      'freeze-on',
      'litter',
    ],
  },
  {
    key: 'ground',
    facts: [
      'soil-moisture',
      'soil-temperature-30cm',
      'soil-texture',
      'slope',
      'grass-at-base',
      'silt-on-bark',
      'water-distance',
      'shallow-groundwater',
      'last-mown',
      'soil-workable',
      'cover-kind',
      'sown-next',
      'sown-crop',
      'crop-up',
      'self-sown-kept',
      'floods',
      'sprayed-lately',
      'working-depth',
      'grass-form',
      'thorns-kept',
    ],
  },
  {
    key: 'orchard',
    facts: [
      'planted-on',
      'planted-trees',
      'floor',
      'irrigated',
      'trunk-guards',
      'green-bark',
      'row-spacing',
      'strip-side',
      'treated-area',
      'trunk-diameter',
    ],
  },
  {
    key: 'people',
    facts: [
      'public-way',
      'children-pets',
      'school-ground',
      'local-rule',
      'volunteers',
      'hours-at-hand',
      'food-taken',
      'stock-kind',
      'grazed-from',
      'hay-on',
      'debris-gone',
      'hives-near',
      'felling-planned',
      'removal-for',
      'kept-as-snags',
    ],
  },
];

const fact = ref('stage');
const value = ref('');
const choices = computed(() => {
  const said = FACTS[fact.value];
  return typeof said === 'string' ? [] : (said ?? []);
});
const kind = computed(() => (choices.value.length ? 'choice' : FACTS[fact.value]));
const worded = (v: unknown): string => {
  if (v === true) return t('scout.yes');
  if (v === false) return t('scout.no');
  return typeof v === 'string' ? (te(`value.${v}`) ? t(`value.${v}`) : v) : ((v as { typed?: string })?.typed ?? '');
};
const facts = computed(() =>
  GROUPS.flatMap((g) => g.facts.map((f) => ({ value: f, label: t(`fact.${f}`), group: t(`scout.look.${g.key}`) }))),
);
const answers = computed(() =>
  (kind.value === 'yes-no' ? ['yes', 'no'] : choices.value).map((v) => ({
    value: v,
    label: kind.value === 'yes-no' ? t(`scout.${v}`) : worded(v),
  })),
);
/** So many answers and no more stand beside each other. */
const MOST_TAPPED = 8;
const tapped = computed(() => answers.value.length > 0 && answers.value.length <= MOST_TAPPED);
/** Nothing is chosen before somebody chose. */
const chosen = computed({ get: () => value.value || null, set: (v) => (value.value = v ?? '') });
const note = async (answer: string): Promise<void> => {
  value.value = answer;
  await save();
};
/** What a probe in the soil can say of the fact that is being noted. */
const PROBED = ['soil-temperature-30cm', 'soil-moisture'];
const readProbe = async (): Promise<void> => {
  const reading = await run(() =>
    unwrap(api.GET('/grounds/{ground}/probe', { params: { path: { ground: props.stand.groundId } } })),
  );
  if (!reading) return;
  const said = fact.value === 'soil-moisture' ? reading.moisture : reading.soil && format(reading.soil);
  if (said && fact.value === 'soil-moisture') await note(said);
  else value.value = said ?? '';
};
const save = async (): Promise<void> => {
  const given = kind.value === 'yes-no' ? value.value === 'yes' : value.value;
  const done = await run(() =>
    unwrap(
      api.POST('/patches/{patch}/observations', {
        params: { path: { patch: props.stand.patchId } },
        body: {
          facts: [
            {
              fact: fact.value,
              value: given,
              at: jobNow().toISOString(),
              ...(fact.value === 'leaf-out' && props.stand.species ? { species: props.stand.species } : {}),
            },
          ],
        },
      }),
    ),
  );
  if (done) {
    value.value = '';
  }
};
</script>

<template>
  <section class="stack" aria-labelledby="observe-h">
    <h2 id="observe-h">{{ t('scout.observed') }}</h2>
    <p v-if="stand.stage" class="small">
      {{ t('scout.stage') }} <b>{{ stand.stage.name }}</b> ({{ t(`certainty.${stand.stage.certainty}`)
      }}<template v-if="stand.stage.certainty === 'estimated' && stand.stage.why">: {{ stand.stage.why }}</template
      >)
      <template v-if="stand.stage.couldBe.length">{{
        t('scout.couldBe', { stages: stand.stage.couldBe.join(', ') })
      }}</template>
    </p>
    <ul class="ruled plain">
      <li v-for="f in stand.facts" :key="f.fact">
        <b>{{ worded(f.value) }}</b> <span class="soft">{{ f.name }} · {{ dayText(f.at.slice(0, 10), true) }}</span>
        <span v-if="f.stale" class="fault">{{ t('scout.stale') }}</span>
      </li>
      <li v-if="stand.facts.length === 0" class="soft">{{ t('scout.nothingSeen') }}</li>
    </ul>
    <form v-if="mayWrite" class="row" novalidate @submit.prevent="save">
      <ChoiceField v-model="fact" :label="t('scout.fact')" width="15em" :options="facts" @change="value = ''" />
      <!-- a few answers stay in sight: the tap on one notes it -->
      <FieldItem v-if="tapped" :label="t('scout.is')" :fault="at('/facts/0')">
        <div class="row taps">
          <ActButton v-for="a in answers" :key="a.value" small :disabled="busy" @click="note(a.value)">{{
            a.label
          }}</ActButton>
        </div>
      </FieldItem>
      <ChoiceField
        v-else-if="kind === 'choice'"
        v-model="chosen"
        :label="t('scout.is')"
        :fault="at('/facts/0')"
        width="12em"
        :options="answers"
      />
      <DayField v-else-if="kind === 'day'" v-model="value" :label="t('scout.is')" :fault="at('/facts/0')" />
      <QuantityField
        v-else-if="kind === 'amount'"
        v-model="value"
        :label="t('scout.is')"
        :fault="at('/facts/0')"
        width="12em"
        :sample="t(`example.${fact}`)"
      />
      <TextField v-else v-model="value" :label="t('scout.is')" :fault="at('/facts/0')" width="12em" />
      <ActButton v-if="PROBED.includes(fact)" quiet :busy="busy" @click="readProbe">{{ t('scout.probe') }}</ActButton>
      <ActButton v-if="!tapped" type="submit" :busy="busy" :disabled="value === ''">{{ t('scout.note') }}</ActButton>
    </form>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
  </section>
</template>

<style scoped>
.taps {
  gap: 4px;
}
</style>
