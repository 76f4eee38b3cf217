<script setup lang="ts">
import { formats } from '@/app/language';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import { SIZE_UNITS, sized } from './tally';

const props = defineProps<{
  stand: Schemas['Stand'];
  zoneId: string;
  plans: Schemas['PlotPlan'][];
  seedlings: boolean;
}>();
const emit = defineEmits<{ planned: [] }>();
const { t } = useI18n();
const { user, format, units } = useSession();
const unit = computed(() => SIZE_UNITS[units.value].size);
const plan = computed(() =>
  props.seedlings ? null : (props.plans.find((p) => (p.zoneId ?? '') === props.zoneId) ?? null),
);
const planning = ref({ plots: '8', radius: '4 m', placement: 'random' as 'random' | 'systematic', seed: '' });
const planAct = useSubmit();
const make = async (): Promise<void> => {
  const made = await planAct.run(() =>
    unwrap(
      api.POST('/stands/{stand}/plot-plans', {
        params: { path: { stand: props.stand.id } },
        body: {
          plots: Number(planning.value.plots) || 0,
          radius: planning.value.radius,
          placement: planning.value.placement,
          ...(planning.value.seed ? { seed: Number(planning.value.seed) || 0 } : {}),
          ...(props.zoneId ? { zoneId: props.zoneId } : {}),
        },
      }),
    ),
  );
  if (made) emit('planned');
};

/* The counts: classes across, plots down. */
interface Sheet {
  size: string;
  classes: { from: string; below: string }[];
  plots: { counts: string[]; inside: string; spot?: number[] }[];
}
const fresh = (): Sheet => ({
  size: props.seedlings ? '1 m2' : (plan.value?.radius ?? '4 m'),
  classes: props.seedlings ? [] : [{ from: '', below: '' }],
  plots: plan.value
    ? plan.value.plots.map((p) => ({
        counts: [''],
        inside: `${p.inside.value} ${p.inside.unit}`,
        spot: p.position,
      }))
    : Array.from({ length: 4 }, () => ({ counts: [''], inside: '' })),
});
const sheet = ref<Sheet>(fresh());
const { restoredAt, drop } = useDraft(
  () =>
    user.value
      ? draftKey(user.value.id, props.seedlings ? 'seedlings' : 'plots', `${props.stand.id}${props.zoneId}`)
      : '',
  sheet,
);
watch(
  () => plan.value?.id,
  (now, before) =>
    now && now !== before && sheet.value.plots.every((p) => p.counts.every((c) => c === '')) && (sheet.value = fresh()),
);
const columns = computed(() => Math.max(1, sheet.value.classes.length));
const addClass = (): void => {
  sheet.value.classes.push({ from: '', below: '' });
  sheet.value.plots.forEach((p) => p.counts.push(''));
};
const dropClass = (i: number): void => {
  sheet.value.classes.splice(i, 1);
  sheet.value.plots.forEach((p) => p.counts.splice(i, 1));
};
const { busy, refusal, run, at } = useSubmit();
const whole = (text: string): number => (/^\d+$/.test(text.trim()) ? Number(text) : -1);
const save = async (): Promise<void> => {
  const s = sheet.value;
  const counted = s.plots.filter((p) => p.counts.some((c) => c.trim() !== ''));
  const sample = {
    ...(props.seedlings
      ? { frame: s.size }
      : {
          radius: s.size,
          classes: s.classes.map((c) =>
            c.below.trim()
              ? { from: sized(c.from, unit.value), below: sized(c.below, unit.value) }
              : { diameter: sized(c.from, unit.value) },
          ),
        }),
    plots: counted.map((p) => ({
      counts: p.counts.slice(0, columns.value).map((c) => whole(c === '' ? '0' : c)),
      ...(p.inside && !props.seedlings ? { inside: p.inside } : {}),
      ...(p.spot && !props.seedlings ? { position: p.spot } : {}),
    })),
  };
  const done = await run(() =>
    unwrap(
      api.PUT('/stands/{stand}/tally', {
        params: { path: { stand: props.stand.id } },
        body: {
          kind: props.seedlings ? 'seedlings' : 'plots',
          ...(props.zoneId ? { zoneId: props.zoneId } : {}),
          sample,
        },
      }),
    ),
  );
  if (done) {
    await drop();
  }
};
</script>

