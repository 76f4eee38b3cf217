<script setup lang="ts">
import type { UploadFile } from 'element-plus';
import { onMounted, useId, useTemplateRef } from 'vue';
import { useI18n } from 'vue-i18n';

/** Files dropped here or chosen; they are handed on at once, and sent by whoever asked for them. */
defineProps<{
  label: string;
  /** Endings and types, as the browser's own dialog takes them. */
  accept: string;
  help?: string;
  fault?: string | null;
  multiple?: boolean;
  disabled?: boolean;
}>();
const emit = defineEmits<{ files: [files: File[]] }>();
const { t } = useI18n();
const id = useId();
const root = useTemplateRef('root');
// the library hides the input and names it by nothing
onMounted(() => root.value?.querySelector('input')?.setAttribute('id', id));
let gathered: File[] = [];
/** The library tells one file after the other of those dropped together. */
const take = (file: UploadFile): void => {
  if (!file.raw) return;
  gathered.push(file.raw);
  if (gathered.length > 1) return;
  queueMicrotask(() => {
    emit('files', gathered);
    gathered = [];
  });
};
</script>

<template>
  <div ref="root" class="ask files">
    <label :for="id" class="ask-label">{{ label }}</label>
    <el-upload
      drag
      :auto-upload="false"
      :show-file-list="false"
      :accept="accept"
      :multiple="multiple"
      :disabled="disabled"
      :on-change="take"
    >
      <span>{{ t(multiple ? 'form.dropFiles' : 'form.dropFile') }}</span>
    </el-upload>
    <p v-if="help" class="ask-help">{{ help }}</p>
    <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
  </div>
</template>
