<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { shedQuery } from '@/api/queries';
import ViewTabs from '@/components/ViewTabs.vue';
import LoadFault from '@/components/feedback/LoadFault.vue';
import BuyingPanel from './BuyingPanel.vue';
import CardsPanel from './CardsPanel.vue';
import FiguresPanel from './FiguresPanel.vue';
import LessonsPanel from './LessonsPanel.vue';
import PeoplePanel from './PeoplePanel.vue';
import PricesPanel from './PricesPanel.vue';
import SprayersPanel from './SprayersPanel.vue';
import StockPanel from './StockPanel.vue';
import ToolsPanel from './ToolsPanel.vue';
import WaysPanel from './WaysPanel.vue';
import { useSession } from '@/composables/useSession';

const { t } = useI18n();
const { isLead } = useSession();
const { data: shed, error } = useQuery(shedQuery());
const VIEWS = ['cards', 'stock', 'sprayers', 'tools', 'people', 'buying', 'figures', 'ways'] as const;
type View = (typeof VIEWS)[number];
const route = useRoute();
const router = useRouter();
/** The view is in the address, so that a reason can lead to it. */
const view = computed<View>({
  get: () => VIEWS.find((v) => v === route.query.view) ?? 'cards',
  set: (v) => void router.replace({ query: { view: v } }),
});
const views = computed(() => VIEWS.map((id) => ({ id, name: t(`shed.view.${id}`) })));
</script>

<template>
  <div class="stack">
    <h1>{{ t('shed.title') }}</h1>
    <p class="small">
      <RouterLink :to="{ name: 'sums' }">{{ t('shed.toSums') }}</RouterLink>
    </p>
    <LoadFault :of="error" />
    <ViewTabs v-model="view" :views="views" :label="t('shed.views')">
      <template v-if="shed">
        <CardsPanel v-if="view === 'cards'" :shed="shed" />
        <StockPanel v-else-if="view === 'stock'" :shed="shed" />
        <SprayersPanel v-else-if="view === 'sprayers'" :shed="shed" />
        <ToolsPanel v-else-if="view === 'tools'" :shed="shed" />
        <PeoplePanel v-else-if="view === 'people'" :shed="shed" />
        <BuyingPanel v-else-if="view === 'buying'" :shed="shed" />
        <div v-else-if="view === 'figures'" class="bench">
          <FiguresPanel :shed="shed" :may-change="isLead" />
          <div class="why stack">
            <LessonsPanel :shed="shed" :may-change="isLead" />
            <PricesPanel :shed="shed" :may-change="isLead" />
          </div>
        </div>
        <WaysPanel v-else :shed="shed" />
      </template>
    </ViewTabs>
  </div>
</template>
