<script setup lang="ts" generic="T extends string | number">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import FieldItem from './FieldItem.vue';
import type { FieldProps } from './fields';

/** One of several, searched by typing where they are many. Says `change` with the value when a person chose. */
defineOptions({ inheritAttrs: false });
const model = defineModel<T | null>();
const props = defineProps<
  FieldProps & { options: readonly { value: T; label: string; group?: string; disabled?: boolean }[] }
>();
defineEmits<{ change: [value: T] }>();
const { t } = useI18n();
const SEARCHED_FROM = 9;
/** As wide as its longest words, as a list of the browser would be. */
const fitted = computed(() => {
  const longest = Math.max(6, ...props.options.map((o) => o.label.length));
  return `${Math.min(24, longest * 0.56 + 3.6).toFixed(1)}em`;
});
const groups = computed(() => {
  const of = new Map<string, (typeof props.options)[number][]>();
  for (const o of props.options) of.set(o.group ?? '', [...(of.get(o.group ?? '') ?? []), o]);
  return [...of];
});
</script>

<template>
  <FieldItem v-slot="{ described }" :label="label" :fault="fault" :help="help" :bare="bare" :width="width ?? fitted">
    <el-select
      v-model="model"
      :filterable="options.length >= SEARCHED_FROM"
      :disabled="disabled"
      :placeholder="t('form.choose')"
      :no-match-text="t('form.noMatch')"
      :no-data-text="t('form.noMatch')"
      :empty-values="[null, undefined]"
      :show-arrow="false"
      :fit-input-width="false"
      :offset="2"
      popper-class="choices"
      :style="bare ? { width: width ?? fitted } : undefined"
      :aria-label="label"
      :aria-invalid="fault ? true : undefined"
      :aria-describedby="described"
      v-bind="$attrs"
      @change="$emit('change', $event as T)"
    >
      <template v-for="[group, its] in groups" :key="group">
        <el-option-group v-if="group" :label="group">
          <el-option
            v-for="o in its"
            :key="o.value"
            :value="o.value"
            :label="o.label"
            :disabled="o.disabled"
            :data-value="o.value"
          />
        </el-option-group>
        <template v-else>
          <el-option
            v-for="o in its"
            :key="o.value"
            :value="o.value"
            :label="o.label"
            :disabled="o.disabled"
            :data-value="o.value"
          />
        </template>
      </template>
    </el-select>
  </FieldItem>
</template>
