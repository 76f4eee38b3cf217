<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import ActButton from '@/components/form/ActButton.vue';

/** How far something is that takes longer than a second, in words and as a line, and the way out of it. */
const props = defineProps<{ done: number; of: number; said: string; cancellable?: boolean }>();
defineEmits<{ cancel: [] }>();
const { t } = useI18n();
const share = computed(() => (props.of > 0 ? Math.min(100, Math.round((props.done / props.of) * 100)) : 0));
</script>

<template>
  <div class="progress" role="status">
    <span class="small">{{ said }}</span>
    <el-progress :percentage="share" :stroke-width="10" :show-text="false" :aria-label="said" />
    <ActButton v-if="cancellable" quiet small @click="$emit('cancel')">{{ t('form.cancel') }}</ActButton>
  </div>
</template>

<style scoped>
.progress {
  display: grid;
  grid-template-columns: auto minmax(80px, 1fr) auto;
  gap: 12px;
  align-items: center;
  max-width: 460px;
}
</style>
