<script setup lang="ts">
import { computed } from 'vue';
import type { Schemas } from '@/api/client';
import { OPEN_ANSWERS } from './seen';
import StateChip from './StateChip.vue';

const props = defineProps<{
  character: Schemas['KeyResult']['characters'][number];
  /** States answered so far. */ on: string[];
}>();
defineEmits<{ toggle: [state: string] }>();
const rows = computed(() => [
  props.character.states.filter((s) => !OPEN_ANSWERS.includes(s.id)),
  props.character.states.filter((s) => OPEN_ANSWERS.includes(s.id)),
]);
</script>

<template>
  <p v-if="character.handling !== 'look'" class="small soft">{{ character.handlingName }}</p>
  <div v-for="(row, i) in rows" :key="i" class="chips">
    <StateChip
      v-for="s in row"
      :key="s.id"
      :character="character.id"
      :state="s.id"
      :name="s.name"
      :on="on.includes(s.id)"
      @toggle="$emit('toggle', s.id)"
    />
  </div>
</template>

<style scoped>
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding-top: 6px;
}
</style>
