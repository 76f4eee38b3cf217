<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { speciesQuery } from '@/api/queries';
import { monthDayText } from '@/components/dates';

const props = defineProps<{ id: string }>();
const { t, te } = useI18n();
const { data: s, error } = useQuery(computed(() => speciesQuery(props.id)));
const event = (name: string): string => (te(`handbook.event.${name}`) ? t(`handbook.event.${name}`) : name);
</script>

<template>
  <div class="stack">
    <p>
      <RouterLink :to="{ name: 'handbook' }">{{ t('station.handbook') }}</RouterLink>
    </p>
    <p v-if="error" class="fault" role="alert">{{ error.message }}</p>
    <template v-if="s">
      <h1>{{ s.name }}</h1>
      <p>
        <span class="latin">{{ s.scientific }}</span>, {{ s.family }} · {{ s.habit }}
      </p>
      <p v-for="h in s.hazards" :key="h" class="warn">{{ h }}</p>
      <div class="bench">
        <div class="stack">
          <p>{{ s.why }}</p>
          <p>{{ s.mechanical }}</p>
          <p class="soft">{{ s.lookFirst }} {{ s.origin }}</p>
          <p>{{ t('handbook.alsoCalled') }} {{ s.names.join(', ') }}</p>
          <p v-if="s.lookAlikes.length">
            {{ t('handbook.lookAlikes') }} <b>{{ s.lookAlikes.join(', ') }}</b>
          </p>
        </div>
        <div class="why">
          <table>
            <tbody>
              <tr>
                <td>{{ t('handbook.root') }}</td>
                <td>{{ s.root }}{{ s.rootSuckering ? `, ${t('handbook.suckers')}` : '' }}</td>
              </tr>
              <tr>
                <td>{{ t('handbook.resprouts') }}</td>
                <td>{{ s.resprouts === null ? t('handbook.notKnown') : s.resprouts ? t('scout.yes') : t('scout.no') }}</td>
              </tr>
              <tr>
                <td>{{ t('handbook.seedBank') }}</td>
                <td>{{ s.seedBankYears ? t('handbook.years', s.seedBankYears) : t('handbook.notKnown') }}</td>
              </tr>
              <tr v-for="(day, name) in s.phenology" :key="name">
                <td>{{ event(String(name)) }}</td>
                <td>{{ monthDayText(day) }}</td>
              </tr>
              <tr v-for="r in s.responses" :key="r.active">
                <td>{{ r.active }}</td>
                <td>{{ t(`handbook.effect.${r.effect}`) }}</td>
              </tr>
            </tbody>
          </table>
          <p class="small soft">{{ t('handbook.dates') }}</p>
        </div>
      </div>
    </template>
  </div>
</template>
