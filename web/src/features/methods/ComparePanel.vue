<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { sideBySideQuery } from '@/api/queries';
import VerdictMark from '@/components/figures/VerdictMark.vue';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';

/** Two to four ways beside each other, one line a figure. */
const props = defineProps<{ stand: string; rows: readonly string[] }>();
const emit = defineEmits<{ drop: [id: string]; pick: [id: string] }>();
const { t } = useI18n();
const { format } = useSession();
const { data, error } = useQuery(
  computed(() => ({ ...sideBySideQuery(props.stand, props.rows), enabled: props.rows.length > 1 })),
);
type Column = Schemas['SideBySide']['columns'][number];
const columns = computed(() => (props.rows.length > 1 ? (data.value?.columns ?? []) : []));
const unknown = computed(() => t('besides.unknown'));
const LINES: readonly { key: string; of: (c: Column) => string }[] = [
  { key: 'control', of: (c) => (c.row.measures.control ? t('besides.range', c.row.measures.control) : unknown.value) },
  {
    key: 'passes',
    of: (c) => {
      const plan = c.row.measures.plan;
      const parts = [t('besides.passesOf', { n: plan.passes }, plan.passes)];
      if (plan.control) parts.push(t('besides.together', plan.control));
      if (plan.passes > 1 && plan.hours) parts.push(t('besides.planHours', { hours: format(plan.hours) }));
      if (plan.weeks !== null) parts.push(t('besides.planWeeks', { n: plan.weeks }, plan.weeks));
      return parts.join(' · ');
    },
  },
  {
    key: 'weeks',
    of: (c) =>
      c.row.measures.weeks
        ? c.row.measures.weeks.to === 0
          ? t('besides.atOnce')
          : t('besides.weeksOf', c.row.measures.weeks)
        : unknown.value,
  },
  { key: 'judge', of: (c) => c.judgeAfter?.text ?? unknown.value },
  {
    key: 'hours',
    of: (c) => {
      if (!c.hours) return unknown.value;
      const hours = `${format(c.hours.use)} (${format(c.hours.low)} – ${format(c.hours.high)})`;
      return c.walkingKnown ? hours : `${hours} ${t('besides.noWalking')}`;
    },
  },
  {
    key: 'mix',
    of: (c) =>
      c.mix === null
        ? t('besides.noProduct')
        : c.mix.need && !c.mix.product
          ? t('besides.mixByCard', { need: format(c.mix.need) })
          : c.mix.need
            ? t('besides.mixOf', { need: format(c.mix.need), product: format(c.mix.product) })
            : c.mix.product
              ? t('besides.productOf', { product: format(c.mix.product) })
              : t('besides.needs', { facts: c.mix.missing.join(', ') }),
  },
  {
    key: 'money',
    of: (c) => {
      if (!c.money) return t('besides.noPrice');
      const { total, currency, perHectare, stale, without } = c.money;
      return [
        `${total} ${currency}${perHectare ? ` (${t('besides.perHa', { money: perHectare })})` : ''}`,
        stale.length ? t('besides.stale', { what: stale.join(', ') }) : null,
        without.length ? t('besides.without', { what: without.join(', ') }) : null,
      ]
        .filter(Boolean)
        .join(' · ');
    },
  },
  { key: 'harm', of: (c) => t('besides.step', { n: c.row.measures.harm }) },
  { key: 'keep', of: (c) => c.keepInjury.name },
  {
    key: 'others',
    of: (c) =>
      c.mix === null
        ? t('besides.noProduct')
        : c.others.length
          ? c.others.map((o) => `${o.name}: ${o.effectName}`).join('; ')
          : t('besides.noOthers'),
  },
  {
    key: 'grazing',
    of: (c) => {
      if (c.mix === null) return t('besides.noProduct');
      const card =
        c.grazingDays === null ? t('besides.cardSays') : t('besides.daysByCard', { n: c.grazingDays }, c.grazingDays);
      return c.grazingLost.kind === 'none'
        ? card
        : `${card} · ${t(`besides.lost.${c.grazingLost.kind}`, { from: c.grazingLost.from, to: c.grazingLost.to })}`;
    },
  },
];
</script>

<template>
  <section class="stack" :aria-label="t('besides.heading')">
    <p v-if="rows.length < 2" class="soft">{{ t('besides.pickTwo') }}</p>
    <p v-if="error && rows.length > 1" class="fault" role="alert">{{ error.message }}</p>
    <div v-if="columns.length" class="table-wrap" tabindex="0" role="group" :aria-label="t('besides.heading')">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ t('besides.what') }}</th>
            <th v-for="c in columns" :key="c.row.id" scope="col">
              {{ c.row.method.name }}<span v-if="c.row.active" class="soft">, {{ c.row.active.name }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr>
            <th scope="row">{{ t('besides.verdict') }}</th>
            <td v-for="c in columns" :key="c.row.id">
              <VerdictMark :outcome="c.row.outcome" :name="c.row.outcomeName" /><span
                v-if="c.row.opens"
                class="small soft"
              >
                {{ t('methods.opens', { day: c.row.opens.text }) }}</span
              >
              <span class="small block">{{ format(c.row.findings[0]?.text) }}</span>
            </td>
          </tr>
          <tr v-for="line in LINES" :key="line.key">
            <th scope="row">{{ t(`besides.${line.key}`) }}</th>
            <td v-for="c in columns" :key="c.row.id">{{ line.of(c) }}</td>
          </tr>
          <tr>
            <th scope="row">{{ t('besides.mind') }}</th>
            <td v-for="c in columns" :key="c.row.id">
              <ul v-if="c.harmNotes.length" class="plain small">
                <li v-for="(n, i) in c.harmNotes" :key="i">{{ format(n) }}</li>
              </ul>
              <template v-else>{{ t('besides.nothing') }}</template>
            </td>
          </tr>
          <tr>
            <th scope="row">{{ t('besides.doing') }}</th>
            <td v-for="c in columns" :key="c.row.id">
              <div class="row">
                <ActButton small @click="emit('pick', c.row.id)">{{ t('besides.look') }}</ActButton>
                <ActButton quiet small @click="emit('drop', c.row.id)">{{ t('besides.drop') }}</ActButton>
              </div>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="columns.length" class="small soft">{{ t('besides.care') }}</p>
  </section>
</template>

<style scoped>
th[scope='row'] {
  border-bottom: 1px solid var(--rule);
  text-align: left;
  vertical-align: top;
  min-width: 9em;
}
td {
  vertical-align: top;
  min-width: 13em;
}
.block {
  display: block;
}
</style>
