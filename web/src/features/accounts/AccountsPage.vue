<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { accountsQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import PaperButton from '@/components/feedback/PaperButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import { useSession } from '@/composables/useSession';

/** Hours and money of what was signed, by patch, method and year; papers of a year for others. */
const { t } = useI18n();
const { today } = useSession();
const all = useQuery(accountsQuery(null));
const years = computed(() =>
  (all.data.value?.by.find((b) => b.of === 'year')?.lines ?? []).map((l) => Number(l.heading)).reverse(),
);
const chosen = ref('');
const year = computed(() => (chosen.value ? Number(chosen.value) : null));
const { data: accounts, error } = useQuery(computed(() => accountsQuery(year.value)));
/** Trees given room are a gain of their own, where somebody counted them. */
const released = computed(() => accounts.value?.all?.released != null);
const printed = computed(() => year.value ?? years.value[0] ?? Number(today().slice(0, 4)));
</script>

<template>
  <div class="stack">
    <h1>{{ t('accounts.title') }}</h1>
    <p class="soft">{{ t('accounts.help') }}</p>
    <LoadFault :of="error" />
    <ChoiceField
      v-model="chosen"
      :label="t('accounts.year')"
      width="12em"
      :options="[
        { value: '', label: t('accounts.allYears') },
        ...years.map((y) => ({ value: String(y), label: String(y) })),
      ]"
    />
    <p v-if="accounts && !accounts.all">{{ t('accounts.none') }}</p>
    <template v-if="accounts?.all">
      <p class="lead">
        {{ t('accounts.sum', { hours: accounts.all.hours, n: accounts.all.treated }) }}
        <template v-if="accounts.all.money">{{
          t('accounts.sumMoney', { money: accounts.all.money, currency: accounts.currency ?? '' })
        }}</template>
      </p>
      <div
        v-for="by in accounts.by"
        :key="by.of"
        class="table-wrap"
        tabindex="0"
        role="group"
        :aria-label="t(`accounts.by.${by.of}`)"
      >
        <table>
          <caption>
            {{
              t(`accounts.by.${by.of}`)
            }}
          </caption>
          <thead>
            <tr>
              <td></td>
              <th class="n">{{ t('accounts.records') }}</th>
              <th class="n">{{ t('accounts.hours') }}</th>
              <th class="n">{{ t('accounts.money', { currency: accounts.currency ?? '' }) }}</th>
              <th class="n">{{ t('accounts.treated') }}</th>
              <th class="n">{{ t('accounts.dead') }}</th>
              <th v-if="released" class="n">{{ t('accounts.released') }}</th>
              <th class="n">{{ t('accounts.perHectare') }}</th>
              <th class="n">{{ t('accounts.perDead') }}</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="l in by.lines" :key="l.heading">
              <td>{{ l.heading }}</td>
              <td class="n">{{ l.records.join(', ') }}</td>
              <td class="n">{{ l.hours }}</td>
              <td class="n">{{ l.money ?? t('accounts.unknown') }}</td>
              <td class="n">{{ l.treated }}</td>
              <td class="n">{{ l.dead ?? '–' }}</td>
              <td v-if="released" class="n">{{ l.released ?? '–' }}</td>
              <td class="n">{{ l.perHectare ?? '–' }}</td>
              <td class="n">{{ l.perDead ?? '–' }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <div
        v-if="accounts.actives.length"
        class="table-wrap"
        tabindex="0"
        role="group"
        :aria-label="t('accounts.actives')"
      >
        <table>
          <caption>
            {{
              t('accounts.actives')
            }}
          </caption>
          <tbody>
            <tr v-for="a in accounts.actives" :key="a.year + a.active">
              <td>{{ a.year }}</td>
              <td>{{ a.active }}</td>
              <td class="n">{{ t('accounts.kg', { n: a.kilograms }) }}</td>
            </tr>
          </tbody>
        </table>
      </div>
      <p v-if="accounts.all.withoutTime.length" class="small soft">
        {{ t('accounts.withoutTime', { list: accounts.all.withoutTime.join(', ') }) }}
      </p>
      <p v-if="accounts.all.withoutMoney.length" class="small soft">
        {{ t('accounts.withoutMoney', { list: accounts.all.withoutMoney.join(', ') }) }}
        <RouterLink :to="{ name: 'shed', query: { view: 'figures' } }">{{ t('accounts.toPrices') }}</RouterLink>
      </p>
      <p v-if="accounts.all.amended.length" class="small soft">
        {{ t('accounts.amended', { list: accounts.all.amended.join(', ') }) }}
      </p>
      <h2>{{ t('accounts.papers', { year: printed }) }}</h2>
      <div class="row">
        <PaperButton kind="accounts" :year="printed" :label="t('accounts.pdf')" />
        <PaperButton kind="review" :year="printed" :label="t('accounts.review')" />
        <PaperButton kind="season" :year="printed" :label="t('look.season', { year: printed })" />
      </div>
      <p class="small soft">
        <a :href="`/api/v1/accounts.csv${year ? `?year=${year}` : ''}`" download>{{ t('accounts.csv') }}</a>
      </p>
    </template>
  </div>
</template>

<style scoped>
.lead {
  font-size: 20px;
}
.n {
  text-align: right;
}
caption {
  text-align: left;
  font-weight: 650;
  padding: 6px 0;
}
</style>
