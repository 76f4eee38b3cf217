<script setup lang="ts" generic="V extends string">
/** A page in several views: one row of names under which the chosen one stands. */
defineProps<{ views: readonly { id: V; name: string }[]; label: string }>();
const view = defineModel<V>({ required: true });
</script>

<template>
  <div class="views" role="group" :aria-label="label">
    <button
      v-for="v in views"
      :key="v.id"
      type="button"
      class="view"
      :aria-pressed="view === v.id"
      @click="view = v.id"
    >
      {{ v.name }}
    </button>
  </div>
</template>

<style scoped>
.views {
  display: flex;
  flex-wrap: wrap;
  gap: 0 4px;
  border-bottom: 1px solid var(--rule);
}
.view {
  min-height: var(--touch);
  padding: 6px 16px;
  background: none;
  border: 0;
  border-bottom: 4px solid transparent;
  cursor: pointer;
  font-weight: 600;
}
.view[aria-pressed='true'] {
  border-bottom-color: var(--sloe);
  color: var(--sloe);
}
</style>
