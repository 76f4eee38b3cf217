<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import { crewQuery } from '@/api/queries';
import ViewTabs from '@/components/ViewTabs.vue';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSession } from '@/composables/useSession';
import LeavingPart from './LeavingPart.vue';
import MembersPart from './MembersPart.vue';
import SettingsPart from './SettingsPart.vue';
import TrailPart from './TrailPart.vue';

/** The crew: its people, what it set for all its work, who did what, and how it is carried elsewhere or ends. */
const { t } = useI18n();
const { isLead } = useSession();
const [route, router] = [useRoute(), useRouter()];
const { data: crew, error } = useQuery(crewQuery());
const VIEWS = ['people', 'settings', 'trail', 'leaving'] as const;
type View = (typeof VIEWS)[number];
const view = computed<View>({
  get: () => VIEWS.find((v) => v === route.query.view) ?? 'people',
  set: (to) => void router.replace({ query: to === 'people' ? {} : { view: to } }),
});
const views = computed(() =>
  VIEWS.filter((v) => v !== 'leaving' || isLead.value).map((id) => ({ id, name: t(`crew.view.${id}`) })),
);
</script>

<template>
  <div class="stack">
    <h1>{{ crew?.name ?? t('crew.title') }}</h1>
    <LoadFault :of="error" />
    <ViewTabs v-if="crew" v-model="view" :views="views" :label="t('crew.title')">
      <MembersPart v-if="view === 'people'" :crew="crew" />
      <SettingsPart v-else-if="view === 'settings'" :crew="crew" />
      <TrailPart v-else-if="view === 'trail'" />
      <LeavingPart v-else-if="isLead" :crew="crew" />
    </ViewTabs>
  </div>
</template>
