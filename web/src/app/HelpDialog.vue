<script setup lang="ts">
import { useI18n } from 'vue-i18n';

const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const KEYS = ['/', '[', ']', '1–6', 'u', '?', 'Esc'] as const;
</script>

<template>
  <el-dialog :model-value="true" :title="t('help.title')" width="520" @close="emit('close')">
    <p>{{ t('help.intro') }}</p>
    <table>
      <tbody>
        <tr v-for="(key, i) in KEYS" :key="key">
          <td>
            <kbd>{{ key }}</kbd>
          </td>
          <td>{{ t(`help.keys.${i}`) }}</td>
        </tr>
      </tbody>
    </table>
    <p class="soft" style="margin-top: 12px">{{ t('help.care') }}</p>
  </el-dialog>
</template>

<style scoped>
kbd {
  font-family: var(--font-amount);
  border: 1px solid var(--ink-soft);
  border-radius: var(--corner);
  padding: 0 6px;
}
</style>
