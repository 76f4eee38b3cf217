<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { Refusal } from '@/api/client';
import type { Schemas } from '@/api/client';
import LoadFault from '@/components/feedback/LoadFault.vue';
import VerdictMark from '@/components/figures/VerdictMark.vue';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import RowReasons from './RowReasons.vue';

/** One way of working with all its reasons, and the act that takes it. */
defineProps<{
  picked: Schemas['BoardRow'];
  opened: Schemas['Row'] | undefined;
  openError: Error | null;
  stand: string;
  species: string | null;
  mayWrite: boolean;
  busy: boolean;
  refusal: Refusal | null;
}>();
const emit = defineEmits<{ choose: []; cost: [] }>();
const why = defineModel<string>('why', { required: true });
const { t } = useI18n();
</script>

<template>
  <h2>
    {{ picked.method.name }}<span v-if="picked.active" class="soft">, {{ picked.active.name }}</span>
  </h2>
  <VerdictMark :outcome="picked.outcome" :name="picked.outcomeName" large />
  <p v-if="picked.card" class="small">{{ picked.card.product }}</p>
  <LoadFault :of="openError" />
  <RowReasons v-if="opened" :row="opened" :stand-id="stand" :species="species" />
  <el-skeleton v-else-if="!openError" role="status" animated :rows="6" :aria-label="t('methods.reasonsCome')" />
  <p class="small soft">{{ t('methods.care') }}</p>
  <ActButton quiet small class="start" @click="emit('cost')">{{ t('cost.see') }}</ActButton>
  <TextField
    v-if="mayWrite && picked.outcome !== 'notAllowed'"
    v-model="why"
    :label="t('methods.why')"
    type="textarea"
    :rows="2"
    maxlength="500"
    :placeholder="t('methods.whyHint')"
  />
  <ActButton
    v-if="mayWrite"
    main
    class="start act"
    :busy="busy"
    :disabled="picked.outcome === 'notAllowed'"
    @click="emit('choose')"
    >{{ t('methods.choose', { name: picked.method.name }) }}</ActButton
  >
  <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
</template>
