<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import FillStep from '@/components/figures/FillStep.vue';
import SaidAmount from '@/components/figures/SaidAmount.vue';
import { useSaid } from '@/components/figures/useSaid';
import PourLine from '@/components/figures/PourLine.vue';
import { useSession } from '@/composables/useSession';
import WateringIn from './WateringIn.vue';

/** A job sheet: issued, with its number; or as it would be today. */
const props = defineProps<{
  snapshot: Schemas['SheetSnapshot'];
  issued?: Schemas['Sheet'];
}>();
const { t } = useI18n();
const { format, units } = useSession();
const { mark } = useSaid();
/** What to measure for each load; sheets of before tell the first alone. */
const cupsOf = (load: Schemas['Load'], i: number): Schemas['Measure'][] =>
  (load.measure ?? (i === 0 ? (props.snapshot.recipe?.measure ?? []) : [])).filter((m) => m.system === units.value);
/** Every product of the tank; sheets of before name one. */
const products = computed(() => {
  const s = props.snapshot;
  return s.product ? [s.product, ...(s.partners ?? [])] : [];
});
/** Sheets of before say nothing of why. */
const reason = computed(() => {
  const r = props.snapshot.reason;
  return r && (r.for || r.why || r.snags || r.evidence.length) ? r : null;
});
/** Papers held and people told; sheets of before say nothing of it. */
const agreed = computed(() => (props.snapshot.duties ?? []).filter((d) => d.settled !== null));
const several = computed(() => (props.snapshot.recipe?.products?.length ?? 1) > 1);
const strictest = computed(() => props.snapshot.strictest ?? props.snapshot.product);
</script>

