<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { handbookQuery, patchesQuery, type PatchListAsk } from '@/api/queries';
import SaidAmount from '@/components/figures/SaidAmount.vue';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';

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
const sort = (by: (typeof COLUMNS)[number]): void => {
  ask.value = {
    ...ask.value,
    page: 1,
    sort: by,
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
      <ChoiceField
        v-model="ask.setting"
        :label="t('ground.setting')"
        bare
        @change="ask.page = 1"
        :options="[
          { value: '', label: t('ground.list.anySetting') },
          ...(book?.settings ?? []).map((s) => ({ value: s.id, label: s.name })),
        ]"
      />
      <TickField v-model="ask.archived" @change="ask.page = 1">{{ t('ground.list.archived') }}</TickField>
    </div>
    <div class="table-wrap">
      <table>
        <thead>
          <tr>
            <th
              v-for="c in COLUMNS"
              :key="c"
              :aria-sort="ask.sort === c ? (ask.order === 'asc' ? 'ascending' : 'descending') : 'none'"
            >
              <button type="button" class="sorter" @click="sort(c)">
                {{ t(`ground.list.column.${c}`)
                }}<span v-if="ask.sort === c" aria-hidden="true">{{ ask.order === 'asc' ? ' ↑' : ' ↓' }}</span>
              </button>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="p in data?.data ?? []" :key="p.id" :class="{ chosen: p.id === chosen }">
            <td>
              <button class="link" type="button" :aria-pressed="p.id === chosen" @click="emit('choose', p.id)">
                {{ p.name }}
              </button>
              <span v-if="p.archivedReason" class="small soft"> {{ p.archivedReason }}</span>
            </td>
            <td>{{ p.setting.name }}</td>
            <td class="figure"><SaidAmount :of="p.area" /></td>
            <td>{{ p.stands.map((s) => s.name).join(', ') || '—' }}</td>
          </tr>
          <tr v-if="data && data.data.length === 0">
            <td colspan="4" class="soft">
              {{ t(ask.q || ask.setting || ask.archived ? 'ground.list.none' : 'ground.noPatches') }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <div v-if="(data?.pages ?? 1) > 1" class="row">
      <ActButton small :disabled="ask.page <= 1" @click="ask.page--">{{ t('ground.list.before') }}</ActButton>
      <span>{{ t('ground.list.page', { page: data?.page, pages: data?.pages }) }}</span>
      <ActButton small :disabled="ask.page >= (data?.pages ?? 1)" @click="ask.page++">{{
        t('ground.list.after')
      }}</ActButton>
    </div>
  </section>
</template>

<style scoped>
.grow {
  flex: 1 1 auto;
}
.sorter {
  border: 0;
  background: none;
  padding: 0;
  font: inherit;
  font-weight: 650;
  cursor: pointer;
  min-height: 24px;
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
.chosen td {
  background: var(--sloe-pale);
}
.figure {
  white-space: nowrap;
}
</style>
