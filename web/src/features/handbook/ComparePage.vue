<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { comparisonQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import PlantDrawing from '@/components/figures/PlantDrawing.vue';
import StateList from './StateList.vue';

const { t } = useI18n();
const route = useRoute();
const asked = computed(() => (typeof route.query.species === 'string' ? route.query.species : ''));
const { data, error } = useQuery(computed(() => comparisonQuery(asked.value)));
const facts = computed(() => {
  const all = data.value?.species ?? [];
  const ids = [...new Set(all.flatMap((s) => s.facts.map((f) => f.id)))];
  const rows = ids.map((id) => ({ id, cells: all.map((s) => s.facts.find((f) => f.id === id)?.value ?? null) }));
  const differs = (r: (typeof rows)[number]): boolean => new Set(r.cells).size > 1;
  return [
    ...rows.filter(differs).map((r) => ({ ...r, differs: true })),
    ...rows.filter((r) => !differs(r)).map((r) => ({ ...r, differs: false })),
  ];
});
</script>

<template>
  <div class="stack">
    <p>
      <RouterLink :to="{ name: 'handbook' }">{{ t('station.handbook') }}</RouterLink>
    </p>
    <h1>{{ t('compare.heading') }}</h1>
    <LoadFault :of="error" />
    <template v-if="data">
      <p v-for="s in data.species.filter((x) => x.hazards.length)" :key="s.id" class="warn">
        <b>{{ s.name }}:</b> {{ s.hazards.join(' ') }}
      </p>
      <section v-if="data.tests.length" class="stack" aria-labelledby="tests-h">
        <h2 id="tests-h">{{ t('compare.tests') }}</h2>
        <ul class="plain ruled">
          <li v-for="x in data.tests" :key="x.question">
            {{ x.question }} <span class="small soft">({{ x.handling }})</span><br />
            <b>{{ t('scout.yes') }}:</b> {{ x.yes }} · <b>{{ t('scout.no') }}:</b> {{ x.no }}
          </li>
        </ul>
      </section>
      <h2>{{ t('compare.looks') }}</h2>
      <div class="table-wrap" tabindex="0" role="region" :aria-label="t('compare.looks')">
        <table class="side">
          <thead>
            <tr>
              <td></td>
              <th v-for="s in data.species" :key="s.id" scope="col">
                <PlantDrawing
                  :drawing="s.drawing"
                  :name="s.name"
                  time="flower"
                  :differs="data.parting"
                  class="side-by"
                />
                <RouterLink :to="{ name: 'species', params: { id: s.id } }">{{ s.name }}</RouterLink><br /><span
                  class="latin"
                  >{{ s.scientific }}</span
                >
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="r in data.rows" :key="r.character" :class="{ parting: data.parting.includes(r.character) }">
              <th scope="row">
                {{ t(`character.${r.character}`)
                }}<span v-if="data.parting.includes(r.character)" class="tag">{{ t('compare.parts') }}</span>
              </th>
              <td v-for="(cell, i) in r.cells" :key="i">
                <span v-if="cell === null" class="soft">{{ t('compare.hasNone') }}</span>
                <span v-else-if="cell.length === 0" class="soft">{{ t('handbook.notKnown') }}</span>
                <StateList v-else :character="r.character" :states="cell" />
              </td>
            </tr>
            <tr v-for="f in facts" :key="f.id" :class="{ parting: f.differs }">
              <th scope="row">{{ t(`handbook.fact.${f.id}`) }}</th>
              <td v-for="(cell, i) in f.cells" :key="i">
                <template v-if="cell !== null">{{ cell }}</template><span v-else class="soft">{{
                  t('handbook.notKnown')
                }}</span>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </div>
</template>

<style scoped>
.side-by {
  max-width: 180px;
}
.side th[scope='row'] {
  width: 180px;
  font-weight: 500;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
  padding-top: 5px;
}
.parting th[scope='row'],
.parting td {
  border-bottom-width: 2px;
  border-bottom-color: var(--sloe);
}
.parting th[scope='row'] {
  font-weight: 700;
}
.tag {
  display: block;
  color: var(--sloe);
  font-size: var(--size-s);
}
</style>
