<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, nextTick, ref, watchEffect } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { CARRIERS } from '@/api/vocabulary';
import { handbookQuery } from '@/api/queries';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TickField from '@/components/form/TickField.vue';
import TextField from '@/components/form/TextField.vue';
import TicksField from '@/components/form/TicksField.vue';
import SiteLimitsField from './SiteLimitsField.vue';
import UsesField from './UsesField.vue';
import { blankUse, bodyOf, draftOf, placeOf, SECTIONS, type CardField } from './cardFields';

/** A label copied in its own order; another version of a card starts from the one before. */
const props = defineProps<{ cardId: string | null; body: Record<string, unknown> }>();
const emit = defineEmits<{ close: [] }>();
const { t } = useI18n();
const { user } = useSession();
const { data: book } = useQuery(handbookQuery());
const { busy, refusal, run, at } = useSubmit();
/** Uses that a label may list: of one plant by strength, of an area by a rate. */
const uses = computed(() => (book.value?.methods ?? []).filter((m) => m.product !== 'none'));
const form = ref(draftOf(props.body));
watchEffect(() => {
  for (const m of uses.value) form.value.uses[m.id] ??= blankUse();
});
const useFault = (method: string, line: number): string | null =>
  at(`/card/methods/${placeOf(form.value, method, line)}`);
const { drop } = useDraft(() => (user.value ? draftKey(user.value.id, 'label-card', props.cardId ?? 'new') : ''), form);
/** Parts that stand open; each leads on to the next, as the label does. */
const open = ref<string[]>(['front']);
const toggled = (key: string, e: Event): void => {
  const stands = (e.target as HTMLDetailsElement).open;
  open.value = stands ? [...new Set([...open.value, key])] : open.value.filter((k) => k !== key);
};
const next = async (n: number): Promise<void> => {
  const key = SECTIONS[n + 1]?.key;
  if (!key) return;
  open.value = [...new Set([...open.value, key])];
  await nextTick();
  document.getElementById(`part-${key}`)?.focus();
};
const filled = (key: string): number =>
  (SECTIONS.find((s) => s.key === key)?.fields ?? []).filter((f) => (form.value.texts[f.id] ?? '') !== '').length;
/** Where the server found something: its section opens, so that nobody looks for it. */
const sectionOfFault = (): string | null =>
  SECTIONS.find((s) =>
    s.fields.some((f) => at(`/card/${f.id}`) !== null || (f.kind === 'uses' && at('/card/methods') !== null)),
  )?.key ?? null;
const faults = (key: string): boolean =>
  (SECTIONS.find((s) => s.key === key)?.fields ?? []).some(
    (f) => at(`/card/${f.kind === 'uses' ? 'methods' : f.id}`) !== null,
  );
const save = async (): Promise<void> => {
  const card = bodyOf(form.value) as Record<string, never>;
  if (
    await run(() =>
      unwrap(api.POST('/shed/cards', { body: { card, ...(props.cardId ? { cardId: props.cardId } : {}) } })),
    )
  ) {
    await drop();
    emit('close');
    return;
  }
  const section = sectionOfFault();
  if (section) open.value = [...new Set([...open.value, section])];
  await nextTick();
  document.querySelector<HTMLElement>('form [aria-invalid="true"]')?.focus();
};
/** What a field of fixed words offers; only a formulation can not be left unread. */
const words = (f: CardField): { value: string; label: string }[] => [
  ...(f.id === 'formulation' ? [] : [{ value: '', label: t('shed.notRead') }]),
  ...(f.kind === 'yes-no' ? ['yes', 'no'] : (f.choices ?? [])).map((value) => ({
    value,
    label: t(`shed.word.${value}`),
  })),
];
</script>

