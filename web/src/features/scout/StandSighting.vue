<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { groundsQuery, sightingQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import SightingCard from './SightingCard.vue';

const props = defineProps<{ /** Newest sighting of the stand. */ id: string; ground: string }>();
const { t } = useI18n();
const { data, error } = useQuery(computed(() => sightingQuery(props.id)));
const { data: grounds } = useQuery(groundsQuery());
const near = computed((): [number, number] => {
  const ground = grounds.value?.data.find((g) => g.id === props.ground);
  return ground ? [Number(ground.longitude), Number(ground.latitude)] : [0, 0];
});
</script>

<template>
  <LoadFault v-if="error && !data" :of="error" />
  <section v-if="data" class="stack" aria-labelledby="sighting-h">
    <div class="row">
      <h2 id="sighting-h">{{ t('sighting.heading') }}</h2>
      <RouterLink :to="{ name: 'sightings' }">{{ t('sighting.all') }}</RouterLink>
    </div>
    <SightingCard :sighting="data" :near="near" own />
  </section>
</template>
