<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';

/** What may fill the gap, and when: fast, or to stay; not before the labels let anything be sown. */
defineProps<{ gap: Schemas['Record']['gap'] }>();
const { t } = useI18n();
const { format } = useSession();
const days = (one: { first: string; last: string }): string =>
  t('look.gap.days', { first: dayText(one.first, true), last: dayText(one.last, true) });
</script>

<template>
  <details>
    <summary class="label">{{ t('look.gap.heading') }}</summary>
    <div class="stack">
      <p>{{ format(gap.text) }}</p>
      <div v-if="gap.sowings.length" class="table-wrap">
        <table>
          <caption>
            {{
              t('look.gap.fast')
            }}
          </caption>
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
              <td>{{ days(s) }}</td>
              <td>{{ format(s.seed) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div v-if="gap.plantings.length" class="table-wrap">
        <table>
          <caption>
            {{
              t('look.gap.toStay')
            }}
          </caption>
          <thead>
            <tr>
              <th>{{ t('look.gap.planting') }}</th>
              <th>{{ t('look.gap.plantWhen') }}</th>
              <th>{{ t('look.gap.howMuch') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="p in gap.plantings" :key="p.kind">
              <td>
                {{ p.name }}
                <div v-if="p.natives.length" class="small">
                  {{ t('look.gap.natives') }}
                  <template v-for="(n, i) in p.natives" :key="n.id"
                    ><template v-if="i">, </template
                    ><RouterLink :to="{ name: 'species', params: { id: n.id } }">{{ n.name }}</RouterLink></template
                  >
                </div>
                <p v-if="p.care" class="small care">{{ p.care }}</p>
              </td>
              <td>{{ days(p) }}</td>
              <td>
                <template v-if="p.seed">{{ t('look.gap.seedOf', { amount: format(p.seed) }) }}</template>
                <template v-else-if="p.plants !== null">{{
                  t('look.gap.plants', { n: p.plants, apart: format(p.apart) })
                }}</template>
                <template v-else-if="p.apart">{{ format(p.apart) }}</template>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <p class="small soft">{{ t('look.gap.typical') }}</p>
    </div>
  </details>
</template>

<style scoped>
caption {
  text-align: left;
  font-weight: 650;
  padding: 6px 0;
}
.care {
  margin: 2px 0 0;
}
</style>
