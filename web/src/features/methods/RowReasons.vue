<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { OF_STAND, type Station } from '@/app/router';
import VerdictMark from '@/components/figures/VerdictMark.vue';
import { useSession } from '@/composables/useSession';

defineProps<{
  row: Schemas['Row'];
  standId: string;
  /** Target of the stand, whose page some reasons rest on. */ species: string | null;
}>();
const { t } = useI18n();
const { format } = useSession();
/**
 * The place a reason rests on: the school, the plant, the card, or the method on the Handbook page; house rules have
 * the method's place too.
 */
const page = (code: string, species: string | null, school: string | null, method: string) => {
  if (school) return { name: 'handbook', hash: `#school-${school}` };
  if (code === 'species' && species) return { name: 'species', params: { id: species } };
  if (code === 'label-card' || code === 'shed') return { name: 'shed' };
  return { name: 'handbook', hash: `#method-${method}` };
};
const to = (station: string, stand: string) =>
  OF_STAND.includes(station as Station) ? { name: station, params: { stand } } : { name: station };
</script>

<template>
  <p v-for="(l, i) in row.measures.learned" :key="i" class="small">{{ format(l) }}</p>
  <ul class="ruled reasons">
    <li v-for="(f, i) in row.findings" :key="i">
      <div class="head">
        <VerdictMark :outcome="f.outcome" :name="t(`outcome.${f.outcome}`)" />
        <span class="small soft"
          ><RouterLink :to="page(f.source.code, species, f.school?.id ?? null, row.method.id)">{{
            f.source.name
          }}</RouterLink
          ><template v-if="f.restsOn && f.restsOn !== 'unknown'"> · {{ t(`certainty.${f.restsOn}`) }}</template></span
        >
      </div>
      <p>{{ format(f.text) }}</p>
      <p v-if="f.change" class="change">
        <RouterLink v-if="f.missing" :to="to(f.missing.station, standId)">{{ format(f.change.text) }}</RouterLink>
        <template v-else>{{ format(f.change.text) }}</template>
      </p>
      <p v-if="f.school" class="small">
        {{ t('methods.hangs') }} <b>{{ f.school.name }}</b>.
        <template v-for="o in f.school.otherwise" :key="o.choice">
          {{ t('methods.otherwise', { choice: o.name, outcome: o.outcomeName }) }}</template
        >
      </p>
    </li>
  </ul>
</template>

<style scoped>
.reasons {
  list-style: none;
  padding: 0;
}
.head {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  font-size: var(--size-s);
}
.change {
  color: var(--sloe);
  font-weight: 600;
}
</style>
