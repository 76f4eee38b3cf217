<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { programmesQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import VerdictMark from '@/components/figures/VerdictMark.vue';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import { useStand } from '@/composables/useStand';
import ActButton from '@/components/form/ActButton.vue';
import PlanList from './PlanList.vue';

/**
 * Jobs in sequence: each offered programme laid out with its dates; taking one makes every job a later step of the
 * trail.
 */
const props = defineProps<{ stand: string }>();
const { t } = useI18n();
const { format, mayWrite } = useSession();
const { stand, ifMatch } = useStand(() => props.stand);
const { busy, refusal, run } = useSubmit();
const { data, error } = useQuery(computed(() => programmesQuery(props.stand)));
const pickedId = ref<string | null>(null);
const offers = computed(() => data.value?.offers ?? []);
const picked = computed(() => offers.value.find((o) => o.id === pickedId.value) ?? offers.value[0] ?? null);
const years = (o: Schemas['Offers']['offers'][number]): string =>
  t(o.years.openEnded ? 'plan.yearsOpen' : 'plan.years', { from: o.years.from, to: o.years.to }, o.years.to);
const hours = (o: Schemas['Offers']['offers'][number]): string =>
  o.hours.unreckoned === o.steps.length
    ? t('plan.hoursUnknown')
    : t('plan.hours', { low: format(o.hours.low), high: format(o.hours.high) }) +
      (o.hours.unreckoned ? ` ${t('plan.unreckoned', { n: o.hours.unreckoned }, o.hours.unreckoned)}` : '');
const follow = async (id: string): Promise<void> => {
  await run(() =>
    unwrap(
      api.POST('/stands/{stand}/programme', {
        params: { path: { stand: props.stand }, header: { 'If-Match': ifMatch.value } },
        body: { programme: id },
      }),
    ),
  );
};
const leave = async (): Promise<void> => {
  await run(() =>
    unwrap(
      api.DELETE('/stands/{stand}/programme', {
        params: { path: { stand: props.stand }, header: { 'If-Match': ifMatch.value } },
      }),
    ),
  );
};
</script>

<template>
  <LoadFault :of="error" />
  <section v-if="stand?.plan" class="stack" aria-labelledby="plan-h">
    <h2 id="plan-h">{{ t('plan.following', { name: stand.plan.name }) }}</h2>
    <PlanList :steps="stand.plan.steps" />
    <div v-if="mayWrite" class="row">
      <ActButton quiet small :disabled="busy" @click="leave">{{ t('plan.leave') }}</ActButton><span
        class="small soft"
        >{{ t('plan.leaveHelp') }}</span
      >
    </div>
  </section>
  <p v-if="data && offers.length === 0" class="soft">{{ t('plan.none') }}</p>
  <div v-if="offers.length" class="bench">
    <section class="stack" :aria-label="t('plan.offered')">
      <h2>{{ t('plan.offered') }}</h2>
      <div class="rows">
        <button
          v-for="o in offers"
          :key="o.id"
          type="button"
          class="offer"
          :class="{ picked: o.id === picked?.id }"
          :aria-pressed="o.id === picked?.id"
          @click="pickedId = o.id"
        >
          <b>{{ o.name }}</b>
          <VerdictMark :outcome="o.outcome" :name="o.outcomeName" />
          <span class="small soft wide"
            >{{ o.usesProduct ? t('plan.withProduct') : t('plan.withoutProduct') }} ·
            {{ t('plan.jobs', { n: o.steps.length }, o.steps.length) }} · {{ years(o) }}</span
          >
        </button>
      </div>
    </section>
    <section v-if="picked" class="stack stays why" tabindex="0" aria-live="polite" :aria-label="t('plan.laidOut')">
      <h2>{{ picked.name }}</h2>
      <VerdictMark :outcome="picked.outcome" :name="picked.outcomeName" large />
      <p>{{ years(picked) }} · {{ hours(picked) }}</p>
      <p class="small soft">{{ t('plan.honest') }}</p>
      <ol class="jobs">
        <li v-for="(s, i) in picked.steps" :key="i">
          <span class="when small">{{ s.when }}</span>
          <span
            ><b>{{ s.method.name }}</b
            ><span v-if="s.active" class="soft"
              >, {{ s.active }}{{ s.typical ? ` (${t('methods.typical')})` : '' }}</span
            ><span v-if="s.optional" class="soft small"> · {{ t('plan.optional') }}</span></span
          >
          <span class="small does">{{ s.note }}</span>
          <span v-if="s.outcome === 'doesNotSuit' || s.outcome === 'notAllowed'" class="does"
            ><VerdictMark :outcome="s.outcome" :name="s.outcomeName"
          /></span>
          <ul
            v-if="s.against.length && (i === 0 || s.outcome === 'doesNotSuit' || s.outcome === 'notAllowed')"
            class="small does plain"
          >
            <li v-for="(f, k) in s.against.slice(0, 3)" :key="k">
              {{ format(f.text) }} <span v-if="f.change" class="change">{{ format(f.change.text) }}</span>
            </li>
          </ul>
        </li>
      </ol>
      <p class="small soft">{{ t('methods.care') }} {{ t('plan.source', { name: picked.source.name }) }}</p>
      <ActButton v-if="mayWrite" main :disabled="busy || !picked.canBeDone" @click="follow(picked.id)">{{
        t('plan.follow', { name: picked.name })
      }}</ActButton>
      <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
    </section>
  </div>
</template>

<style scoped>
.rows {
  border-bottom: 1px solid var(--rule);
}
.offer {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 16px;
  width: 100%;
  min-height: var(--touch);
  text-align: left;
  background: none;
  border: 0;
  border-top: 1px solid var(--rule);
  padding: 9px 10px;
  cursor: pointer;
}
.offer:hover {
  background: var(--lichen-deep);
}
.offer.picked {
  background: var(--sloe-pale);
  box-shadow: inset 4px 0 0 var(--sloe);
}
.wide {
  grid-column: 1 / 3;
}
.jobs {
  list-style: none;
  padding: 0;
}
.jobs > li {
  display: grid;
  grid-template-columns: 12.5em minmax(0, 1fr);
  gap: 0 14px;
  padding: 7px 0;
  border-top: 1px solid var(--rule);
}
.when {
  grid-row: 1 / span 4;
}
.does {
  grid-column: 2;
}
.change {
  color: var(--sloe);
  font-weight: 600;
}
@media (max-width: 640px) {
  .jobs > li {
    grid-template-columns: 1fr;
  }
  .does {
    grid-column: 1;
  }
}
</style>
