<script setup lang="ts">
import { onScopeDispose, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';

/**
 * Asks for a PDF, says how far it is, and gives it to be opened; what is printed is what stands there when it is asked
 * for.
 */
const props = defineProps<{ kind: Schemas['Paper']['kind']; of: string; label: string; main?: boolean }>();
const POLL_MS = 700;
const { t } = useI18n();
const { busy, refusal, run } = useSubmit();
const paper = ref<Schemas['Paper'] | null>(null);
let timer: ReturnType<typeof setTimeout> | undefined;

const isOpen = (p: Schemas['Paper'] | null): boolean => p?.state === 'waiting' || p?.state === 'making';
const look = async (id: string): Promise<void> => {
  const now = await run(() => unwrap(api.GET('/papers/{paper}', { params: { path: { paper: id } } })));
  if (paper.value?.id !== id) return;
  paper.value = now;
  if (isOpen(now)) timer = setTimeout(() => void look(id), POLL_MS);
};
const ask = async (): Promise<void> => {
  const asked = await run(() => unwrap(api.POST('/papers', { body: { kind: props.kind, of: props.of } })));
  paper.value = asked;
  if (asked && isOpen(asked)) timer = setTimeout(() => void look(asked.id), POLL_MS);
};
const forget = (): void => {
  clearTimeout(timer);
  paper.value = null;
};
watch(() => props.of, forget);
onScopeDispose(() => clearTimeout(timer));
</script>

<template>
  <span class="paper">
    <!-- once it was opened the next press asks anew: it may have changed -->
    <a
      v-if="paper?.state === 'ready'"
      class="btn"
      :class="{ main }"
      :href="`/api/v1/papers/${paper.id}/file`"
      target="_blank"
      rel="noopener"
      @click="forget"
      >{{ t('paper.open') }}</a
    >
    <button
      v-else
      class="btn"
      :class="main ? 'main' : 'quiet'"
      type="button"
      :disabled="busy || isOpen(paper)"
      @click="ask"
    >
      {{ label }}
    </button>
    <span v-if="busy || isOpen(paper)" class="small" role="status">
      <progress :aria-label="t('paper.making')" />
      {{ paper?.ahead ? t('paper.ahead', { n: paper.ahead }) : t('paper.making') }}
    </span>
    <span v-if="paper?.state === 'failed'" class="fault small" role="alert">{{ t('paper.failed') }}</span>
    <span v-else-if="refusal" class="fault small" role="alert">{{ refusal.message }}</span>
  </span>
</template>

<style scoped>
.paper {
  display: inline-flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 12px;
}
progress {
  width: 72px;
  height: 6px;
  accent-color: var(--sloe);
  vertical-align: middle;
}
</style>
