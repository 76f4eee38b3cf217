<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { dayText } from '@/components/dates';
import EmptyState from '@/components/feedback/EmptyState.vue';
import ActButton from '@/components/form/ActButton.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import JobDetail from './JobDetail.vue';
import SeasonLanes from './SeasonLanes.vue';
import SeasonTerms from './SeasonTerms.vue';
import { inOrder, type Season } from './season';

/** The answer first: how many jobs find their days. Then the picture, one job opened with its reasons, what is left. */
const props = defineProps<{ season: Season }>();
const { t } = useI18n();
const { format, mayWrite } = useSession();
const { busy, refusal, run } = useSubmit();
/** What the planner would do; held against what is followed until it is kept or dropped. */
const proposal = ref<Season | null>(null);
const shown = computed(() => proposal.value ?? props.season);
const rows = computed(() => inOrder(shown.value));
const without = computed(() => shown.value.plan.leftOut.length);
const followed = computed(() => props.season.keptAt !== null);
const opened = ref('');
const reasonsOf = (job: string) => shown.value.plan.leftOut.find((l) => l.job === job) ?? null;
const shutOf = (job: string) => shown.value.jobs.find((j) => j.id === job)?.shut ?? null;
const nameOf = (job: string): string => shown.value.jobs.find((j) => j.id === job)?.name ?? '';
const changed = computed(() => {
  if (!proposal.value) return 0;
  const was = new Map(props.season.plan.placed.map((p) => [p.job, p.parts[0]?.day]));
  return proposal.value.plan.placed.filter((p) => was.get(p.job) !== p.parts[0]?.day).length;
});
const propose = async (anew: boolean): Promise<void> => {
  proposal.value = (await run(() => unwrap(api.POST('/season-plan/proposal', { body: { anew } })))) ?? proposal.value;
};
const keep = async (): Promise<void> => {
  const kept = await run(() => unwrap(api.POST('/season-plan', { body: {} })), t('form.kept'));
  if (kept) proposal.value = null;
};
</script>

<template>
  <EmptyState v-if="season.jobs.length === 0" :said="t('season.noJobs')">
    <RouterLink class="btn main" :to="{ name: 'today' }">{{ t('station.today') }}</RouterLink>
  </EmptyState>
  <div v-else class="stack">
    <p class="headline">
      {{
        proposal
          ? t('season.wouldPlace', { n: rows.length - without, of: rows.length })
          : followed
            ? t('season.placed', { n: rows.length - without, of: rows.length })
            : t('season.notPlanned', { of: rows.length }, rows.length)
      }}
      <template v-if="(followed || proposal) && without === 0">{{ t('season.allFit') }}</template>
    </p>
    <p v-if="season.fallen.length && !proposal" class="warn">
      {{ t('season.fallen', { names: season.fallen.map(nameOf).join('; ') }, season.fallen.length) }}
    </p>
    <div v-if="mayWrite" class="row">
      <template v-if="proposal">
        <ActButton main :busy="busy" @click="keep">{{ t('season.keep') }}</ActButton>
        <ActButton quiet :disabled="busy" @click="proposal = null">{{ t('season.drop') }}</ActButton>
        <span class="small soft">{{ followed ? t('season.changed', { n: changed }, changed) : '' }}</span>
      </template>
      <ActButton v-else :main="!followed || season.fallen.length > 0" :busy="busy" @click="propose(false)">{{
        t(followed ? 'season.again' : 'season.propose')
      }}</ActButton>
    </div>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
    <h2 class="visually-hidden">{{ t('season.allJobs') }}</h2>
    <p class="small soft">{{ t('season.pick') }}</p>
    <SeasonLanes
      v-slot="{ job, placed }"
      v-model="opened"
      :season="shown"
      :may-move="mayWrite && !proposal"
      @refused="(r) => (refusal = r)"
    >
      <JobDetail
        :key="`${job.id} ${placed?.parts[0]?.day} ${job.standRevision}`"
        :season="shown"
        :job="job"
        :placed="placed"
        :left="reasonsOf(job.id)"
        :may-move="mayWrite && !proposal"
      />
    </SeasonLanes>
    <div class="bench">
      <section class="stack" aria-labelledby="left-h">
        <h2 id="left-h">{{ t('season.leftOut') }}</h2>
        <p v-if="without === 0" class="soft">{{ t('season.noneLeft') }}</p>
        <p v-else-if="!followed && !proposal" class="soft">{{ t('season.notYet') }}</p>
        <ul v-else class="plain ruled">
          <li v-for="l in shown.plan.leftOut" :key="l.job">
            <b>{{ nameOf(l.job) }}</b>
            <p v-if="shutOf(l.job)">{{ format(shutOf(l.job)) }}</p>
            <p v-for="w in l.why" :key="w.code">{{ format(w.text) }}</p>
            <p v-if="l.room.length" class="small">
              {{ t('season.room') }}
              <span v-for="(r, i) in l.room" :key="r.code"
                >{{ i ? ` ${t('season.or')} ` : '' }}{{ format(r.text) }}</span
              >
            </p>
          </li>
        </ul>
      </section>
      <section class="stack why" aria-labelledby="terms-h">
        <h2 id="terms-h">{{ t('season.terms') }}</h2>
        <SeasonTerms :season="season" />
        <p v-if="followed || proposal" class="small soft">
          {{ t('season.quality', { percent: shown.plan.brings.percent }) }}
          <template v-if="shown.plan.road">{{ t('season.road', { time: format(shown.plan.road) }) }}</template>
          <template v-if="shown.plan.unpriced.length">{{
            t('season.unpriced', { names: shown.plan.unpriced.map(nameOf).join('; ') })
          }}</template>
        </p>
        <ActButton v-if="mayWrite && followed && !proposal" quiet small :busy="busy" @click="propose(true)">{{
          t('season.anew')
        }}</ActButton>
      </section>
    </div>
    <p v-if="followed" class="small soft">
      {{ t('season.keptOn', { day: dayText(season.keptAt!.slice(0, 10), true) }) }}
    </p>
  </div>
</template>