<template>
  <div class="stack">
    <details v-if="!seedlings" :open="plan === null">
      <summary>{{ t('scout.plots.plan') }}</summary>
      <form class="row planner" novalidate @submit.prevent="make">
        <TextField
          v-model="planning.plots"
          :label="t('scout.plots.howMany')"
          :fault="planAct.at('/plots')"
          width="6.5em"
          inputmode="numeric"
        />
        <TextField
          v-model="planning.radius"
          :label="t('scout.plots.radius')"
          :fault="planAct.at('/radius')"
          width="6.5em"
        />
        <ChoiceField
          v-model="planning.placement"
          :label="t('scout.plots.placement')"
          :options="[
            { value: 'random', label: t('scout.plots.random') },
            { value: 'systematic', label: t('scout.plots.systematic') },
          ]"
        />
        <TextField
          v-model="planning.seed"
          :label="t('scout.plots.seed')"
          :fault="planAct.at('/seed')"
          width="6.5em"
          inputmode="numeric"
          :placeholder="t('scout.plots.anySeed')"
        />
        <ActButton type="submit" :disabled="planAct.busy.value">{{ t('scout.plots.place') }}</ActButton>
      </form>
      <p v-if="planAct.refusal.value" class="fault" role="alert">
        {{ planAct.refusal.value.problem?.errors?.[0]?.message ?? planAct.refusal.value.message }}
      </p>
    </details>
    <p v-if="plan" class="small soft">
      {{
        t('scout.plots.planned', {
          n: plan.plots.length,
          radius: plan.radius,
          placement: t(`scout.plots.${plan.placement}`),
          seed: plan.seed,
        })
      }}
    </p>
    <p v-if="restoredAt" class="note small">
      {{ t('frame.restored', { when: restoredAt.toLocaleString(formats()) }) }}
    </p>
    <TextField
      v-model="sheet.size"
      :label="t(seedlings ? 'scout.plots.frame' : 'scout.plots.radius')"
      :fault="at('/sample/radius') ?? at('/sample/frame')"
    />
    <div class="table-wrap">
      <table class="grid">
        <thead>
          <tr>
            <th>{{ t('scout.plots.plot') }}</th>
            <th v-for="(c, i) in sheet.classes" :key="i">
              <span class="row tight"
                ><TextField
                  v-model="c.from"
                  :label="`${t('scout.column.from')} ${i + 1}`"
                  bare
                  :aria-invalid="at(`/sample/classes/${i}`) !== null || undefined"
                  width="4.6em"
                  :placeholder="t('scout.plots.from')"
                /><TextField
                  v-model="c.below"
                  :label="`${t('scout.column.below')} ${i + 1}`"
                  bare
                  width="4.6em"
                  :placeholder="t('scout.plots.below')"
                /><ActButton
                  v-if="sheet.classes.length > 1"
                  quiet
                  small
                  :aria-label="`${t('scout.plots.dropClass')} ${i + 1}`"
                  @click="dropClass(i)"
                >
                  ×</ActButton
                ></span
              >
            </th>
            <th v-if="seedlings">{{ t('scout.plots.seedlings') }}</th>
            <th v-if="!seedlings">{{ t('scout.plots.inside') }}</th>
            <th>
              <span class="visually-hidden">{{ t('scout.removeRow') }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(p, i) in sheet.plots" :key="i">
            <td>{{ i + 1 }}</td>
            <td v-for="j in columns" :key="j">
              <TextField
                v-model="p.counts[j - 1]"
                :label="t('scout.plots.cell', { plot: i + 1, column: j })"
                bare
                :aria-invalid="at(`/sample/plots/${i}`) !== null || undefined"
                width="4.6em"
                inputmode="numeric"
              />
            </td>
            <td v-if="!seedlings">
              <TextField
                v-model="p.inside"
                :label="`${t('scout.plots.inside')} ${i + 1}`"
                bare
                width="7em"
                :placeholder="t('scout.plots.whole')"
              />
            </td>
            <td>
              <ActButton
                quiet
                small
                :aria-label="`${t('scout.plots.dropPlot')} ${i + 1}`"
                @click="sheet.plots.splice(i, 1)"
              >
                ×</ActButton
              >
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.problem?.errors?.[0]?.message ?? refusal.message }}</p>
    <div class="row">
      <ActButton small @click="sheet.plots.push({ counts: Array.from({ length: columns }, () => ''), inside: '' })">{{
        t('scout.plots.addPlot')
      }}</ActButton>
      <ActButton v-if="!seedlings" small @click="addClass">{{ t('scout.plots.addClass') }}</ActButton>
      <ActButton main :disabled="busy" @click="save">{{ t('scout.saveTally') }}</ActButton>
      <span v-if="plan" class="small soft">{{ format(plan.plots[0]?.inside) }}</span>
    </div>
  </div>
</template>

<style scoped>
.planner {
  padding-top: 8px;
  align-items: end;
}
.size {
  max-width: 11em;
}
.tight {
  gap: 3px;
  flex-wrap: nowrap;
}
td {
  border: 0;
  padding: 3px 8px 3px 0;
}
</style>