<template>
  <form class="stack" novalidate @submit.prevent="save">
    <h2>{{ cardId ? t('shed.newVersion') : t('shed.newCard') }}</h2>
    <p class="small soft">{{ t('shed.asPrinted') }}</p>
    <details
      v-for="(s, n) in SECTIONS"
      :key="s.key"
      class="part"
      :open="open.includes(s.key)"
      @toggle="toggled(s.key, $event)"
    >
      <summary :id="`part-${s.key}`">
        <b>{{ n + 1 }}. {{ t(`shed.part.${s.key}`) }}</b>
        <span v-if="faults(s.key)" class="fault">{{ t('shed.partFault') }}</span><span
          v-else-if="filled(s.key)"
          class="small soft"
          >{{ t('shed.filled', { n: filled(s.key) }) }}</span
        >
      </summary>
      <div class="stack inside">
        <template v-for="f in s.fields" :key="f.id">
          <fieldset v-if="f.kind === 'actives'" class="stack">
            <legend class="visually-hidden">{{ t('shed.active') }}</legend>
            <div v-for="(a, i) in form.actives" :key="i" class="row">
              <ChoiceField
                v-model="a.active"
                :label="t('shed.active')"
                :options="(book?.actives ?? []).map((x) => ({ value: x.id, label: x.name }))"
              />
              <QuantityField
                v-model="a.amount"
                :label="t('shed.amount')"
                :fault="at(`/card/actives/${i}`)"
                width="9em"
                sample="480 g ae/L"
              />
              <ActButton v-if="form.actives.length > 1" quiet small @click="form.actives.splice(i, 1)">{{
                t('shed.lessActive')
              }}</ActButton>
            </div>
            <ActButton
              v-if="form.actives.length < 4"
              quiet
              small
              class="start"
              @click="form.actives.push({ active: 'glyphosate', amount: '' })"
              >{{ t('shed.moreActive') }}</ActButton
            >
            <span v-if="!form.actives.some((_, i) => at(`/card/actives/${i}`))" class="fault">{{
              at('/card/actives')
            }}</span>
          </fieldset>
          <TicksField
            v-else-if="f.kind === 'carriers'"
            v-model="form.carriers"
            :label="t('shed.carriers')"
            :options="CARRIERS.map((c) => ({ value: c as string, label: t(`shed.carrier.${c}`) }))"
          />
          <TicksField
            v-else-if="f.kind === 'sites'"
            v-model="form.sites"
            :label="t('shed.sites')"
            :options="(book?.settings ?? []).map((x) => ({ value: x.id, label: x.name }))"
          />
          <UsesField v-else-if="f.kind === 'uses'" v-model="form.uses" :methods="uses" :fault="useFault" />
          <SiteLimitsField
            v-else-if="f.kind === 'siteLimits'"
            v-model="form.siteLimits"
            :actives="
              form.actives.map((a) => ({
                id: a.active,
                name: book?.actives.find((x) => x.id === a.active)?.name ?? a.active,
              }))
            "
            :sites="book?.settings ?? []"
            :fault="(n) => at(`/card/siteLimits/${n}`)"
          />
          <TickField
            v-else-if="f.kind === 'tick'"
            :model-value="form.texts[f.id] === 'yes'"
            @change="form.texts[f.id] = $event ? 'yes' : ''"
            >{{ t(`shed.field.${f.id}`) }}</TickField
          >
          <ChoiceField
            v-else-if="f.kind === 'yes-no' || f.kind === 'choice'"
            v-model="form.texts[f.id]"
            :label="t(`shed.field.${f.id}`)"
            :fault="at(`/card/${f.id}`)"
            width="16em"
            :options="words(f)"
          />
          <TextField
            v-else-if="f.kind === 'long'"
            v-model="form.texts[f.id]"
            :label="t(`shed.field.${f.id}`)"
            :fault="at(`/card/${f.id}`)"
            type="textarea"
            :rows="2"
            maxlength="1000"
          />
          <QuantityField
            v-else-if="f.kind === 'amount'"
            v-model="form.texts[f.id]"
            :label="t(`shed.field.${f.id}`)"
            :fault="at(`/card/${f.id}`)"
            width="16em"
            :sample="f.sample"
          />
          <TextField
            v-else
            v-model="form.texts[f.id]"
            :label="t(`shed.field.${f.id}`)"
            :fault="at(`/card/${f.id}`)"
            :width="f.kind === 'number' ? '16em' : undefined"
            :inputmode="f.kind === 'number' ? 'numeric' : undefined"
            :placeholder="f.sample"
          />
        </template>
        <ActButton v-if="n + 1 < SECTIONS.length" small class="start" @click="next(n)">{{
          t('shed.nextPart', { name: t(`shed.part.${SECTIONS[n + 1]!.key}`) })
        }}</ActButton>
      </div>
    </details>
    <p v-if="refusal" class="fault" role="alert">
      {{ refusal.problem?.errors ? t('shed.someWrong') : refusal.message }}
    </p>
    <div class="row">
      <ActButton main type="submit" :busy="busy">{{ t('shed.save') }}</ActButton><ActButton
        quiet
        @click="emit('close')"
        >{{ t('frame.back') }}</ActButton
      >
    </div>
    <p class="small soft">{{ t('shed.afterSave') }}</p>
  </form>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
.part {
  border-top: 1px solid var(--rule);
}
.part > summary {
  padding-block: 10px;
}
.inside {
  padding: 4px 0 16px;
}
.start {
  justify-self: start;
}
</style>
