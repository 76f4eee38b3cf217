<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed, nextTick, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import { groundsQuery, handbookQuery, speciesListQuery, type SpeciesAsk } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import ListTable from '@/components/table/ListTable.vue';

const { t, locale } = useI18n();
const { data: book, error: bookError } = useQuery(handbookQuery());
const { data: grounds } = useQuery(groundsQuery());
const ask = ref<SpeciesAsk>({ name: '', habit: '', setting: '', month: '', showing: 'flower', ground: '' });
const name = refDebounced(
  computed(() => ask.value.name.trim()),
  200,
);
const { data: found, error } = useQuery(
  computed(() => ({ ...speciesListQuery({ ...ask.value, name: name.value }), placeholderData: keepPreviousData })),
);
const species = computed(() => found.value?.data ?? []);
const PER_PAGE = 25;
const COLUMNS = computed(() => [
  { key: 'name', label: t('handbook.plant'), sorts: true, width: 150 },
  { key: 'scientific', label: t('handbook.scientific'), sorts: true, may: true, width: 150 },
  { key: 'habit', label: t('handbook.kind'), sorts: true, may: true },
  { key: 'compare', label: t('scout.compare'), width: 80 },
]);
const page = ref(1);
const order = ref<{ by: string; order: 'asc' | 'desc' }>({ by: 'name', order: 'asc' });
const sortBy = (by: string): void => {
  order.value = { by, order: order.value.by === by && order.value.order === 'asc' ? 'desc' : 'asc' };
};
watch([species, order], () => (page.value = 1));
const onPage = computed(() => {
  const by = order.value.by as 'name' | 'scientific' | 'habit';
  const way = order.value.order === 'asc' ? 1 : -1;
  return [...species.value]
    .sort((a, b) => way * a[by].localeCompare(b[by], locale.value))
    .slice((page.value - 1) * PER_PAGE, page.value * PER_PAGE);
});
const months = computed(() =>
  Array.from({ length: 12 }, (_, i) => ({
    id: String(i + 1),
    name: new Intl.DateTimeFormat(locale.value, { month: 'long', timeZone: 'UTC' }).format(
      new Date(Date.UTC(2001, i, 15)),
    ),
  })),
);
/** A reason on the board leads to the very method, active or school it speaks of. */
const route = useRoute();
const at = computed(() => route.hash.slice(1));
watch(
  [at, book],
  async () => {
    await nextTick();
    if (at.value && book.value) document.getElementById(at.value)?.scrollIntoView({ block: 'start' });
  },
  { immediate: true },
);
const chosen = ref<string[]>([]);
const choose = (id: string): void => {
  chosen.value = chosen.value.includes(id) ? chosen.value.filter((c) => c !== id) : [...chosen.value, id].slice(-3);
};
</script>

