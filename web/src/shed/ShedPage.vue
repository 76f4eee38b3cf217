<script setup lang="ts">
import { useQuery, useQueryClient } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { handbookQuery, shedQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import { useAct } from '@/composables/useAct';
import { useSession } from '@/composables/useSession';
import FiguresPanel from './FiguresPanel.vue';
import NewCard from './NewCard.vue';
import PricesPanel from './PricesPanel.vue';

const { t } = useI18n();
const { say, isLead, mayWrite } = useSession();
const client = useQueryClient();
const { data: shed, error } = useQuery(shedQuery());
const { data: book } = useQuery(handbookQuery());
const { busy, refusal, run } = useAct();
const adding = ref(false);

const confirm = async (version: string): Promise<void> => {
  if (await run(() => unwrap(api.POST('/shed/card-versions/{version}/confirm', { params: { path: { version } }, body: {} })))) await client.invalidateQueries();
};
const choose = async (body: { schools?: Record<string, string>; stance?: 'any' | 'least-hazard' | 'none' }): Promise<void> => {
  if (await run(() => unwrap(api.PATCH('/shed/choices', { params: { header: { 'If-Match': `"${shed.value?.revision ?? 0}"` } }, body })))) await client.invalidateQueries();
};
/** Questions on which practitioners differ, by the work they bear on. */
const GROUPS: readonly { key: string; of: RegExp }[] = [
  { key: 'basal', of: /basal|beech/ },
  { key: 'cuts', of: /^injection|^clonal/ },
  { key: 'stump', of: /^stump/ },
  { key: 'girdle', of: /^girdle/ },
  { key: 'leaf', of: /^foliar|^mow-first|^single/ },
  { key: 'pull', of: /^deep|^leave|^pulled/ },
  { key: 'preventer', of: /^preventer/ },
  { key: 'after', of: /^refill|^bed-mulch/ },
  { key: 'people', of: /^glove|^own/ },
];
const schoolsOf = (of: RegExp) => (book.value?.schools ?? []).filter((s) => of.test(s.id));
const STANCES = ['any', 'least-hazard', 'none'] as const;
</script>

<template>
  <div class="stack">
    <h1>{{ t('shed.title') }}</h1>
    <p v-if="error" class="fault" role="alert">{{ error.message }}</p>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
    <div v-if="shed" class="bench">
      <section class="stack" aria-labelledby="cards-h">
        <h2 id="cards-h">{{ t('shed.cards') }}</h2>
        <p class="soft small">{{ t('shed.cardsHelp') }}</p>
        <article v-for="card in shed.cards" :key="card.id" class="sheetlike stack" style="gap: 6px">
          <h3>{{ card.product }}</h3>
          <template v-for="(v, i) in card.versions" :key="v.id">
            <p class="small">{{ t('mix.version', { n: v.version }) }} · {{ v.registration }} · {{ v.actives.map((a) => `${a.active} ${say(a.amount)}`).join(', ') }}</p>
            <p v-if="v.confirmed" class="small">
              <b>{{ t('shed.confirmed', { name: v.confirmedBy ?? '', day: v.confirmedOn ? dayText(v.confirmedOn, true) : '' }) }}</b>
            </p>
            <div v-else class="row">
              <span class="fault">{{ t('shed.unconfirmed', { name: v.enteredBy }) }}</span><button v-if="isLead" class="btn small" type="button" :disabled="busy" @click="confirm(v.id)">
                {{ t('shed.confirm') }}
              </button>
            </div>
            <div v-if="i === 0" class="table-wrap">
              <table>
                <thead>
                  <tr>
                    <th>{{ t('shed.use') }}</th>
                    <th>{{ t('shed.least') }}</th>
                    <th>{{ t('shed.most') }}</th>
                  </tr>
                </thead>
                <tbody>
                  <tr v-for="m in v.methods" :key="m.method">
                    <td>{{ book?.methods.find((x) => x.id === m.method)?.name ?? m.method }}</td>
                    <td>{{ say(m.min) }}</td>
                    <td>{{ say(m.max) }}</td>
                  </tr>
                </tbody>
              </table>
            </div>
            <p v-if="i === 0" class="small soft">
              {{ t('shed.limits', { buffer: say(v.waterBuffer), yearly: say(v.yearlyMaximum), sites: v.sites.map((s) => book?.settings.find((x) => x.id === s)?.name ?? s).join(', ') }) }}
            </p>
          </template>
        </article>
        <p v-if="shed.cards.length === 0">{{ t('shed.noCards') }}</p>
        <button v-if="mayWrite && !adding" class="btn" type="button" @click="adding = true">{{ t('shed.newCard') }}</button>
        <NewCard v-if="adding" @done="((adding = false), client.invalidateQueries())" @close="adding = false" />
      </section>
      <section class="stack why">
        <h2>{{ t('shed.sprayers') }}</h2>
        <ul class="ruled plain">
          <li v-for="s in shed.sprayers" :key="s.id">
            <b>{{ s.name }}</b> {{ say(s.tank) }} <span class="soft small">{{ s.calibratedOn ? t('shed.calibrated', { day: dayText(s.calibratedOn, true) }) : t('shed.notCalibrated') }}</span>
          </li>
          <li v-if="shed.sprayers.length === 0" class="soft">{{ t('shed.noSprayers') }}</li>
        </ul>
        <h2>{{ t('shed.people') }}</h2>
        <ul class="ruled plain">
          <li v-for="p in shed.people" :key="p.id">
            <b>{{ p.name }}</b>
            <span class="small">{{ p.licence ? t('shed.licence', { n: p.licence, day: p.licenceUntil ? dayText(p.licenceUntil, true) : '' }) : t('shed.noLicence') }}</span><br /><span
              class="soft small"
              >{{ p.clearances.length ? t('shed.cleared', { tools: p.clearances.join(', ') }) : t('shed.noClearance') }}</span
            >
          </li>
        </ul>
        <PricesPanel :shed="shed" :may-change="isLead" @took="client.invalidateQueries()" />
        <FiguresPanel :shed="shed" :may-change="isLead" @took="client.invalidateQueries()" />
        <h2>{{ t('shed.choices') }}</h2>
        <label class="label"
          >{{ t('shed.stance')
          }}<select class="field" :disabled="!isLead" :value="shed.stance" @change="choose({ stance: ($event.target as HTMLSelectElement).value as 'any' })">
            <option v-for="s in STANCES" :key="s" :value="s">{{ t(`shed.stances.${s}`) }}</option>
          </select></label
        >
        <details v-for="g in GROUPS" :key="g.key">
          <summary>{{ t(`shed.groups.${g.key}`) }}</summary>
          <div class="stack folded">
            <label v-for="s in schoolsOf(g.of)" :key="s.id" class="label"
              >{{ s.name }}
              <select
                class="field"
                :disabled="!isLead"
                :value="shed.schools[s.id] ?? s.choices.find((c) => c.default)?.id"
                @change="choose({ schools: { [s.id]: ($event.target as HTMLSelectElement).value } })"
              >
                <option v-for="c in s.choices" :key="c.id" :value="c.id">{{ c.name }}</option>
              </select>
              <span class="soft" style="font-weight: 400">{{ s.reason }}</span>
            </label>
          </div>
        </details>
      </section>
    </div>
  </div>
</template>

<style scoped>
summary {
  min-height: 36px;
  cursor: pointer;
  font-weight: 600;
}
.folded {
  padding: 4px 0 12px;
}
</style>
