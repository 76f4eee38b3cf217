<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { TANK_MATERIALS } from '@/api/vocabulary';
import { api, unwrap, type Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import { SPRAYER_KINDS } from '@/api/vocabulary';
import { useSubmit } from '@/composables/useSubmit';
import FigureChart from '@/components/figures/FigureChart.vue';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';
import CalibratePanel from './CalibratePanel.vue';

/** Sprayers, bottles and wicks: what they hold, what they really give, and when that was last measured. */
const props = defineProps<{ shed: Schemas['Shed'] }>();
const { t } = useI18n();
const { format, mayWrite } = useSession();
const { busy, refusal, run, at } = useSubmit();
type Sprayer = Schemas['ShedSprayer'];
const blank = () => ({
  name: '',
  kind: 'backpack' as (typeof SPRAYER_KINDS)[number],
  tank: '',
  material: '',
  solventProof: '',
  nozzle: '',
  ratedFlow: '',
});
const form = ref(blank());
const writing = ref<Sprayer | 'new' | null>(null);
const measuring = ref<string | null>(null);
const measured = computed(() => props.shed.sprayers.find((s) => s.id === measuring.value) ?? null);
const plain = (q: Schemas['Quantity'] | null): string => (q ? `${q.value} ${q.unit}` : '');
const edit = (s: Sprayer): void => {
  form.value = {
    name: s.name,
    kind: s.kind,
    tank: plain(s.tank),
    material: s.material ?? '',
    solventProof: s.solventProof === null ? '' : s.solventProof ? 'yes' : 'no',
    nozzle: s.nozzle ?? '',
    ratedFlow: plain(s.ratedFlow),
  };
  writing.value = s;
};
const save = async (): Promise<void> => {
  const f = form.value;
  const body = {
    name: f.name,
    kind: f.kind,
    tank: f.tank,
    ...(f.material ? { material: f.material } : {}),
    ...(f.solventProof ? { solventProof: f.solventProof === 'yes' } : {}),
    ...(f.nozzle ? { nozzle: f.nozzle } : {}),
    ...(f.ratedFlow ? { ratedFlow: f.ratedFlow } : {}),
  };
  const old = writing.value;
  const done = await run(() =>
    old && old !== 'new'
      ? unwrap(
          api.PUT('/shed/sprayers/{sprayer}', {
            params: { path: { sprayer: old.id }, header: { 'If-Match': `"${old.revision}"` } },
            body,
          }),
        )
      : unwrap(api.POST('/shed/sprayers', { body })),
  );
  if (done) {
    writing.value = null;
    form.value = blank();
  }
};
const rinsed = (s: Sprayer): Promise<unknown> =>
  run(
    () => unwrap(api.POST('/shed/sprayers/{sprayer}/cleanings', { params: { path: { sprayer: s.id } }, body: {} })),
    t('form.kept'),
  );
/** What it gave, oldest first; what was measured in another unit is no step of the same line. */
const history = (s: Sprayer) =>
  [...s.history]
    .reverse()
    .filter((h) => h.gives.unit === s.gives?.unit)
    .map((h) => ({
      label: dayText(h.on, true),
      told: `${dayText(h.on, true)}: ${format(h.gives)}`,
      value: Number(h.gives.value),
      tag: format(h.gives),
    }));
</script>

<template>
  <div class="bench">
    <section class="stack" :aria-label="t('shed.sprayers')">
      <h2 class="visually-hidden">{{ t('shed.sprayers') }}</h2>
      <p class="soft small">{{ t('sprayer.help') }}</p>
      <article v-for="s in shed.sprayers" :key="s.id" class="sheetlike stack" style="gap: 6px">
        <h3>
          {{ s.name }} <span class="soft small">{{ t(`sprayer.kind.${s.kind}`) }}, {{ format(s.tank) }}</span>
        </h3>
        <p v-if="s.gives">
          {{ t('sprayer.gives') }} <b>{{ format(s.gives) }}</b>
          <span class="soft small">{{
            s.calibratedOn ? t('shed.calibrated', { day: dayText(s.calibratedOn, true) }) : ''
          }}</span>
        </p>
        <p v-if="s.due" class="warn small">
          {{
            s.calibratedOn ? t('sprayer.overdue', { day: s.dueOn ? dayText(s.dueOn, true) : '' }) : t('sprayer.never')
          }}
        </p>
        <p v-else-if="s.dueOn" class="small soft">{{ t('sprayer.due', { day: dayText(s.dueOn, true) }) }}</p>
        <p v-if="s.cleaned" class="small soft">
          {{ t('sprayer.cleaned', { day: dayText(s.cleaned.on, true), name: s.cleaned.by }) }} {{ s.cleaned.note }}
        </p>
        <div v-if="s.holds" class="stack">
          <p class="warn small">
            {{ t('sprayer.heldLast', { told: s.holds.told, day: dayText(s.holds.since, true) }) }}
          </p>
          <ActButton v-if="mayWrite" small class="start" :disabled="busy" @click="rinsed(s)">{{
            t('sprayer.rinsed')
          }}</ActButton>
        </div>
        <p class="small soft">
          {{ s.material ? t(`sprayer.material.${s.material}`) : t('sprayer.noMaterial') }} ·
          {{
            s.solventProof === null
              ? t('sprayer.sealsUnknown')
              : s.solventProof
                ? t('sprayer.sealsOil')
                : t('sprayer.sealsNot')
          }}
          <template v-if="s.nozzle"> · {{ s.nozzle }}</template
          ><template v-if="s.ratedFlow"> · {{ t('sprayer.rated', { flow: format(s.ratedFlow) }) }}</template>
        </p>
        <template v-if="history(s).length > 1">
          <FigureChart
            low
            :name="
              t('sprayer.history', {
                list: history(s)
                  .map((h) => h.told)
                  .join('; '),
              })
            "
            :steps="history(s)"
            :marked="history(s).length - 1"
          />
          <details class="small">
            <summary>{{ t('sprayer.each') }}</summary>
            <table>
              <tbody>
                <tr v-for="h in history(s)" :key="h.told">
                  <td>{{ h.label }}</td>
                  <td>{{ h.tag }}</td>
                </tr>
              </tbody>
            </table>
          </details>
        </template>
        <div v-if="mayWrite" class="row">
          <ActButton small @click="measuring = s.id">{{ t('sprayer.calibrate') }}</ActButton>
          <ActButton quiet small @click="edit(s)">{{ t('sprayer.edit') }}</ActButton>
        </div>
      </article>
      <p v-if="shed.sprayers.length === 0" class="soft">{{ t('shed.noSprayers') }}</p>
      <ActButton v-if="mayWrite && !writing" @click="writing = 'new'">{{ t('sprayer.add') }}</ActButton>
      <form v-if="writing" class="stack sheetlike" novalidate @submit.prevent="save">
        <h3>{{ writing === 'new' ? t('sprayer.add') : writing.name }}</h3>
        <div class="row">
          <TextField v-model="form.name" :label="t('sprayer.name')" :fault="at('/name')" maxlength="80" />
          <ChoiceField
            v-model="form.kind"
            :label="t('sprayer.sort')"
            :options="SPRAYER_KINDS.map((k) => ({ value: k, label: t(`sprayer.kind.${k}`) }))"
          />
          <QuantityField
            v-model="form.tank"
            :label="t('sprayer.holds')"
            :fault="at('/tank')"
            width="8em"
            sample="4 gal"
          />
          <ChoiceField
            v-model="form.material"
            :label="t('sprayer.tank')"
            :options="[
              { value: '', label: t('sprayer.noMaterial') },
              ...TANK_MATERIALS.map((m) => ({ value: m, label: t(`sprayer.material.${m}`) })),
            ]"
          />
          <ChoiceField
            v-model="form.solventProof"
            :label="t('sprayer.seals')"
            :options="[
              { value: '', label: t('sprayer.sealsUnknown') },
              { value: 'yes', label: t('sprayer.sealsOil') },
              { value: 'no', label: t('sprayer.sealsNot') },
            ]"
          />
          <TextField v-model="form.nozzle" :label="t('sprayer.nozzle')" maxlength="80" />
          <QuantityField
            v-model="form.ratedFlow"
            :label="t('sprayer.ratedFlow')"
            :fault="at('/ratedFlow')"
            width="8em"
            sample="0.8 L"
          />
        </div>
        <p v-if="refusal" class="fault" role="alert">
          {{ at('/name') ?? at('/tank') ?? at('/ratedFlow') ?? refusal.message }}
        </p>
        <p class="small soft">{{ t('sprayer.nozzleHelp') }}</p>
        <div class="row">
          <ActButton main type="submit" :busy="busy">{{ t('sprayer.keep') }}</ActButton><ActButton
            quiet
            @click="writing = null"
            >{{ t('frame.back') }}</ActButton
          >
        </div>
      </form>
    </section>
    <section class="stack why" aria-live="polite">
      <CalibratePanel v-if="measured" :key="measured.id" :sprayer="measured" @close="measuring = null" />
      <p v-else class="soft">{{ t('calibrate.pick') }}</p>
    </section>
  </div>
</template>