<template>
  <div class="stack">
    <h1>{{ t('station.handbook') }}</h1>
    <p class="soft">{{ t('handbook.intro') }}</p>
    <LoadFault :of="bookError" />
    <div v-if="book" class="bench">
      <section class="stack" aria-labelledby="sp-h">
        <h2 id="sp-h">{{ t('handbook.species') }}</h2>
        <div class="row filters">
          <TextField v-model="ask.name" :label="t('handbook.find')" maxlength="80" />
          <ChoiceField
            v-model="ask.habit"
            :label="t('handbook.kind')"
            :options="[
              { value: '', label: t('handbook.any') },
              ...book.habits.map((h) => ({ value: h.id, label: h.name })),
            ]"
          />
          <ChoiceField
            v-model="ask.setting"
            :label="t('handbook.setting')"
            :options="[
              { value: '', label: t('handbook.any') },
              ...book.settings.map((s) => ({ value: s.id, label: s.name })),
            ]"
          />
          <ChoiceField
            v-model="ask.month"
            :label="t('handbook.month')"
            :options="[{ value: '', label: t('handbook.any') }, ...months.map((m) => ({ value: m.id, label: m.name }))]"
          />
          <template v-if="ask.month">
            <ChoiceField
              v-model="ask.showing"
              :label="t('handbook.shows')"
              :options="
                (['flower', 'fruit', 'leaf'] as const).map((s) => ({ value: s, label: t(`handbook.showing.${s}`) }))
              "
            />
            <ChoiceField
              v-model="ask.ground"
              :label="t('handbook.atGround')"
              :options="[
                { value: '', label: t('handbook.reference') },
                ...(grounds?.data ?? []).map((g) => ({ value: g.id, label: g.name })),
              ]"
            />
          </template>
        </div>
        <LoadFault :of="error" />
        <div class="row">
          <span class="small soft" role="status">{{ t('handbook.found', { n: species.length }, species.length) }}</span>
          <RouterLink
            v-if="chosen.length > 1"
            class="btn small"
            :to="{ name: 'compare', query: { species: chosen.join(',') } }"
            >{{ t('scout.compareThem', { n: chosen.length }) }}</RouterLink
          >
        </div>
        <ListTable
          id="species"
          :columns="COLUMNS"
          :rows="onPage"
          row-key="id"
          :sort="order"
          :page="page"
          :pages="Math.ceil(species.length / PER_PAGE)"
          :empty="t('handbook.found', { n: 0 }, 0)"
          @sort="sortBy"
          @page="page = $event"
        >
          <template #name="{ row: s }"
            ><RouterLink :to="{ name: 'species', params: { id: s.id } }">{{ s.name }}</RouterLink></template
          >
          <template #scientific="{ row: s }"
            ><span class="latin">{{ s.scientific }}</span></template
          >
          <template #compare="{ row: s }"
            ><TickField
              bare
              :label="`${t('scout.compare')}: ${s.name}`"
              :model-value="chosen.includes(s.id)"
              @change="choose(s.id)"
          /></template>
        </ListTable>
      </section>
      <section class="stack why">
        <h2>{{ t('handbook.methods') }}</h2>
        <details v-for="m in book.methods" :id="`method-${m.id}`" :key="m.id" :open="at === `method-${m.id}`">
          <summary>
            <b>{{ m.name }}</b> <span class="soft small">{{ m.family }}</span>
          </summary>
          <p v-if="m.also.length" class="small">{{ t('handbook.also', { names: m.also.join(', ') }) }}</p>
          <ol>
            <li v-for="s in m.steps" :key="s">{{ s }}</li>
          </ol>
          <p class="small">{{ t('handbook.wrong') }} {{ m.mistakes.join(' ') }}</p>
        </details>
        <h2>{{ t('handbook.actives') }}</h2>
        <details v-for="a in book.actives" :id="`active-${a.id}`" :key="a.id" :open="at === `active-${a.id}`">
          <summary>
            <b>{{ a.name }}</b> <span class="soft small">{{ t('handbook.group', { n: a.group }) }}</span>
          </summary>
          <p class="small">
            {{ t(`handbook.selectivity.${a.selectivity}`)
            }}<template v-if="a.soilActive"> {{ t('handbook.soilActive') }}</template>
          </p>
          <ul>
            <li v-for="c in a.cautions" :key="c">{{ c }}</li>
          </ul>
        </details>
        <h2>{{ t('handbook.schools') }}</h2>
        <details v-for="s in book.schools" :id="`school-${s.id}`" :key="s.id" :open="at === `school-${s.id}`">
          <summary>
            <b>{{ s.name }}</b>
          </summary>
          <ul>
            <li v-for="c in s.choices" :key="c.id">
              {{ c.name }}<b v-if="c.default"> ({{ t('methods.ours') }})</b>
            </li>
          </ul>
          <p class="small">{{ s.reason }}</p>
        </details>
      </section>
    </div>
  </div>
</template>

<style scoped>
.grow {
  flex: 1 1 220px;
}
</style>
