<script setup lang="ts">
import { useInfiniteQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { formats } from '@/app/language';
import LoadFault from '@/components/feedback/LoadFault.vue';
import ActButton from '@/components/form/ActButton.vue';

/** Who did what, the newest first, in words. */
const { t } = useI18n();
const { data, error, hasNextPage, fetchNextPage, isFetching } = useInfiniteQuery({
  queryKey: ['acts'],
  initialPageParam: null as number | null,
  queryFn: ({ pageParam }) =>
    unwrap(api.GET('/crew/acts', { params: { query: pageParam === null ? {} : { before: pageParam } } })),
  getNextPageParam: (last) => (last.more ? (last.acts.at(-1)?.id ?? null) : null),
});
const acts = computed(() => (data.value?.pages ?? []).flatMap((p) => p.acts));
const when = (at: string): string =>
  new Date(at).toLocaleString(formats(), { dateStyle: 'medium', timeStyle: 'short' });
</script>

<template>
  <section class="stack" aria-labelledby="trail-h">
    <h2 id="trail-h">{{ t('crew.trail') }}</h2>
    <p class="small soft">{{ t('crew.trailHelp') }}</p>
    <LoadFault :of="error" />
    <p v-if="data && !acts.length">{{ t('crew.trailEmpty') }}</p>
    <div v-if="acts.length" class="table-wrap">
      <table>
        <thead>
          <tr>
            <th>{{ t('crew.when') }}</th>
            <th>{{ t('crew.who') }}</th>
            <th>{{ t('crew.what') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="a in acts" :key="a.id">
            <td class="when">{{ when(a.at) }}</td>
            <td>{{ a.who }}</td>
            <td>
              {{ a.text }}
              <div v-for="c in a.changes" :key="c.setting" class="small soft">
                {{ t('crew.changed', { setting: c.setting, from: c.from ?? '–', to: c.to ?? '–' }) }}
              </div>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="hasNextPage">
      <ActButton :busy="isFetching" @click="fetchNextPage()">{{ t('crew.older') }}</ActButton>
    </p>
  </section>
</template>

<style scoped>
.when {
  white-space: nowrap;
}
</style>
