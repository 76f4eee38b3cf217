<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query';
import { ref, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { api, unwrap, type Schemas } from '@/api/client';
import { useHand } from './hand';
import { OF_STAND, type Station } from './router';

type Hit = Schemas['SearchResult']['data'][number];
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const router = useRouter();
const client = useQueryClient();
const hand = useHand();
const field = useTemplateRef<{ focus: () => void }>('field');
const hits = ref<Hit[]>([]);
const searching = ref(false);
/** What is asked now: an earlier answer that comes late is not shown. */
let asked = '';

const find = async (typed: string): Promise<void> => {
  const q = typed.trim();
  asked = q;
  if (q === '') {
    hits.value = [];
    return;
  }
  searching.value = true;
  try {
    const found = await client.fetchQuery({
      queryKey: ['search', q],
      queryFn: () => unwrap(api.GET('/search', { params: { query: { q } } })),
    });
    if (asked === q) hits.value = found.data;
  } finally {
    searching.value = asked !== q;
  }
};
const keyOf = (hit: Hit): string => `${hit.kind} ${hit.id}`;
const go = (key: string): void => {
  const hit = hits.value.find((h) => keyOf(h) === key);
  if (!hit) return;
  if (hit.kind === 'species') void router.push({ name: 'species', params: { id: hit.id } });
  else if (hit.kind === 'method' || hit.kind === 'active')
    void router.push({ name: 'handbook', hash: `#${hit.kind}-${hit.id}` });
  else if (hit.kind === 'card') void router.push({ name: 'shed', query: { view: 'cards', find: hit.name } });
  else if (hit.kind === 'stand') void router.push({ name: 'scout', params: { stand: hit.id } });
  else if (!OF_STAND.includes(hit.id as Station)) void router.push({ name: hit.id });
  else if (hand.standId) void router.push({ name: hit.id, params: { stand: hand.standId } });
  else void router.push({ name: 'today' });
  emit('close');
};
</script>

<template>
  <el-dialog :model-value="true" :title="t('search.title')" width="560" @opened="field?.focus()" @close="emit('close')">
    <p class="ask-label" aria-hidden="true">{{ t('search.label') }}</p>
    <el-select
      ref="field"
      class="search"
      :model-value="''"
      filterable
      remote
      :teleported="false"
      default-first-option
      :remote-method="find"
      :loading="searching && hits.length === 0"
      :loading-text="t('frame.loading')"
      :no-data-text="t('search.none')"
      :no-match-text="t('search.none')"
      :placeholder="''"
      :show-arrow="false"
      :offset="2"
      popper-class="choices"
      :aria-label="t('search.label')"
      @change="go($event as string)"
    >
      <el-option v-for="hit in hits" :key="keyOf(hit)" :value="keyOf(hit)" :label="hit.name"
        ><b>{{ hit.name }}</b> <span class="soft">{{ hit.detail }}</span></el-option
      >
    </el-select>
  </el-dialog>
</template>

<style scoped>
/* it leads away, and opens nothing that stands below it */
.search :deep(.el-select__suffix) {
  display: none;
}
</style>
