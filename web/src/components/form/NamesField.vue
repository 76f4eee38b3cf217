<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import FieldItem from './FieldItem.vue';
import type { FieldProps } from './fields';

/** Several names, offered while one types and taken as typed where they are new; kept as one line parted by commas. */
defineOptions({ inheritAttrs: false });
const model = defineModel<string>({ required: true });
defineProps<FieldProps & { suggestions: readonly string[] }>();
const { t } = useI18n();
const names = computed({
  get: () =>
    model.value
      .split(',')
      .map((n) => n.trim())
      .filter(Boolean),
  set: (given: string[]) => (model.value = given.join(', ')),
});
</script>

<template>
  <FieldItem v-slot="{ described }" :label="label" :fault="fault" :help="help" :width="width">
    <el-select
      v-model="names"
      multiple
      filterable
      allow-create
      default-first-option
      :reserve-keyword="false"
      :disabled="disabled"
      :placeholder="t('form.choose')"
      :no-data-text="t('form.typeName')"
      :show-arrow="false"
      :offset="2"
      popper-class="choices"
      :aria-label="label"
      :aria-invalid="fault ? true : undefined"
      :aria-describedby="described"
      v-bind="$attrs"
    >
      <el-option v-for="s in suggestions" :key="s" :value="s" :label="s" />
    </el-select>
  </FieldItem>
</template>
