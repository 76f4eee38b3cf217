<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router';

/** One line of Today: what, where, and at its end the act. */
defineProps<{ to: RouteLocationRaw; name: string; where?: string }>();
defineSlots<{ default(): unknown }>();
</script>

<template>
  <li>
    <RouterLink :to="to" class="line">
      <span
        ><b v-if="where">{{ name }}</b
        ><template v-else>{{ name }}</template
        ><template v-if="where"
          ><br /><span class="soft small">{{ where }}</span></template
        ></span
      >
      <span class="act"><slot /></span>
    </RouterLink>
  </li>
</template>

<style scoped>
li {
  padding: 0;
}
.line {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 9px 4px;
  color: inherit;
  text-decoration: none;
  min-height: 56px;
  align-items: center;
}
.line:hover {
  background: var(--lichen-deep);
}
.act {
  text-align: right;
  color: var(--sloe);
  font-weight: 600;
}
</style>
