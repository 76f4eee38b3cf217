<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRoute } from 'vue-router';
import type { Schemas } from '@/api/client';
import HintTip from '@/components/feedback/HintTip.vue';
import { useHand } from './hand';
import { OF_STAND, STATIONS, type Station } from './router';

const props = defineProps<{ /** The stand in hand; null greys its stations. */ stand: Schemas['Stand'] | null }>();
const { t } = useI18n();
const route = useRoute();
// what is in hand is known before the stand is loaded: a quick tap goes to its station all the same
const hand = useHand();

/** With no stand in hand Scout still works, sightings anywhere (B35), and When tells the season of the crew. */
const WITHOUT_STAND: Partial<Record<Station, { name: string }>> = {
  scout: { name: 'sightings' },
  when: { name: 'season' },
};
const nodes = computed(() =>
  STATIONS.map((id) => {
    const own = props.stand?.stations.find((s) => s.id === id);
    const ofStand = OF_STAND.includes(id);
    return {
      id,
      to: ofStand
        ? hand.standId
          ? { name: id, params: { stand: hand.standId } }
          : (WITHOUT_STAND[id] ?? null)
        : { name: id },
      state: own?.state ?? 'free',
      gated: own?.gated ?? false,
      gate:
        props.stand?.gates
          .filter((g) => g.station === id)
          .map((g) => g.text.us)
          .join(' ') ?? '',
      here:
        route.name === id ||
        (id === 'handbook' && (route.name === 'species' || route.name === 'compare')) ||
        (route.name !== undefined && route.name === WITHOUT_STAND[id]?.name),
    };
  }),
);
const rail = ref<HTMLElement | null>(null);
// on a phone the stem lies at the bottom and scrolls: keep the station at hand in sight
watch(
  () => route.name,
  () => void nextTick(() => rail.value?.querySelector('.here')?.scrollIntoView({ block: 'nearest', inline: 'center' })),
  { immediate: true },
);
</script>

<template>
  <nav ref="rail" class="stem" :aria-label="t('frame.stations')">
    <HintTip
      v-for="node in nodes"
      :key="node.id"
      :hint="node.gated ? node.gate : node.to ? undefined : t('frame.takeStand')"
      place="right"
    >
      <component
        :is="node.to ? 'RouterLink' : 'span'"
        class="node"
        :class="[node.state, { here: node.here, gated: node.gated, off: !node.to }]"
        :to="node.to ?? undefined"
        :aria-current="node.here ? 'page' : undefined"
        :aria-disabled="node.to ? undefined : true"
      >
        <svg viewBox="0 0 24 24" aria-hidden="true">
          <circle cx="12" cy="12" :r="node.state === 'next' ? 9 : 6" />
          <path v-if="node.gated" d="M4 12h16" />
        </svg>
        <span>{{ t(`station.${node.id}`) }}</span>
        <span v-if="node.state === 'done' || node.state === 'next' || node.gated" class="visually-hidden">
          {{ node.gated ? t('frame.gated', { gate: node.gate }) : t(`frame.state.${node.state}`) }}
        </span>
      </component>
    </HintTip>
  </nav>
</template>

<style scoped>
.stem {
  grid-row: 1 / 3;
  position: sticky;
  top: 0;
  height: 100vh;
  padding: 14px 0;
  border-right: 1px solid var(--rule);
  display: flex;
  flex-direction: column;
  overflow-y: auto;
  background: linear-gradient(var(--ink), var(--ink)) 37px 0 / 2px 100% no-repeat var(--lichen);
}
.node {
  position: relative;
  display: grid;
  justify-items: center;
  align-content: center;
  min-height: 62px;
  text-decoration: none;
  color: var(--ink);
  font-size: 0.75rem;
  line-height: 1.15;
  text-align: center;
}
.node > span:not(.visually-hidden) {
  background: var(--lichen);
  padding: 1px 3px;
}
svg {
  width: 24px;
  height: 24px;
}
circle {
  fill: var(--lichen);
  stroke: var(--ink);
  stroke-width: 2.4;
}
path {
  stroke: var(--haw);
  stroke-width: 4;
}
.done circle {
  fill: var(--ink);
}
.next circle {
  fill: var(--sloe);
  stroke: var(--sloe);
}
.here {
  font-weight: 700;
}
.here > span:not(.visually-hidden) {
  border-bottom: 3px solid var(--sloe);
}
.off {
  color: var(--ink-soft);
}
.off circle {
  stroke-dasharray: 3 3;
}
@media (max-width: 860px) {
  .stem {
    grid-row: auto;
    position: fixed;
    inset: auto 0 0 0;
    top: auto;
    height: 68px;
    flex-direction: row;
    overflow-x: auto;
    overflow-y: hidden;
    padding: 0 8px;
    border-right: 0;
    border-top: 1px solid var(--rule);
    z-index: 5;
    background: linear-gradient(var(--ink), var(--ink)) 0 21px / 100% 2px no-repeat var(--lichen);
  }
  .node {
    min-width: 72px;
    min-height: 64px;
    align-content: start;
    padding-top: 10px;
    flex: none;
  }
}
@media print {
  .stem {
    display: none;
  }
}
</style>
