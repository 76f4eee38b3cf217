<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { sheetDraftQuery, sheetQuery } from '@/api/queries';
import { OF_STAND, type Station } from '@/app/router';
import CardChanges from '@/components/CardChanges.vue';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import { useStand } from '@/composables/useStand';
import DutiesPart from './DutiesPart.vue';
import RecordForm from './RecordForm.vue';
import WhoDoesIt from './WhoDoesIt.vue';
import SheetView from './SheetView.vue';
import PaperButton from '@/components/feedback/PaperButton.vue';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';

const props = defineProps<{ stand: string }>();
const { t } = useI18n();
const { format, isLead, mayWrite } = useSession();
const { stand, error } = useStand(() => props.stand);
const { busy, refusal, run } = useSubmit();
const { data: sheet, error: sheetError } = useQuery(
  computed(() => ({ ...sheetQuery(stand.value?.sheetId ?? ''), enabled: stand.value?.sheetId != null })),
);

/** The sheet as it will be, beside what still stops it. */
const { data: draft, error: draftError } = useQuery(
  computed(() => ({
    ...sheetDraftQuery(props.stand),
    enabled: stand.value?.step != null && stand.value.species !== null && stand.value.sheetId === null,
  })),
);

const reasons = ref<Record<string, string>>({});
const gates = computed(() => stand.value?.gates ?? []);
const ready = computed(() => gates.value.every((g) => g.passable && (reasons.value[g.code] ?? '').trim() !== ''));
const to = (station: string) =>
  OF_STAND.includes(station as Station) ? { name: station, params: { stand: props.stand } } : { name: station };
const issue = async (): Promise<void> => {
  const passes = Object.entries(reasons.value)
    .filter(([, r]) => r.trim() !== '')
    .map(([gate, reason]) => ({ gate, reason }));
  await run(() =>
    unwrap(api.POST('/stands/{stand}/sheets', { params: { path: { stand: props.stand } }, body: { passes } })),
  );
};
const why = ref('');
const withdraw = async (): Promise<void> => {
  const id = sheet.value?.id;
  if (!id) return;
  if (
    await run(() =>
      unwrap(api.POST('/sheets/{sheet}/withdraw', { params: { path: { sheet: id } }, body: { reason: why.value } })),
    )
  ) {
    why.value = '';
  }
};
</script>

<template>
  <div class="stack">
    <h1>
      {{ t('station.field-day') }}<template v-if="stand">: {{ stand.name }}</template>
    </h1>
    <LoadFault :of="error ?? sheetError" />

    <div v-if="stand && !stand.sheetId" :class="{ bench: draft }" class="before">
      <SheetView v-if="draft" :snapshot="draft.snapshot" class="draft" />
      <section class="stack gates" :class="{ 'why stays': draft }" aria-labelledby="gates-h">
        <LoadFault :of="draftError" />
        <h2 id="gates-h">{{ gates.length ? t('field.shut', { n: gates.length }, gates.length) : t('field.ready') }}</h2>
        <ul class="plain ruled">
          <li v-for="(g, i) in gates" :key="g.code + i" class="stack gate">
            <p>
              <b>{{ format(g.text) }}</b>
            </p>
            <p>
              <a v-if="g.station === 'field-day'" href="#duties-h">{{ g.opens }}</a>
              <RouterLink v-else :to="to(g.station)">{{ g.opens }}</RouterLink>
              <span class="small soft"> {{ g.passable ? t('field.passable') : t('field.notPassable') }}</span>
            </p>
            <TextField v-if="g.passable && isLead" v-model="reasons[g.code]" :label="t('field.reason')" />
          </li>
        </ul>
        <p v-if="!stand.step">
          <RouterLink class="btn main" :to="{ name: 'methods', params: { stand: props.stand } }">{{
            t('station.methods')
          }}</RouterLink>
        </p>
        <ActButton v-else-if="isLead" main class="start act" :busy="busy" :disabled="!ready" @click="issue">{{
          t('field.issue')
        }}</ActButton>
        <p v-else class="soft">{{ t('field.leadIssues') }}</p>
        <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
        <DutiesPart :stand="stand" />
        <WhoDoesIt :stand="stand" />
      </section>
    </div>
    <template v-if="stand?.sheetId && sheet">
      <div class="row no-print">
        <RouterLink
          v-if="!stand.recordId && mayWrite"
          class="btn main"
          :to="{ name: 'field', params: { sheet: sheet.id } }"
          >{{ t('fieldMode.open') }}</RouterLink
        >
        <PaperButton kind="sheet" :of="sheet.id" :label="t('field.pdf')" />
        <PaperButton v-if="sheet.snapshot.product" kind="re-entry-sign" :of="sheet.id" :label="t('field.sign')" />
        <RouterLink v-if="stand.recordId" class="btn" :to="{ name: 'look-back', params: { stand: props.stand } }">{{
          t('field.signed')
        }}</RouterLink>
      </div>
      <div v-if="sheet.dutiesOpen.length" class="warn stack" role="alert">
        <p>
          <b>{{ t('field.dutiesOpen') }}</b>
        </p>
        <ul>
          <li v-for="(d, i) in sheet.dutiesOpen" :key="i">{{ format(d) }}</li>
        </ul>
        <DutiesPart :stand="stand" />
      </div>
      <div v-if="sheet.cardChanges.length" class="warn stack" role="alert">
        <p>
          <b>{{ t('field.cardChanged') }}</b>
        </p>
        <CardChanges :changes="sheet.cardChanges" />
      </div>
      <form v-if="isLead && !stand.recordId" class="row no-print" novalidate @submit.prevent="withdraw">
        <TextField v-model="why" :label="t('field.withdrawWhy')" maxlength="300" />
        <ActButton quiet small type="submit" :disabled="busy || why.trim() === ''">{{ t('field.withdraw') }}</ActButton>
      </form>
      <div class="bench">
        <SheetView :snapshot="sheet.snapshot" :issued="sheet" />
        <RecordForm
          v-if="!stand.recordId && mayWrite"
          class="why"
          :sheet="sheet"
          :time-zone="stand.season.timeZone"
          :crew="stand.crew"
        />
        <p v-else-if="stand.recordId" class="why soft">{{ t('field.signedHelp') }}</p>
      </div>
    </template>
  </div>
</template>

<style scoped>
.gate {
  gap: 4px;
}
.draft {
  border-top-style: dashed;
}
/* on a phone first what is to be done, then the sheet that comes of it */
@media (max-width: 860px) {
  .before > .gates {
    order: -1;
  }
}
</style>
