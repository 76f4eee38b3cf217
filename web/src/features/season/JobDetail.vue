<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import ActButton from '@/components/form/ActButton.vue';
import DayField from '@/components/form/DayField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TickField from '@/components/form/TickField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import type { Placed, Season, SeasonJob } from './season';

/** One job: its days, who goes, why then, and what to change: the day, or how much it presses. */
const props = defineProps<{
  season: Season;
  job: SeasonJob;
  placed: Placed | null;
  left: Schemas['Proposal']['leftOut'][number] | null;
  mayMove: boolean;
}>();
const { t } = useI18n();
const { format } = useSession();
const { busy, refusal, run, at } = useSubmit();
const who = (id: string): string => props.season.people.find((p) => p.id === id)?.name ?? '';
const day = ref(props.placed?.parts[0]?.day ?? props.job.open[0]?.first ?? '');
const spreads = ref(props.job.spreads);
const promised = ref(props.job.promisedBy ?? '');
const move = (to: string | null): Promise<unknown> =>
  run(
    () => unwrap(api.PUT('/season-plan/jobs/{step}', { params: { path: { step: props.job.id } }, body: { day: to } })),
    to ? t('season.moved', { day: dayText(to) }) : t('form.kept'),
  );
const time = ref(props.job.hours ? format(props.job.hours) : '');
const tell = (told: string | null): Promise<unknown> =>
  run(
    () =>
      unwrap(
        api.PUT('/season-plan/jobs/{step}/time', {
          params: { path: { step: props.job.id }, header: { 'If-Match': `"${props.job.revision}"` } },
          body: { time: told },
        }),
      ),
    t('form.kept'),
  );
const press = (): Promise<unknown> =>
  run(
    () =>
      unwrap(
        api.PUT('/stands/{stand}/priority', {
          params: { path: { stand: props.job.standId }, header: { 'If-Match': `"${props.job.standRevision}"` } },
          body: { spreads: spreads.value, promisedBy: promised.value || null },
        }),
      ),
    t('form.kept'),
  );
</script>

<template>
  <div class="bench">
    <div class="stack">
      <p class="small">
        <RouterLink :to="{ name: 'when', params: { stand: job.standId } }">{{ job.patch }}, {{ job.ground }}</RouterLink
        ><template v-if="job.hours">
          · {{ t(job.hoursTold ? 'season.workTold' : 'season.work', { time: format(job.hours) }) }}</template
        >
      </p>
      <ul v-if="placed" class="plain ruled">
        <li v-for="part in placed.parts" :key="part.day">
          <b>{{ dayText(part.day, true) }}</b>: {{ part.people.map(who).join(', ') }},
          {{ t('season.each', { time: format(part.time) }, part.people.length) }}
        </li>
      </ul>
      <h3>{{ t(placed ? 'season.whyThen' : 'season.whyNot') }}</h3>
      <ul class="said">
        <li v-if="job.shut">{{ format(job.shut) }}</li>
        <li v-for="w in placed?.why ?? left?.why ?? []" :key="w.code">{{ format(w.text) }}</li>
      </ul>
      <template v-if="left?.room.length">
        <h3>{{ t('season.wouldFit') }}</h3>
        <ul class="said">
          <li v-for="r in left.room" :key="r.code">{{ format(r.text) }}</li>
        </ul>
      </template>
    </div>
    <div v-if="mayMove" class="stack why">
      <div class="row">
        <DayField
          v-model="day"
          :label="t('season.putOn')"
          :fault="at('/day')"
          :from="season.day"
          :till="season.terms.last"
        />
        <ActButton :busy="busy" :disabled="!day" @click="move(day)">{{ t('season.put') }}</ActButton>
        <ActButton v-if="job.pinned" quiet :disabled="busy" @click="move(null)">{{ t('season.letGo') }}</ActButton>
      </div>
      <div class="row">
        <QuantityField v-model="time" :label="t('season.takes')" :fault="at('/time')" width="8em" sample="6 h" />
        <ActButton quiet :busy="busy" :disabled="!time.trim()" @click="tell(time)">{{
          t('season.keepThis')
        }}</ActButton>
        <ActButton v-if="job.hoursTold" quiet :disabled="busy" @click="tell(null)">{{ t('season.reckon') }}</ActButton>
      </div>
      <fieldset class="bare stack">
        <legend class="label">{{ t('season.presses') }}</legend>
        <p v-if="job.worth.length" class="small">{{ t('season.counts', { what: job.worth.join(', ') }) }}</p>
        <TickField v-model="spreads" :label="t('season.spreads')" />
        <div class="row">
          <DayField v-model="promised" :label="t('season.promised')" :fault="at('/promisedBy')" :from="season.day" />
          <ActButton quiet :busy="busy" @click="press">{{ t('season.keepThis') }}</ActButton>
        </div>
      </fieldset>
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    </div>
  </div>
</template>

<style scoped>
.said {
  list-style: disc;
}
</style>
