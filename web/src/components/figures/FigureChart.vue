<script setup lang="ts">
import { defineAsyncComponent, h } from 'vue';
import type { Step } from './BandChart.vue';

/** A chart with its name; what draws it comes only where it is shown. The same figures stand in a table beside it. */
defineProps<{
  name: string;
  steps: Step[];
  unit?: string;
  marked?: number;
  caption?: string;
  low?: boolean;
}>();
const BandChart = defineAsyncComponent({
  loader: () => import('./BandChart.vue'),
  loadingComponent: { render: () => h('div', { class: 'waiting' }) },
  delay: 0,
});
</script>

<template>
  <figure>
    <div class="room" :class="{ low }" role="img" :aria-label="name">
      <BandChart :steps="steps" :unit="unit" :marked="marked" />
    </div>
    <figcaption v-if="caption" class="small soft">{{ caption }}</figcaption>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  max-width: 640px;
}
.room {
  height: 260px;
}
.room.low {
  height: 130px;
}
</style>
