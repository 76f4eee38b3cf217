<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
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
  plots: { counts: string[]; inside: string }[];
}
const fresh = (): Sheet => ({
  size: props.seedlings ? '1 m2' : (plan.value?.radius ?? '4 m'),
  classes: props.seedlings ? [] : [{ from: '', below: '' }],
  plots: plan.value
    ? plan.value.plots.map((p) => ({ counts: [''], inside: `${p.inside.value} ${p.inside.unit}` }))
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
        <label class="label"
          >{{ t('scout.plots.howMany')
          }}<input
            v-model="planning.plots"
            class="field short"
            inputmode="numeric"
            :aria-invalid="planAct.at('/plots') !== null"
        /></label>
        <label class="label"
          >{{ t('scout.plots.radius')
          }}<input v-model="planning.radius" class="field short" :aria-invalid="planAct.at('/radius') !== null"
        /></label>
        <label class="label"
          >{{ t('scout.plots.placement') }}
          <select v-model="planning.placement" class="field">
            <option value="random">{{ t('scout.plots.random') }}</option>
            <option value="systematic">{{ t('scout.plots.systematic') }}</option>
          </select>
        </label>
        <label class="label"
          >{{ t('scout.plots.seed')
          }}<input
            v-model="planning.seed"
            class="field short"
            inputmode="numeric"
            :placeholder="t('scout.plots.anySeed')"
            :aria-invalid="planAct.at('/seed') !== null"
        /></label>
        <button class="btn" type="submit" :disabled="planAct.busy.value">{{ t('scout.plots.place') }}</button>
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
    <p v-if="restoredAt" class="note small">{{ t('frame.restored', { when: restoredAt.toLocaleString('en-GB') }) }}</p>
    <label class="label size"
      >{{ t(seedlings ? 'scout.plots.frame' : 'scout.plots.radius')
      }}<input
        v-model="sheet.size"
        class="field"
        :aria-invalid="at('/sample/radius') !== null || at('/sample/frame') !== null"
    /></label>
    <div class="table-wrap">
      <table class="grid">
        <thead>
          <tr>
            <th>{{ t('scout.plots.plot') }}</th>
            <th v-for="(c, i) in sheet.classes" :key="i">
              <span class="row tight"
                ><input
                  v-model="c.from"
                  class="field cell"
                  :aria-label="`${t('scout.column.from')} ${i + 1}`"
                  :placeholder="t('scout.plots.from')"
                  :aria-invalid="at(`/sample/classes/${i}`) !== null"
                /><input
                  v-model="c.below"
                  class="field cell"
                  :aria-label="`${t('scout.column.below')} ${i + 1}`"
                  :placeholder="t('scout.plots.below')"
                /><button
                  v-if="sheet.classes.length > 1"
                  class="btn small quiet"
                  type="button"
                  :aria-label="`${t('scout.plots.dropClass')} ${i + 1}`"
                  @click="dropClass(i)"
                >
                  ×
                </button></span
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
              <input
                v-model="p.counts[j - 1]"
                class="field cell"
                inputmode="numeric"
                :aria-label="t('scout.plots.cell', { plot: i + 1, column: j })"
                :aria-invalid="at(`/sample/plots/${i}`) !== null"
              />
            </td>
            <td v-if="!seedlings">
              <input
                v-model="p.inside"
                class="field inside"
                :placeholder="t('scout.plots.whole')"
                :aria-label="`${t('scout.plots.inside')} ${i + 1}`"
              />
            </td>
            <td>
              <button
                class="btn small quiet"
                type="button"
                :aria-label="`${t('scout.plots.dropPlot')} ${i + 1}`"
                @click="sheet.plots.splice(i, 1)"
              >
                ×
              </button>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.problem?.errors?.[0]?.message ?? refusal.message }}</p>
    <div class="row">
      <button
        class="btn small"
        type="button"
        @click="sheet.plots.push({ counts: Array.from({ length: columns }, () => ''), inside: '' })"
      >
        {{ t('scout.plots.addPlot') }}
      </button>
      <button v-if="!seedlings" class="btn small" type="button" @click="addClass">
        {{ t('scout.plots.addClass') }}
      </button>
      <button class="btn main" type="button" :disabled="busy" @click="save">{{ t('scout.saveTally') }}</button>
      <span v-if="plan" class="small soft">{{ format(plan.plots[0]?.inside) }}</span>
    </div>
  </div>
</template>

<style scoped>
.planner {
  padding-top: 8px;
  align-items: end;
}
.short {
  width: 6.5em !important;
}
.cell {
  width: 4.6em;
  min-height: 34px;
  padding: 3px 6px;
}
.inside {
  width: 7em;
  min-height: 34px;
  padding: 3px 6px;
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
@media (max-width: 860px) {
  .cell,
  .inside {
    min-height: 48px;
  }
}
</style>
