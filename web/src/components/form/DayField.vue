<script setup lang="ts">
import { useMediaQuery } from '@vueuse/core';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import FieldItem from './FieldItem.vue';
import type { FieldProps } from './fields';

/** A day as YYYY-MM-DD, typed or picked; below it its weekday, so that a slip is seen. */
defineOptions({ inheritAttrs: false });
const model = defineModel<string | null>();
defineProps<FieldProps & { /** The first and the last day that can be meant. */ from?: string; till?: string }>();
const { today } = useSession();
// a keyboard that slides over the calendar helps nobody
const fingers = useMediaQuery('(pointer: coarse)');
const iso = (d: Date): string =>
  `${d.getFullYear()}-${String(d.getMonth() + 1).padStart(2, '0')}-${String(d.getDate()).padStart(2, '0')}`;
</script>

<template>
  <FieldItem :label="label" :fault="fault" :help="help" :bare="bare" width="10em">
    <template #default="{ described }">
      <el-date-picker
        v-model="model"
        type="date"
        value-format="YYYY-MM-DD"
        format="YYYY-MM-DD"
        placeholder="2026-09-03"
        :value-on-clear="''"
        :editable="!fingers"
        :default-value="new Date(`${today()}T12:00:00`)"
        :readonly="readonly"
        :disabled="disabled"
        :disabled-date="(d: Date) => (from !== undefined && iso(d) < from) || (till !== undefined && iso(d) > till)"
        :show-arrow="false"
        popper-class="calendar"
        :aria-label="label"
        :aria-describedby="described"
        v-bind="$attrs"
      />
    </template>
    <template #under
      ><p v-if="model && !fault" class="ask-read">{{ dayText(model, true) }}</p></template
    >
  </FieldItem>
</template>
