<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useAct } from '@/composables/useAct';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useSession } from '@/composables/useSession';

const props = defineProps<{ stand: Schemas['Stand'] }>();
const emit = defineEmits<{ took: [stand: Schemas['Stand']] }>();
const { t } = useI18n();
const { user, mayWrite } = useSession();
const { busy, refusal, run } = useAct();

const seen = ref<Record<string, string>>({ ...props.stand.seen });
const { restoredAt, drop } = useDraft(() => (user.value ? draftKey(user.value.id, 'key', props.stand.id) : ''), seen);
const open = ref(!props.stand.confirmed);
const given = computed(() => Object.fromEntries(Object.entries(seen.value).filter(([, v]) => v !== '')));
const { data } = useQuery(
  computed(() => ({
    queryKey: ['key', given.value],
    queryFn: () => unwrap(api.POST('/identify', { body: { seen: given.value } })),
    placeholderData: (old: Schemas['KeyResult'] | undefined) => old,
    enabled: open.value,
  })),
);
const questions = computed(() => {
  const all = data.value?.characters ?? [];
  const next = data.value?.next;
  return [...all.filter((c) => c.id === next), ...all.filter((c) => c.id !== next)];
});
const hazards = computed(() => [...new Set((data.value?.candidates ?? []).filter((c) => c.percent >= 5).flatMap((c) => c.hazards))]);
const nameOf = (id: string): string => t(`character.${id}`);

const confirm = async (species: string | null): Promise<void> => {
  const done = await run(() =>
    unwrap(api.POST('/stands/{stand}/sightings', { params: { path: { stand: props.stand.id } }, body: { seen: given.value, tests: [], ...(species ? { species } : { unknown: true }) } })),
  );
  if (done) {
    await drop();
    open.value = false;
    emit('took', done);
  }
};
</script>

<template>
  <section class="stack" aria-labelledby="key-h">
    <div class="row">
      <h2 id="key-h">{{ t('scout.what') }}</h2>
      <template v-if="!open">
        <span v-if="stand.confirmed"
          ><b>{{ stand.name }}</b
          >, {{ t('scout.confirmed') }}</span
        >
        <span v-else-if="stand.markedUnknown">{{ t('scout.unknown') }}</span>
        <RouterLink v-if="stand.species" :to="{ name: 'species', params: { id: stand.species } }">{{ t('scout.page') }}</RouterLink>
        <button class="btn small" type="button" @click="open = true">{{ t('scout.again') }}</button>
      </template>
    </div>
    <div v-if="open" class="bench">
      <div class="stack">
        <p v-if="restoredAt" class="note small">{{ t('frame.restored', { when: restoredAt.toLocaleString('en-GB') }) }}</p>
        <p v-if="data?.unsafe.length" class="warn">{{ t('scout.noCut') }}</p>
        <fieldset v-for="c in questions" :key="c.id" class="question" :class="{ next: c.id === data?.next }">
          <legend>
            {{ c.question }} <span v-if="c.id === data?.next" class="tag">{{ t('scout.bestNext') }}</span>
          </legend>
          <p v-if="c.stopped" class="small soft">{{ t('scout.stopped') }}</p>
          <template v-else>
            <p v-if="c.handling !== 'look'" class="small soft">{{ c.handlingName }}</p>
            <div class="row" style="gap: 6px">
              <label v-for="s in c.states" :key="s.id" class="chip" :class="{ on: seen[c.id] === s.id }">
                <input v-model="seen[c.id]" type="radio" :name="c.id" :value="s.id" class="visually-hidden" />{{ s.name }}
              </label>
              <button v-if="seen[c.id]" type="button" class="btn small quiet" :aria-label="t('scout.clearOf', { question: c.question })" @click="delete seen[c.id]">{{ t('scout.clear') }}</button>
            </div>
          </template>
        </fieldset>
      </div>
      <div class="stack why stays" tabindex="0" role="region" :aria-label="t('scout.candidates')" aria-live="polite">
        <h3>{{ t('scout.candidates') }}</h3>
        <p v-for="h in hazards" :key="h" class="warn small">{{ h }}</p>
        <ol class="ruled cands">
          <li v-for="c in data?.candidates ?? []" :key="c.id">
            <div class="row" style="justify-content: space-between">
              <span
                ><b>{{ c.name }}</b> <span class="latin soft small">{{ c.scientific }}</span></span
              >
              <span
                ><b>{{ c.percent }} %</b></span
              >
            </div>
            <meter min="0" max="100" :value="c.percent" :aria-label="c.name"></meter>
            <p class="small">
              <template v-if="c.agrees.length">{{ t('scout.agrees') }} {{ c.agrees.map(nameOf).join(', ') }}. </template>
              <b v-if="c.conflicts.length">{{ t('scout.conflicts') }} {{ c.conflicts.map(nameOf).join(', ') }}. </b>
              <span class="soft">{{ t('scout.unseen', { n: c.unseen.length }) }}</span>
            </p>
            <button v-if="mayWrite" class="btn small" type="button" :disabled="busy" @click="confirm(c.id)">{{ t('scout.itIs', { name: c.name }) }}</button>
          </li>
        </ol>
        <button v-if="mayWrite" class="btn quiet" type="button" :disabled="busy" @click="confirm(null)">{{ t('scout.staysUnknown') }}</button>
        <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
      </div>
    </div>
  </section>
</template>

<style scoped>
.question {
  border: 0;
  border-top: 1px solid var(--rule);
  padding: 8px 0 4px;
  margin: 0;
  min-width: 0;
}
.question.next {
  border-top: 3px solid var(--sloe);
}
legend {
  font-weight: 600;
  padding: 0 8px 0 0;
}
.tag {
  color: var(--sloe);
  font-size: var(--size-s);
}
.chip {
  min-height: 36px;
  padding: 4px 12px;
  border: 1px solid var(--ink-soft);
  border-radius: var(--corner);
  cursor: pointer;
  display: inline-flex;
  align-items: center;
}
.chip.on {
  background: var(--sloe);
  border-color: var(--sloe);
  color: var(--on-sloe);
}
.chip:focus-within {
  outline: 3px solid var(--sloe);
  outline-offset: 2px;
}
.cands {
  padding: 0;
  list-style: none;
}
meter {
  width: 100%;
  height: 10px;
}
meter::-webkit-meter-bar {
  background: var(--lichen-deep);
  border: 1px solid var(--rule);
  border-radius: 0;
}
meter::-webkit-meter-optimum-value {
  background: var(--sloe);
}
@media (max-width: 860px) {
  .chip {
    min-height: var(--touch);
  }
}
</style>
