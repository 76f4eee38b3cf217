<script setup lang="ts" generic="V extends string">
/** A page in several views: a row of names, and under it the chosen one. */
defineProps<{ views: readonly { id: V; name: string }[]; label: string }>();
const view = defineModel<V>({ required: true });
</script>

<template>
  <el-tabs v-model="view" class="views" role="group" :aria-label="label">
    <el-tab-pane v-for="v in views" :key="v.id" :name="v.id" :label="v.name" lazy>
      <div v-if="view === v.id" class="stack"><slot></slot></div>
    </el-tab-pane>
  </el-tabs>
</template>
