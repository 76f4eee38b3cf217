<script setup lang="ts">
import { formats } from '@/app/language';
import { useI18n } from 'vue-i18n';
import { jobNow } from '@/api/client';
import FieldItem from './FieldItem.vue';
import type { FieldProps } from './fields';
import { timeOf } from './clock';

/** A time of the day as HH:MM: typed in any usual way, or the moment of the tap. */
defineOptions({ inheritAttrs: false });
const model = defineModel<string | null>();
const props = defineProps<
  FieldProps & { /** Where the work is; the device may stand elsewhere. */ timeZone?: string }
>();
const { t } = useI18n();
const now = (): string =>
  new Intl.DateTimeFormat(formats(), { hour: '2-digit', minute: '2-digit', timeZone: props.timeZone }).format(jobNow());
</script>

<template>
  <FieldItem v-slot="{ described }" :label="label" :fault="fault" :help="help" :bare="bare" width="10em">
    <el-input
      v-model="model"
      placeholder="09:30"
      maxlength="8"
      autocomplete="off"
      :disabled="disabled"
      :aria-label="bare ? label : undefined"
      :aria-invalid="fault ? true : undefined"
      :aria-describedby="described"
      v-bind="$attrs"
      @change="model = timeOf(String($event))"
    >
      <template #append
        ><button type="button" class="now" :disabled="disabled" @click="model = now()">
          {{ t('form.now') }}<span v-if="label" class="visually-hidden">: {{ label }}</span>
        </button></template
      >
    </el-input>
  </FieldItem>
</template>

<style scoped>
.now {
  border: 0;
  background: none;
  color: var(--sloe);
  font-weight: 600;
  cursor: pointer;
  min-height: 36px;
  padding: 0 2px;
}
</style>
