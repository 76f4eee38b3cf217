<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import { yearQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import LoadFault from '@/components/feedback/LoadFault.vue';
import VerdictMark from '@/components/figures/VerdictMark.vue';
import { useSession } from '@/composables/useSession';
import { useStand } from '@/composables/useStand';
import HourPanel from './HourPanel.vue';
import YearStrip from './YearStrip.vue';

const props = defineProps<{ stand: string }>();
const { t } = useI18n();
const { format } = useSession();
const { stand } = useStand(() => props.stand);
const { data: year, error } = useQuery(computed(() => yearQuery(props.stand)));
</script>

<template>
  <div class="stack">
    <h1>
      {{ t('station.when') }}<template v-if="stand">: {{ stand.name }}</template>
    </h1>
    <p class="small">
      <RouterLink :to="{ name: 'season' }">{{ t('when.toSeason') }}</RouterLink>
    </p>
    <LoadFault :of="error" />
    <HourPanel v-if="stand?.step" :stand="props.stand" :ground="stand.groundId" />
    <template v-if="year">
      <h2 v-if="stand?.step">{{ t('when.year') }}</h2>
      <div v-if="year.chosen" class="row" style="gap: 20px">
        <p class="headline">
          {{
            year.chosen.opens
              ? t('when.opens', { name: year.chosen.name, day: year.chosen.opens.text, weeks: year.chosen.opens.weeks })
              : t('when.open', { name: year.chosen.name })
          }}
        </p>
        <VerdictMark :outcome="year.chosen.outcome" :name="year.chosen.outcomeName" large />
      </div>
      <p v-else class="soft">
        {{ t('when.noneChosen') }}
        <RouterLink :to="{ name: 'methods', params: { stand: props.stand } }">{{ t('station.methods') }}</RouterLink>
      </p>
      <YearStrip :year="year" />
      <section v-if="year.chosen?.rounds.length" class="stack" aria-labelledby="rounds-h">
        <h2 id="rounds-h">{{ t('when.rounds') }}</h2>
        <ul class="plain ruled">
          <li v-for="(r, i) in year.chosen.rounds" :key="i">{{ format(r.text) }}</li>
        </ul>
        <p class="small soft">{{ t('when.roundsHelp') }}</p>
      </section>
      <section v-if="year.chosen?.after.length" class="stack" aria-labelledby="after-h">
        <h2 id="after-h">{{ t('when.after') }}</h2>
        <ul class="plain ruled">
          <li v-for="a in year.chosen.after" :key="a.code">{{ format(a.text) }}</li>
        </ul>
        <p class="small soft">{{ t('when.afterHelp') }}</p>
      </section>
      <p class="small soft">
        {{ year.trusted ? t('when.shift', { days: year.shiftDays }) : t('frame.shiftUnknown') }}
        {{ t('when.noWeather') }}
      </p>
      <div class="table-wrap" tabindex="0" role="group" :aria-label="t('when.windows')">
        <table>
          <caption class="visually-hidden">
            {{
              t('when.windows')
            }}
          </caption>
          <thead>
            <tr>
              <th>{{ t('when.method') }}</th>
              <th>{{ t('when.now') }}</th>
              <th>{{ t('when.window') }}</th>
              <th>{{ t('when.grade') }}</th>
              <th>{{ t('when.why') }}</th>
            </tr>
          </thead>
          <tbody>
            <template v-for="lane in year.lanes" :key="lane.method.id">
              <tr v-for="(w, i) in lane.windows" :key="w.first">
                <td>
                  <b v-if="i === 0">{{ lane.method.name }}</b><span v-if="i === 0 && lane.active" class="soft small"
                    >, {{ lane.active }}</span
                  >
                </td>
                <td>
                  <template v-if="i === 0"
                    ><VerdictMark :outcome="lane.now" :name="lane.nowName" />
                    <span v-if="lane.opens" class="small">{{
                      t('when.opensIn', { day: lane.opens.text, n: lane.opens.weeks }, lane.opens.weeks)
                    }}</span></template
                  >
                </td>
                <td>{{ dayText(w.first) }} – {{ dayText(w.last) }}</td>
                <td>{{ t(`when.grades.${w.grade}`) }}</td>
                <td>{{ w.why }}</td>
              </tr>
            </template>
          </tbody>
        </table>
      </div>
    </template>
  </div>
</template>
