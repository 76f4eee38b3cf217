<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { dayText } from '@/components/dates';
import { useSession } from '@/composables/useSession';
import { MEASURING_KINDS } from '@/api/vocabulary';
import { useSubmit } from '@/composables/useSubmit';
import { useUndo } from '@/composables/useUndo';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import DayField from '@/components/form/DayField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';

/** Hand tools with jaw or blade, measuring tools with their marks, and who has them now. */
const props = defineProps<{ shed: Schemas['Shed'] }>();
const { t } = useI18n();
const { mayWrite } = useSession();
const { busy, refusal, run, at } = useSubmit();
type Tool = Schemas['ShedTool'];
const { data: book } = useQuery(handbookQuery());
const clearanceName = (id: string): string => book.value?.clearances.find((c) => c.id === id)?.name ?? id;
const groups = computed(() => [
  { key: 'hand', tools: props.shed.tools.filter((x) => !x.measures) },
  { key: 'measuring', tools: props.shed.tools.filter((x) => x.measures) },
]);
const blank = () => ({ name: '', kind: 'lever-puller', jaw: '', blade: '', graduation: '', holds: '', clearance: '' });
const form = ref(blank());
const adding = ref(false);
const measures = computed(() => (MEASURING_KINDS as readonly string[]).includes(form.value.kind));
const save = async (): Promise<void> => {
  const f = form.value;
  const sizes = (measures.value ? (['graduation', 'holds'] as const) : (['jaw', 'blade', 'clearance'] as const)).filter(
    (k) => f[k] !== '',
  );
  if (
    await run(() =>
      unwrap(
        api.POST('/shed/tools', {
          body: { name: f.name, kind: f.kind, ...Object.fromEntries(sizes.map((k) => [k, f[k]])) },
        }),
      ),
    )
  ) {
    adding.value = false;
    form.value = blank();
  }
};
const lending = ref<string | null>(null);
const loan = ref({ to: '', dueOn: '' });
const lend = async (x: Tool): Promise<void> => {
  if (
    await run(() =>
      unwrap(
        api.POST('/shed/tools/{tool}/loans', {
          params: { path: { tool: x.id } },
          body: { to: loan.value.to, ...(loan.value.dueOn ? { dueOn: loan.value.dueOn } : {}) },
        }),
      ),
    )
  ) {
    lending.value = null;
    loan.value = { to: '', dueOn: '' };
  }
};
const back = (id: string): Promise<unknown> =>
  run(() => unwrap(api.POST('/shed/loans/{loan}/return', { params: { path: { loan: id } } })));
const { letGo, isGoing } = useUndo();
const drop = (x: Tool): Promise<void> =>
  letGo(x.id, t('tools.dropped', { name: x.name }), () =>
    run(() => unwrap(api.DELETE('/shed/tools/{tool}', { params: { path: { tool: x.id } } }))),
  );
</script>

<template>
  <div class="stack">
    <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
    <div class="bench">
      <section v-for="(g, i) in groups" :key="g.key" class="stack" :class="{ why: i === 1 }">
        <h2>{{ t(`tools.${g.key}`) }}</h2>
        <ul class="plain ruled">
          <li v-for="x in g.tools.filter((one) => !isGoing(one.id))" :key="x.id">
            <div class="head">
              <span
                ><b>{{ x.name }}</b> <span class="soft small">{{ x.kindName }}</span><br /><span class="small"
                  >{{ x.jaw ? t('tools.jawOf', { size: x.jaw }) : ''
                  }}{{ x.blade ? t('tools.bladeOf', { size: x.blade }) : ''
                  }}{{ x.graduation ? t('tools.marks', { every: x.graduation, holds: x.holds }) : ''
                  }}{{ x.clearance ? ` ${t('tools.cleared', { clearance: clearanceName(x.clearance) })}` : '' }}</span
                ></span
              >
              <span v-if="mayWrite" class="row">
                <ActButton v-if="x.loan" small :disabled="busy" @click="back(x.loan.id)">{{
                  t('tools.back')
                }}</ActButton>
                <ActButton v-else quiet small @click="lending = lending === x.id ? null : x.id">{{
                  t('tools.lend')
                }}</ActButton>
                <ActButton
                  v-if="!x.loan"
                  quiet
                  small
                  :disabled="busy"
                  :aria-label="t('tools.dropOf', { name: x.name })"
                  @click="drop(x)"
                  >{{ t('tools.drop') }}</ActButton
                >
              </span>
            </div>
            <p v-if="x.loan" :class="x.loan.late ? 'warn' : 'note'" class="small">
              {{
                t(x.loan.late ? 'tools.late' : 'tools.out', { to: x.loan.to, day: dayText(x.loan.dueOn ?? x.loan.on) })
              }}
            </p>
            <form v-if="lending === x.id" class="row" novalidate @submit.prevent="lend(x)">
              <TextField v-model="loan.to" :label="t('tools.to')" :fault="at('/to')" maxlength="120" />
              <DayField v-model="loan.dueOn" :label="t('tools.due')" :fault="at('/dueOn')" />
              <ActButton small type="submit" :busy="busy">{{ t('tools.lendIt') }}</ActButton>
            </form>
          </li>
          <li v-if="g.tools.length === 0" class="soft">{{ t('tools.none') }}</li>
        </ul>
      </section>
    </div>
    <ActButton v-if="mayWrite && !adding" @click="adding = true">{{ t('tools.add') }}</ActButton>
    <form v-if="adding" class="stack sheetlike" novalidate @submit.prevent="save">
      <h3>{{ t('tools.add') }}</h3>
      <div class="row">
        <ChoiceField
          v-model="form.kind"
          :label="t('tools.kind')"
          :options="[
            ...(book?.tools ?? []).map((k) => ({ value: k.id, label: k.name, group: t('tools.hand') })),
            ...MEASURING_KINDS.map((k) => ({
              value: k as string,
              label: t(`tools.kinds.${k}`),
              group: t('tools.measuring'),
            })),
          ]"
        />
        <TextField v-model="form.name" :label="t('tools.name')" :fault="at('/name')" maxlength="80" />
        <template v-if="measures">
          <TextField
            v-model="form.graduation"
            :label="t('tools.graduation')"
            :fault="at('/graduation')"
            width="8em"
            :placeholder="form.kind === 'scale' ? '0.1 g' : '0.5 fl oz'"
          />
          <TextField
            v-model="form.holds"
            :label="t('tools.holds')"
            :fault="at('/holds')"
            width="8em"
            :placeholder="form.kind === 'scale' ? '200 g' : '8 fl oz'"
          />
        </template>
        <template v-else>
          <QuantityField v-model="form.jaw" :label="t('tools.jaw')" :fault="at('/jaw')" width="7em" sample="2 in" />
          <QuantityField
            v-model="form.blade"
            :label="t('tools.blade')"
            :fault="at('/blade')"
            width="7em"
            sample="12 in"
          />
          <ChoiceField
            v-model="form.clearance"
            :label="t('tools.who')"
            :options="[
              { value: '', label: t('tools.anybody') },
              ...(book?.clearances ?? []).map((c) => ({
                value: c.id,
                label: t('tools.cleared', { clearance: c.name }),
              })),
            ]"
          />
        </template>
      </div>
      <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
      <div class="row">
        <ActButton main type="submit" :busy="busy">{{ t('tools.keep') }}</ActButton><ActButton
          quiet
          @click="adding = false"
          >{{ t('frame.back') }}</ActButton
        >
      </div>
    </form>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: start;
}
</style>
