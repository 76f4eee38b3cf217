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
const words = ref('');
const field = useTemplateRef<{ focus: () => void }>('field');
/** Nothing of that name was found. */
const none = ref(false);

const find = async (typed: string): Promise<Hit[]> => {
  none.value = false;
  const q = typed.trim();
  if (q === '') return [];
  const hits = (
    await client.fetchQuery({
      queryKey: ['search', q],
      queryFn: () => unwrap(api.GET('/search', { params: { query: { q } } })),
    })
  ).data;
  none.value = hits.length === 0;
  return hits;
};
const go = (hit: Hit): void => {
  if (hit.kind === 'species') void router.push({ name: 'species', params: { id: hit.id } });
  else if (hit.kind === 'method') void router.push({ name: 'handbook', hash: `#method-${hit.id}` });
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
    <label class="ask-label" for="search-words">{{ t('search.label') }}</label>
    <el-autocomplete
      id="search-words"
      ref="field"
      v-model="words"
      :fetch-suggestions="find"
      value-key="name"
      :debounce="150"
      highlight-first-item
      fit-input-width
      popper-class="choices"
      autocomplete="off"
      @select="go($event as Hit)"
    >
      <template #default="{ item }"
        ><b>{{ item.name }}</b> <span class="soft">{{ item.detail }}</span></template
      >
    </el-autocomplete>
    <p class="soft small" role="status">{{ none ? t('search.none') : '' }}</p>
  </el-dialog>
</template>
