<script setup lang="ts">
/**
 * A box to tick with its words beside it: alone it holds yes or no; with `value` it puts that into a list or takes it
 * out.
 */
const model = defineModel<boolean | string[]>();
defineProps<{ label?: string; value?: string; disabled?: boolean; bare?: boolean }>();
defineEmits<{ change: [on: boolean] }>();
</script>

<template>
  <el-checkbox
    v-model="model"
    class="kit-tick"
    :value="value"
    :disabled="disabled"
    :aria-label="bare ? label : undefined"
    @change="$emit('change', Boolean($event))"
    ><template v-if="!bare" #default
      ><slot>{{ label }}</slot></template
    ></el-checkbox
  >
</template>
