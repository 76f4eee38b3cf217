<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { sheetQuery } from '@/api/queries';
import { OF_STAND, type Station } from '@/app/router';
import CardChanges from '@/components/CardChanges.vue';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import { useStand } from '@/composables/useStand';
import RecordForm from './RecordForm.vue';
import SheetView from './SheetView.vue';
import PaperButton from '@/components/feedback/PaperButton.vue';

const props = defineProps<{ stand: string }>();
const { t } = useI18n();
const { format, isLead, mayWrite } = useSession();
const { stand } = useStand(() => props.stand);
const { busy, refusal, run } = useSubmit();
const { data: sheet } = useQuery(
  computed(() => ({ ...sheetQuery(stand.value?.sheetId ?? ''), enabled: stand.value?.sheetId != null })),
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
    <template v-if="stand && !stand.sheetId">
      <section class="stack" aria-labelledby="gates-h">
        <h2 id="gates-h">{{ gates.length ? t('field.shut', { n: gates.length }) : t('field.ready') }}</h2>
        <ul class="ruled gates">
          <li v-for="(g, i) in gates" :key="g.code + i">
            <p>
              <b>{{ format(g.text) }}</b>
              <span class="small soft">{{ g.passable ? t('field.passable') : t('field.notPassable') }}</span>
            </p>
            <p>
              <RouterLink :to="to(g.station)">{{ g.opens }}</RouterLink>
            </p>
            <label v-if="g.passable && isLead" class="label"
              >{{ t('field.reason') }}<input v-model="reasons[g.code]" class="field"
            /></label>
          </li>
        </ul>
        <p v-if="!stand.step">
          <RouterLink class="btn main" :to="{ name: 'methods', params: { stand: props.stand } }">{{
            t('station.methods')
          }}</RouterLink>
        </p>
        <button
          v-else-if="isLead"
          class="btn main"
          type="button"
          style="justify-self: start"
          :disabled="busy || !ready"
          @click="issue"
        >
          {{ t('field.issue') }}
        </button>
        <p v-else class="soft">{{ t('field.leadIssues') }}</p>
        <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
      </section>
    </template>
    <template v-if="stand?.sheetId && sheet">
      <div class="row no-print">
        <PaperButton kind="sheet" :of="sheet.id" :label="t('field.pdf')" main />
        <RouterLink v-if="stand.recordId" class="btn" :to="{ name: 'look-back', params: { stand: props.stand } }">{{
          t('field.signed')
        }}</RouterLink>
      </div>
      <div v-if="sheet.cardChanges.length" class="warn stack" role="alert">
        <p>
          <b>{{ t('field.cardChanged') }}</b>
        </p>
        <CardChanges :changes="sheet.cardChanges" />
      </div>
      <form v-if="isLead && !stand.recordId" class="row no-print" novalidate @submit.prevent="withdraw">
        <label class="label">{{ t('field.withdrawWhy') }}<input v-model="why" class="field" maxlength="300" /></label>
        <button class="btn small quiet" type="submit" :disabled="busy || why.trim() === ''">
          {{ t('field.withdraw') }}
        </button>
      </form>
      <div class="bench">
        <SheetView :sheet="sheet" />
        <RecordForm v-if="!stand.recordId && mayWrite" class="why" :sheet="sheet" :time-zone="stand.season.timeZone" />
        <p v-else-if="stand.recordId" class="why soft">{{ t('field.signedHelp') }}</p>
      </div>
    </template>
  </div>
</template>

<style scoped>
.gates {
  list-style: none;
  padding: 0;
}
</style>
