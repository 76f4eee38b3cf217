<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { handbookQuery, patchesQuery, type PatchListAsk } from '@/api/queries';
import SaidAmount from '@/components/figures/SaidAmount.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import ListTable from '@/components/table/ListTable.vue';
import PhoneFold from '@/components/PhoneFold.vue';

const props = defineProps<{ groundId: string; chosen: string | null }>();
const emit = defineEmits<{ choose: [patch: string]; first: [patch: string] }>();
const { t } = useI18n();
const { data: book } = useQuery(handbookQuery());
const ask = ref<PatchListAsk>({ page: 1, sort: 'name', order: 'asc', q: '', setting: '', archived: false });
const typed = ref('');
const search = refDebounced(typed, 250);
watch(search, (q) => (ask.value = { ...ask.value, q, page: 1 }));
watch(
  () => props.groundId,
  () => (ask.value = { ...ask.value, page: 1 }),
);
const { data } = useQuery(
  computed(() => ({ ...patchesQuery(props.groundId, ask.value), placeholderData: keepPreviousData })),
);
// with nothing in hand yet, the first of the list is
watch(
  () => data.value?.data[0],
  (first) => {
    if (first && props.chosen === null) emit('first', first.id);
  },
  { immediate: true },
);
const COLUMNS = ['name', 'setting', 'area', 'stands'] as const;
const sort = (by: string): void => {
  ask.value = {
    ...ask.value,
    page: 1,
    sort: by as (typeof COLUMNS)[number],
    order: ask.value.sort === by && ask.value.order === 'asc' ? 'desc' : 'asc',
  };
};
</script>

<template>
  <section class="stack" aria-labelledby="list-h">
    <div class="row">
      <h2 id="list-h" class="grow">{{ t('ground.list.title', { n: data?.total ?? 0 }, data?.total ?? 0) }}</h2>
      <TextField
        v-model="typed"
        :label="t('ground.list.find')"
        bare
        width="11em"
        type="search"
        :placeholder="t('ground.list.find')"
      />
      <PhoneFold :label="t('list.narrow')"
        ><ChoiceField
          v-model="ask.setting"
          :label="t('ground.setting')"
          bare
          @change="ask.page = 1"
          :options="[
            { value: '', label: t('ground.list.anySetting') },
            ...(book?.settings ?? []).map((s) => ({ value: s.id, label: s.name })),
          ]"
        />
        <TickField v-model="ask.archived" @change="ask.page = 1">{{ t('ground.list.archived') }}</TickField></PhoneFold
      >
    </div>
    <ListTable
      id="patches"
      :columns="COLUMNS.map((c) => ({ key: c, label: t(`ground.list.column.${c}`), sorts: true, may: c !== 'name' }))"
      :rows="data?.data ?? []"
      row-key="id"
      :chosen="chosen"
      :sort="{ by: ask.sort, order: ask.order }"
      :page="ask.page"
      :pages="data?.pages ?? 1"
      :empty="t(ask.q || ask.setting || ask.archived ? 'ground.list.none' : 'ground.noPatches')"
      height="420px"
      @sort="sort"
      @page="ask.page = $event"
    >
      <template #name="{ row: p }">
        <button class="link" type="button" :aria-pressed="p.id === chosen" @click="emit('choose', p.id)">
          {{ p.name }}
        </button>
        <span v-if="p.archivedReason" class="small soft"> {{ p.archivedReason }}</span>
      </template>
      <template #setting="{ row: p }">{{ p.setting.name }}</template>
      <template #area="{ row: p }"
        ><span class="figure"><SaidAmount :of="p.area" /></span
      ></template>
      <template #stands="{ row: p }">{{ p.stands.map((s) => s.name).join(', ') || '—' }}</template>
    </ListTable>
  </section>
</template>

<style scoped>
.grow {
  flex: 1 1 auto;
}
.link {
  border: 0;
  background: none;
  padding: 4px 0;
  min-height: 28px;
  color: var(--sloe);
  font-weight: 600;
  text-align: left;
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;
}
.figure {
  white-space: nowrap;
}
</style>
