<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { isInWork, paperQuery } from '@/api/queries';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';

/**
 * Asks for a PDF, says how far it is, and gives it to be opened; what is printed is what stands there when it is asked
 * for.
 */
const props = defineProps<{
  kind: Schemas['Paper']['kind'];
  /** The sheet or the step. */ of?: string;
  /** Of a season. */ year?: number;
  label: string;
  main?: boolean;
}>();
const { t } = useI18n();
const { busy, refusal, run } = useSubmit();
const asked = ref<Schemas['Paper'] | null>(null);
const { data, error } = useQuery(
  computed(() => ({ ...paperQuery(asked.value?.id ?? ''), enabled: isInWork(asked.value) })),
);
const paper = computed(() => (asked.value && data.value?.id === asked.value.id ? data.value : asked.value));
const ask = async (): Promise<void> => {
  const { kind, of, year } = props;
  asked.value = await run(() =>
    unwrap(api.POST('/papers', { body: { kind, ...(of ? { of } : {}), ...(year ? { year } : {}) } })),
  );
};
const forget = (): void => void (asked.value = null);
watch(() => [props.of, props.year], forget);
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
    <ActButton v-else :class="main ? 'main' : 'quiet'" :disabled="busy || isInWork(paper)" @click="ask">{{
      label
    }}</ActButton>
    <span v-if="busy || isInWork(paper)" class="small" role="status">
      <el-progress
        class="waits"
        :percentage="50"
        indeterminate
        :duration="2"
        :show-text="false"
        :stroke-width="8"
        :aria-label="t('paper.making')"
      />
      {{ paper?.ahead ? t('paper.ahead', { n: paper.ahead }) : t('paper.making') }}
      <ActButton v-if="isInWork(paper)" quiet small @click="forget">{{ t('paper.stop') }}</ActButton>
    </span>
    <span v-if="paper?.state === 'failed'" class="fault small" role="alert">{{ t('paper.failed') }}</span>
    <span v-else-if="refusal ?? error" class="fault small" role="alert">{{ (refusal ?? error)?.message }}</span>
  </span>
</template>

<style scoped>
.waits {
  width: 90px;
  display: inline-block;
}
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
