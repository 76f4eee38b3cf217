<script setup lang="ts">
import { watchDebounced } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, Refusal, unwrap, type Schemas } from '@/api/client';
import { useSession } from '@/composables/useSession';
import FieldItem from './FieldItem.vue';
import type { FieldProps } from './fields';

/** An amount with its unit as somebody types it. It stays as typed; below it stands how it is understood. */
defineOptions({ inheritAttrs: false });
const model = defineModel<string | null>();
withDefaults(defineProps<FieldProps & { /** An amount as it may look. */ sample?: string | undefined }>(), {
  width: '10em',
});
const { t } = useI18n();
const { format } = useSession();
const read = ref<Schemas['Quantity'] | null>(null);
const unread = ref<string | null>(null);
let asked = '';
watchDebounced(
  model,
  async (typed) => {
    const text = (typed ?? '').trim();
    asked = text;
    read.value = null;
    unread.value = null;
    if (text === '' || !/\d/.test(text)) return;
    try {
      const answer = await unwrap(api.POST('/readings', { body: { typed: text } }));
      if (asked === text) read.value = answer;
    } catch (e) {
      // without signal the amount is read when it is sent
      if (asked === text && e instanceof Refusal && e.status === 422) unread.value = e.at('/typed');
    }
  },
  { debounce: 350 },
);
const plain = (text: string): string => text.replace(/[\s,]/g, '').toLowerCase();
/** Said only where it is not just what was typed. */
const understood = computed(() => {
  if (!read.value) return null;
  const said = format(read.value);
  return plain(said) === plain(model.value ?? '') ? null : t('form.understood', { amount: said });
});
</script>

<template>
  <FieldItem :label="label" :fault="fault" :help="help" :bare="bare" :width="width">
    <template #default="{ described }">
      <el-input
        v-model="model"
        :placeholder="sample"
        :readonly="readonly"
        :disabled="disabled"
        autocomplete="off"
        :style="bare && width ? { width } : undefined"
        :aria-label="bare ? label : undefined"
        :aria-invalid="fault || unread ? true : undefined"
        :aria-describedby="described"
        v-bind="$attrs"
      />
    </template>
    <template #under>
      <p class="ask-read" aria-live="polite">
        <template v-if="!fault">{{ unread ?? understood ?? '' }}</template>
      </p>
    </template>
  </FieldItem>
</template>
