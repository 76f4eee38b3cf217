<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import PlantDrawing from '@/components/figures/PlantDrawing.vue';

/** A species on one sheet of paper, to be held beside the plant: it is only there when the page is printed. */
defineProps<{ species: Schemas['SpeciesPage']; harm: readonly string[] }>();
const { t } = useI18n();
const TIMES = ['leaf', 'flower', 'fruit', 'bare'] as const;
</script>

<template>
  <article class="field-card">
    <h1>{{ species.name }}</h1>
    <p>
      <span class="latin">{{ species.scientific }}</span>, {{ species.family }}
    </p>
    <p v-for="h in species.hazards" :key="h">
      <b>{{ h }}</b>
    </p>
    <p v-for="l in harm" :key="l">
      <b>{{ l }}</b>
    </p>
    <div class="four">
      <figure v-for="x in TIMES" :key="x">
        <PlantDrawing :drawing="species.drawing" :name="species.name" :time="x" />
        <figcaption>{{ t(`plant.time.${x}`) }}</figcaption>
      </figure>
    </div>
    <p v-for="c in species.characters" :key="c.id" class="look">
      <b>{{ t(`character.${c.id}`) }}</b> {{ c.states.map((x) => x.name).join(', ') }}
    </p>
    <template v-if="species.lookAlikes.length">
      <h2>{{ t('handbook.lookAlikes') }}</h2>
      <div v-for="l in species.lookAlikes" :key="l.id">
        <p>
          <b>{{ l.name }}</b> <span class="latin">{{ l.scientific }}</span>
        </p>
        <p v-for="x in l.tests" :key="x.question">
          {{ x.question }} {{ t('handbook.testPoints', { yes: x.yes, no: x.no }) }}
        </p>
      </div>
    </template>
    <p>{{ t('plant.notPortrait') }}</p>
  </article>
</template>

<style scoped>
.field-card {
  display: none;
}
@media print {
  .field-card {
    display: block;
    font-size: 11pt;
  }
  .four {
    display: grid;
    grid-template-columns: repeat(4, 1fr);
    gap: 8px;
  }
  figure {
    margin: 0;
    text-align: center;
  }
  .look {
    display: inline-block;
    margin-right: 14px;
  }
}
</style>
