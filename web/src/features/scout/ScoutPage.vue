<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useStand } from '@/composables/useStand';
import KeyPanel from './KeyPanel.vue';
import LookAlikes from './LookAlikes.vue';
import ObservePanel from './ObservePanel.vue';
import StandSighting from './StandSighting.vue';
import TallyPanel from './TallyPanel.vue';
import UnknownPanel from './UnknownPanel.vue';

const props = defineProps<{ stand: string }>();
const { t } = useI18n();
const { stand, error } = useStand(() => props.stand);
</script>

<template>
  <div class="stack">
    <h1>
      {{ t('station.scout') }}<template v-if="stand">: {{ stand.name }}</template>
    </h1>
    <LoadFault :of="error" />
    <template v-if="stand">
      <LookAlikes v-if="stand.lookAlikes.some((l) => l.gated)" :stand="stand" />
      <KeyPanel :stand="stand" />
      <UnknownPanel v-if="stand.markedUnknown" :stand="stand" />
      <StandSighting v-if="stand.sightingId" :id="stand.sightingId" :ground="stand.groundId" />
      <TallyPanel :key="stand.id" :stand="stand" />
      <ObservePanel :stand="stand" />
    </template>
  </div>
</template>
