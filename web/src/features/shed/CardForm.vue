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
import SiteLimitsField from './SiteLimitsField.vue';
import UsesField from './UsesField.vue';
import { blankUse, bodyOf, draftOf, placeOf, SECTIONS } from './cardFields';

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
const id = (field: string): string => `card-${field}`;
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
              <label class="label"
                >{{ t('shed.active')
                }}<select v-model="a.active" class="field">
                  <option v-for="x in book?.actives ?? []" :key="x.id" :value="x.id">{{ x.name }}</option>
                </select></label
              >
              <label class="label"
                >{{ t('shed.amount')
                }}<input
                  v-model="a.amount"
                  class="field"
                  style="width: 9em"
                  placeholder="480 g ae/L"
                  :aria-invalid="at(`/card/actives/${i}`) !== null"
              /></label>
              <button
                v-if="form.actives.length > 1"
                class="btn small quiet"
                type="button"
                @click="form.actives.splice(i, 1)"
              >
                {{ t('shed.lessActive') }}
              </button>
            </div>
            <button
              v-if="form.actives.length < 4"
              class="btn small quiet start"
              type="button"
              @click="form.actives.push({ active: 'glyphosate', amount: '' })"
            >
              {{ t('shed.moreActive') }}
            </button>
            <span class="fault">{{ at('/card/actives') }}</span>
          </fieldset>
          <fieldset v-else-if="f.kind === 'carriers'" class="row">
            <legend class="label">{{ t('shed.carriers') }}</legend>
            <label v-for="c in CARRIERS" :key="c"
              ><input v-model="form.carriers" type="checkbox" :value="c" /> {{ t(`shed.carrier.${c}`) }}</label
            >
          </fieldset>
          <fieldset v-else-if="f.kind === 'sites'" class="row">
            <legend class="label">{{ t('shed.sites') }}</legend>
            <label v-for="x in book?.settings ?? []" :key="x.id"
              ><input v-model="form.sites" type="checkbox" :value="x.id" /> {{ x.name }}</label
            >
          </fieldset>
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
          <label v-else-if="f.kind === 'tick'" class="tick"
            ><input
              :id="id(f.id)"
              type="checkbox"
              :checked="form.texts[f.id] === 'yes'"
              @change="form.texts[f.id] = ($event.target as HTMLInputElement).checked ? 'yes' : ''"
            />
            {{ t(`shed.field.${f.id}`) }}</label
          >
          <label v-else class="label"
            >{{ t(`shed.field.${f.id}`) }}
            <select
              v-if="f.kind === 'yes-no'"
              v-model="form.texts[f.id]"
              class="field short"
              :aria-invalid="at(`/card/${f.id}`) !== null"
            >
              <option value="">{{ t('shed.notRead') }}</option>
              <option value="yes">{{ t('shed.word.yes') }}</option>
              <option value="no">{{ t('shed.word.no') }}</option>
            </select>
            <select
              v-else-if="f.kind === 'choice'"
              v-model="form.texts[f.id]"
              class="field short"
              :aria-invalid="at(`/card/${f.id}`) !== null"
            >
              <option v-if="f.id !== 'formulation'" value="">{{ t('shed.notRead') }}</option>
              <option v-for="c in f.choices" :key="c" :value="c">{{ t(`shed.word.${c}`) }}</option>
            </select>
            <textarea
              v-else-if="f.kind === 'long'"
              v-model="form.texts[f.id]"
              class="field"
              rows="2"
              maxlength="1000"
              :aria-invalid="at(`/card/${f.id}`) !== null"
            ></textarea>
            <input
              v-else
              v-model="form.texts[f.id]"
              class="field"
              :class="{ short: f.kind === 'number' || f.kind === 'amount' }"
              :inputmode="f.kind === 'number' ? 'numeric' : undefined"
              :placeholder="f.sample"
              :aria-invalid="at(`/card/${f.id}`) !== null"
            />
            <span class="fault">{{ at(`/card/${f.id}`) }}</span></label
          >
        </template>
        <button v-if="n + 1 < SECTIONS.length" class="btn small start" type="button" @click="next(n)">
          {{ t('shed.nextPart', { name: t(`shed.part.${SECTIONS[n + 1]!.key}`) }) }}
        </button>
      </div>
    </details>
    <p v-if="refusal" class="fault" role="alert">
      {{ refusal.problem?.errors ? t('shed.someWrong') : refusal.message }}
    </p>
    <div class="row">
      <button class="btn main" type="submit" :disabled="busy">{{ t('shed.save') }}</button><button
        class="btn quiet"
        type="button"
        @click="emit('close')"
      >
        {{ t('frame.back') }}
      </button>
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
  min-height: var(--touch);
  cursor: pointer;
  padding-top: 8px;
}
.inside {
  padding: 4px 0 16px;
}
.start {
  justify-self: start;
}
.label > .short {
  width: 16em;
}
label:not(.label) {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 32px;
}
</style>
