<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { api, unwrap, type Schemas } from '@/api/client';
import TextField from '@/components/form/TextField.vue';
import { useHand } from './hand';
import { OF_STAND, type Station } from './router';

const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const router = useRouter();
const hand = useHand();
const words = ref('');
const at = ref(0);
const { data } = useQuery(
  computed(() => ({
    queryKey: ['search', words.value],
    queryFn: () => unwrap(api.GET('/search', { params: { query: { q: words.value } } })),
    enabled: words.value.trim() !== '',
  })),
);
const hits = computed(() => (words.value.trim() === '' ? [] : (data.value?.data ?? [])));
watch(hits, () => (at.value = 0));

const go = (hit: Schemas['SearchResult']['data'][number] | undefined): void => {
  if (!hit) return;
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
  <el-dialog :model-value="true" :title="t('search.title')" width="560" @close="emit('close')">
    <TextField
      v-model="words"
      :label="t('search.label')"
      autocomplete="off"
      autofocus
      @keydown.down.prevent="at = Math.min(at + 1, hits.length - 1)"
      @keydown.up.prevent="at = Math.max(at - 1, 0)"
      @keydown.enter.prevent="go(hits[at])"
    />
    <ul class="hits" :aria-label="t('search.hits')">
      <li v-for="(hit, i) in hits" :key="hit.kind + hit.id">
        <button type="button" :class="{ at: i === at }" @click="go(hit)">
          <b>{{ hit.name }}</b> <span class="soft">{{ hit.detail }}</span>
        </button>
      </li>
    </ul>
    <p v-if="words && data && hits.length === 0" class="soft">{{ t('search.none') }}</p>
  </el-dialog>
</template>

<style scoped>
.hits {
  list-style: none;
  padding: 8px 0 0;
}
.hits button {
  width: 100%;
  text-align: left;
  min-height: 40px;
  border: 0;
  border-bottom: 1px solid var(--rule);
  background: none;
  padding: 4px 8px;
  cursor: pointer;
}
.hits button.at {
  background: var(--sloe-pale);
}
</style>
