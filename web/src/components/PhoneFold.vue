<script setup lang="ts">
import { ref } from 'vue';
import { useDesk } from '@/composables/useDesk';
import ActButton from '@/components/form/ActButton.vue';

/** What narrows a list: in sight at the desk, behind one button on a phone, so that the list itself is met first. */
defineProps<{ label: string; /** What is narrowed now, told on the button. */ now?: string }>();
const desk = useDesk();
const open = ref(false);
</script>

<template>
  <slot v-if="desk"></slot>
  <template v-else>
    <ActButton quiet small class="start" :aria-expanded="open" @click="open = !open"
      >{{ label }}<template v-if="now">: {{ now }}</template></ActButton
    >
    <div v-if="open" class="stack under"><slot></slot></div>
  </template>
</template>
