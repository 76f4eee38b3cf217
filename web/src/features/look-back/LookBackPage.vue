<script setup lang="ts">
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute, useRouter } from 'vue-router';
import LoadFault from '@/components/feedback/LoadFault.vue';
import ViewTabs from '@/components/ViewTabs.vue';
import { useStand } from '@/composables/useStand';
import OutlookPanel from '@/features/outlook/OutlookPanel.vue';
import JudgePanel from './JudgePanel.vue';

/** Look back: did it work, and what lies ahead. */
const props = defineProps<{ stand: string }>();
const { t } = useI18n();
const [route, router] = [useRoute(), useRouter()];
const { stand, error } = useStand(() => props.stand);
const VIEWS = ['back', 'ahead'] as const;
type View = (typeof VIEWS)[number];
const view = computed<View>({
  get: () => VIEWS.find((v) => v === route.query.view) ?? 'back',
  set: (to) => void router.replace({ query: to === 'back' ? {} : { view: to } }),
});
const views = computed(() => [
  { id: 'back' as View, name: t('outlook.back') },
  { id: 'ahead' as View, name: t('outlook.tab') },
]);
</script>

<template>
  <div class="stack">
    <h1>
      {{ t('station.look-back') }}<template v-if="stand">: {{ stand.name }}</template>
    </h1>
    <LoadFault :of="error" />
    <ViewTabs v-model="view" :views="views" :label="t('station.look-back')">
      <OutlookPanel v-if="view === 'ahead' && stand" :stand="props.stand" :revision="stand.revision" />
      <JudgePanel v-else :stand="props.stand" />
    </ViewTabs>
  </div>
</template>
