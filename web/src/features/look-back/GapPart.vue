<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';

/** What may fill the gap, and when; not before the labels let anything be sown. */
defineProps<{ gap: Schemas['Record']['gap'] }>();
const { t } = useI18n();
const { format } = useSession();
</script>

<template>
  <details>
    <summary class="label">{{ t('look.gap.heading') }}</summary>
    <div class="stack">
      <p>{{ format(gap.text) }}</p>
      <div v-if="gap.sowings.length" class="table-wrap">
        <table>
          <thead>
            <tr>
              <th>{{ t('look.gap.cover') }}</th>
              <th>{{ t('look.gap.when') }}</th>
              <th>{{ t('look.gap.seed') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="s in gap.sowings" :key="s.cover">
              <td>{{ s.name }}</td>
              <td>{{ t('look.gap.days', { first: dayText(s.first, true), last: dayText(s.last, true) }) }}</td>
              <td>{{ format(s.seed) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="small soft">{{ t('look.gap.typical') }}</p>
    </div>
  </details>
</template>
