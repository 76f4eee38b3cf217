<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { prospectsQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';

const props = defineProps<{ stand: Schemas['Stand'] }>();
const { t } = useI18n();
const { data, error } = useQuery(computed(() => prospectsQuery(props.stand.id)));
const SHOWN = 6;
</script>

<template>
  <section class="stack" aria-labelledby="unknown-h">
    <h2 id="unknown-h">{{ t('unknown.heading') }}</h2>
    <LoadFault :of="error" />
    <template v-if="data">
      <p v-if="data.holds" class="warn">
        <b>{{ t('unknown.hold') }}</b>
        {{ data.listed.length ? t('unknown.listed', { names: data.listed.slice(0, SHOWN).join(', ') }) : '' }}
        {{
          data.kept.length
            ? t(
                'unknown.kept',
                { names: data.kept.slice(0, SHOWN).join(', '), more: Math.max(0, data.kept.length - SHOWN) },
                Math.max(0, data.kept.length - SHOWN),
              )
            : ''
        }}
      </p>
      <p v-else class="note">{{ t('unknown.handWork') }}</p>
      <p>{{ data.wearing }}</p>
      <h3>{{ t('unknown.unlocks') }}</h3>
      <ul class="plain ruled">
        <li v-for="u in data.unlocks" :key="u.id">
          <RouterLink :to="{ name: 'species', params: { id: u.id } }"
            ><b>{{ u.name }}</b></RouterLink
          >
          <span class="soft"> {{ u.percent }} %</span>
          <p v-if="u.kept" class="small kept">{{ t('unknown.wouldBeKept') }}</p>
          <p v-else class="small">
            {{
              u.ways.length
                ? t('unknown.ways', {
                    ways: u.ways
                      .map((w) => (w.outcome === 'notNow' ? t('unknown.later', { way: w.name }) : w.name))
                      .join(', '),
                  })
                : t('unknown.noWays')
            }}
          </p>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.kept {
  color: var(--moss);
  font-weight: 600;
}
</style>