<template>
  <article class="stack sheetlike">
    <header>
      <p class="soft">
        <template v-if="issued">{{ t('field.sheet', { n: issued.number }) }}</template><template v-else>{{
          t('field.asItWouldBe')
        }}</template>
        · {{ dayText(snapshot.day, true)
        }}<template v-if="issued"> · {{ t('field.by', { name: snapshot.issuedBy }) }}</template>
      </p>
      <h2>{{ snapshot.method.name }}: {{ snapshot.target.name }}</h2>
      <p>
        <span class="latin">{{ snapshot.target.scientific }}</span> · {{ snapshot.place.patch }},
        {{ snapshot.place.ground }}
      </p>
    </header>
    <p v-for="l in snapshot.lookAlikes" :key="l.name" class="warn">
      <b>{{ t('field.notTaken', { name: l.name }) }}</b> {{ l.tests.join(' ') }}
    </p>
    <p v-for="p in snapshot.passes" :key="p.gate" class="note">
      <b>{{ t('field.passed') }}</b> {{ p.text }} {{ p.reason }}
    </p>
    <div v-if="snapshot.recipe">
      <PourLine :recipe="snapshot.recipe" />
      <p>
        {{
          t(several ? 'mix.thenOf' : 'mix.then', {
            carrier: snapshot.recipe.carrier.name,
            mark: mark(snapshot.recipe.need),
          })
        }}
        ·
        {{ products.map((p) => `${p.name} (${p.registration})`).join(', ') }}
      </p>
    </div>
    <template v-if="snapshot.recipe">
      <div v-for="(load, i) in snapshot.recipe.loads" :key="i">
        <p>
          <b>{{ load.part ? t('mix.partLoad') : t('mix.fullLoads', { n: load.times }, load.times) }}</b>
          <SaidAmount :of="load.finished" />
        </p>

        <ol>
          <li v-for="step in load.steps" :key="step.what">
            <FillStep :load="{ measure: cupsOf(load, i) }" :step="step" />
          </li>
        </ol>
      </div>
    </template>
    <p v-if="snapshot.sprayer">{{ t('field.with', { name: snapshot.sprayer.name }) }}</p>
    <ul v-if="strictest" class="plain">
      <li>
        {{
          strictest.reentryHours === null
            ? t('field.reentryUnknown')
            : t('field.reentry', { n: strictest.reentryHours })
        }}
      </li>
      <li>
        {{
          strictest.rainfastHours === null
            ? t('field.rainfastUnknown')
            : t('field.rainfast', { n: strictest.rainfastHours })
        }}
      </li>
      <li v-if="strictest.waterBuffer">{{ t('field.buffer', { buffer: format(strictest.waterBuffer) }) }}</li>
    </ul>
    <WateringIn v-if="issued && snapshot.recipe?.watering" :id="issued.id" :watering="snapshot.recipe.watering" />
    <template v-if="snapshot.startOnlyIf.length">
      <h3>{{ t('field.startOnlyIf') }}</h3>
      <ul>
        <li v-for="l in snapshot.startOnlyIf" :key="l.fact + l.comparator">{{ format(l.text) }}</li>
      </ul>
    </template>
    <p v-if="snapshot.clock" class="note">
      <b>{{ format(snapshot.clock) }}</b>
    </p>
    <template v-if="snapshot.reason?.roles?.length">
      <h3>{{ t('field.roles') }}</h3>
      <ul>
        <li v-for="(role, i) in snapshot.reason.roles" :key="i">{{ format(role) }}</li>
      </ul>
    </template>
    <template v-if="agreed.length">
      <h3>{{ t('field.agreed') }}</h3>
      <ul>
        <li v-for="d in agreed" :key="d.name + d.keeper">
          {{ d.name }}<template v-if="d.keeper"> ({{ d.keeper }})</template>: {{ d.settled?.who
          }}<template v-if="d.settled?.number">, {{ t('duty.numbered', { number: d.settled.number }) }}</template>
          <template v-if="d.settled">, {{ dayText(d.settled.on, true) }}</template>
          <template v-if="d.settled?.until">
            · {{ t('duty.holdsTill', { day: dayText(d.settled.until, true) }) }}</template
          >
          <span v-if="d.settled?.text" class="soft"> {{ d.settled.text }}</span>
        </li>
      </ul>
    </template>
    <p v-if="snapshot.standing" class="warn">{{ format(snapshot.standing.text) }}</p>
    <h3>{{ t('field.do') }}</h3>
    <ol>
      <li v-for="s in snapshot.method.steps" :key="s">{{ s }}</li>
    </ol>
    <template v-if="reason">
      <h3>{{ t('field.whySo') }}</h3>
      <p v-if="reason.for">
        <b>{{ t('field.doneFor') }}</b> {{ reason.for }}
      </p>
      <p v-if="reason.why">
        <b>{{ t('field.chosenBecause') }}</b> {{ reason.why }}
      </p>
      <p v-if="reason.snags" class="warn">{{ reason.snags }}</p>
      <ul>
        <li v-for="(one, i) in reason.evidence" :key="i">
          {{ format(one.text) }} <span class="soft small">{{ one.source }}</span>
        </li>
      </ul>
    </template>
    <h3>{{ t('field.wear') }}</h3>
    <ul>
      <li v-for="w in snapshot.wearing" :key="w">{{ w }}</li>
      <li v-for="p in products.filter((x) => x.wearing)" :key="p.name">{{ t('field.card') }} {{ p.wearing }}</li>
    </ul>
    <h3>{{ t('field.mind') }}</h3>
    <ul>
      <li v-for="c in snapshot.cautions" :key="c">{{ c }}</li>
    </ul>
    <h3>{{ t('field.kit') }}</h3>
    <ul>
      <li v-for="k in snapshot.kit" :key="k">{{ k }}</li>
    </ul>
    <template v-if="snapshot.cleanUp?.length">
      <h3>{{ t('field.cleanUp') }}</h3>
      <ol>
        <li v-for="c in snapshot.cleanUp" :key="c.code">{{ c.name }}</li>
      </ol>
    </template>
    <p v-if="snapshot.jurisdiction" class="small">
      <b>{{ t('field.jurisdiction') }}</b> {{ snapshot.jurisdiction }}
    </p>
    <div class="warn">
      <h3>{{ t('field.emergency') }}</h3>
      <p>
        {{ t('field.poison') }} <b>{{ snapshot.emergency.poisonCentre ?? t('field.poisonUnset') }}</b>
      </p>
      <p>{{ snapshot.emergency.place }} ({{ snapshot.emergency.position }})</p>
      <p v-for="p in products.filter((x) => x.firstAid)" :key="p.name">
        <b v-if="several">{{ p.name }}: </b>{{ p.firstAid }}
      </p>
    </div>
  </article>
</template>
