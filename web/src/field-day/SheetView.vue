<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';

const props = defineProps<{ sheet: Schemas['Sheet'] }>();
const { t } = useI18n();
const { say, units } = useSession();
const cup = computed(() => props.sheet.snapshot.recipe?.measure.find((m) => m.system === units.value) ?? null);
</script>

<template>
  <article class="stack sheetlike">
    <header>
      <p class="soft">{{ t('field.sheet', { n: sheet.number }) }} · {{ dayText(sheet.snapshot.day, true) }} · {{ t('field.by', { name: sheet.snapshot.issuedBy }) }}</p>
      <h2>{{ sheet.snapshot.method.name }}: {{ sheet.snapshot.target.name }}</h2>
      <p>
        <span class="latin">{{ sheet.snapshot.target.scientific }}</span> · {{ sheet.snapshot.place.patch }}, {{ sheet.snapshot.place.ground }}
      </p>
    </header>
    <p v-for="l in sheet.snapshot.lookAlikes" :key="l.name" class="warn">
      <b>{{ t('field.notTaken', { name: l.name }) }}</b> {{ l.tests.join(' ') }}
    </p>
    <p v-for="p in sheet.snapshot.passes" :key="p.gate" class="note">
      <b>{{ t('field.passed') }}</b> {{ p.text }} {{ p.reason }}
    </p>
    <div v-if="sheet.snapshot.recipe">
      <p class="pour">{{ say(sheet.snapshot.recipe.product) }}</p>
      <p>
        {{ t('mix.then', { carrier: sheet.snapshot.recipe.carrier.name, mark: say(sheet.snapshot.recipe.need) }) }} · {{ sheet.snapshot.product?.name }} ({{ sheet.snapshot.product?.registration }})
      </p>
    </div>
    <template v-if="sheet.snapshot.recipe">
      <p v-if="cup">
        {{ t('field.measure', { tool: cup.tool }) }} <template v-if="cup.fullCups">{{ t('mix.fullCups', { n: cup.fullCups, holds: cup.holds }) }}</template> <b>{{ cup.lastFill }}</b>
      </p>
      <div v-for="(load, i) in sheet.snapshot.recipe.loads" :key="i">
        <p>
          <b>{{ load.part ? t('mix.partLoad') : t('mix.fullLoads', { n: load.times }) }}</b> {{ say(load.finished) }}
        </p>
        <ol>
          <li v-for="step in load.steps" :key="step.what">
            {{ step.name }} <b>{{ say(step.amount) }}</b>
          </li>
        </ol>
      </div>
    </template>
    <template v-if="sheet.snapshot.startOnlyIf.length">
      <h3>{{ t('field.startOnlyIf') }}</h3>
      <ul>
        <li v-for="l in sheet.snapshot.startOnlyIf" :key="l.fact + l.comparator">{{ say(l.text) }}</li>
      </ul>
    </template>
    <p v-if="sheet.snapshot.clock" class="note">
      <b>{{ say(sheet.snapshot.clock) }}</b>
    </p>
    <h3>{{ t('field.do') }}</h3>
    <ol>
      <li v-for="s in sheet.snapshot.method.steps" :key="s">{{ s }}</li>
    </ol>
    <h3>{{ t('field.wear') }}</h3>
    <ul>
      <li v-for="w in sheet.snapshot.wearing" :key="w">{{ w }}</li>
      <li v-if="sheet.snapshot.product?.wearing">{{ t('field.card') }} {{ sheet.snapshot.product.wearing }}</li>
    </ul>
    <h3>{{ t('field.mind') }}</h3>
    <ul>
      <li v-for="c in sheet.snapshot.cautions" :key="c">{{ c }}</li>
    </ul>
    <h3>{{ t('field.kit') }}</h3>
    <ul>
      <li v-for="k in sheet.snapshot.kit" :key="k">{{ k }}</li>
    </ul>
    <div class="warn">
      <h3>{{ t('field.emergency') }}</h3>
      <p>
        {{ t('field.poison') }} <b>{{ sheet.snapshot.emergency.poisonCentre ?? t('field.poisonUnset') }}</b>
      </p>
      <p>{{ sheet.snapshot.emergency.place }} ({{ sheet.snapshot.emergency.position }})</p>
      <p v-if="sheet.snapshot.product?.firstAid">{{ sheet.snapshot.product.firstAid }}</p>
    </div>
  </article>
</template>
