<script setup lang="ts">
import { LOCALES, nameOf, speak, spoken } from '@/app/language';
import ActButton from '@/components/form/ActButton.vue';

/** Every page outside: a thorn, a column to read and write in, and the languages. */
</script>

<template>
  <main class="door">
    <svg class="thorn" viewBox="0 0 60 400" aria-hidden="true">
      <path d="M30 400V0M30 60 54 40M30 130 8 108M30 210l26-18M30 290 6 268M30 350l18-12" />
    </svg>
    <div class="column stack">
      <slot></slot>
      <p class="row">
        <ActButton
          v-for="l in LOCALES"
          :key="l"
          quiet
          small
          :lang="l"
          :aria-pressed="spoken() === l"
          @click="speak(l)"
          >{{ nameOf(l) }}</ActButton
        >
      </p>
    </div>
  </main>
</template>

<style scoped>
.door {
  min-height: 100vh;
  display: grid;
  grid-template-columns: minmax(40px, 1fr) minmax(0, 400px) 2fr;
  gap: 32px;
  align-items: center;
  padding: 24px;
}
.column {
  grid-column: 2;
}
.thorn {
  height: 70vh;
  justify-self: end;
}
.thorn path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 5;
  stroke-linecap: round;
}
@media (max-width: 600px) {
  .door {
    grid-template-columns: minmax(0, 1fr);
  }
  .column {
    grid-column: 1;
  }
  .thorn {
    display: none;
  }
}
</style>
