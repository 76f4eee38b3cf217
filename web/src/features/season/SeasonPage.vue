<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { seasonQuery } from '@/api/queries';
import ViewTabs from '@/components/ViewTabs.vue';
import LoadFault from '@/components/feedback/LoadFault.vue';
import CalendarPanel from './CalendarPanel.vue';
import PeoplePanel from './PeoplePanel.vue';
import PlanPanel from './PlanPanel.vue';

/** The season of the whole crew: the plan, the calendar, who works when. */
const { t } = useI18n();
const { data: season, error, isPending } = useQuery(seasonQuery());
const VIEWS = ['plan', 'calendar', 'people'] as const;
type View = (typeof VIEWS)[number];
const route = useRoute();
const router = useRouter();
const view = computed<View>({
  get: () => VIEWS.find((v) => v === route.query.view) ?? 'plan',
  set: (v) => void router.replace({ query: { view: v } }),
});
const views = computed(() => VIEWS.map((id) => ({ id, name: t(`season.view.${id}`) })));
</script>

<template>
  <div class="stack">
    <h1>{{ t('season.title') }}</h1>
    <LoadFault v-if="error" :of="error" />
    <p v-else-if="isPending" role="status">{{ t('frame.loading') }}</p>
    <ViewTabs v-else-if="season" v-model="view" :views="views" :label="t('season.views')">
      <PlanPanel v-if="view === 'plan'" :season="season" />
      <CalendarPanel v-else-if="view === 'calendar'" :season="season" />
      <PeoplePanel v-else :season="season" />
    </ViewTabs>
  </div>
</template>
