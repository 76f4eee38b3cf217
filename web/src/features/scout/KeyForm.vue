<script setup lang="ts">
import { keepPreviousData, useQuery } from '@tanstack/vue-query';
import { refDebounced } from '@vueuse/core';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { speciesListQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import PlantDrawing from '@/components/figures/PlantDrawing.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import { drawingOf } from './drawings';
import { OPEN_ANSWERS, toggled, toGiven, type Seen } from './seen';
import StateChips from './StateChips.vue';

type Character = Schemas['KeyResult']['characters'][number];
const props = defineProps<{
  /** Ground whose season counts; none judges without one. */ ground?: string | undefined;
}>();
const seen = defineModel<Seen>({ required: true });
const { t } = useI18n();

/** The candidates are drawn as the plant before one stands. */
const time = computed(() =>
  seen.value.fruit?.length
    ? 'fruit'
    : ['flower-form', 'flower-colour', 'grass-head'].some((c) => seen.value[c]?.length)
      ? 'flower'
      : 'leaf',
);
const PARTS: Record<string, string[]> = {
  whole: ['habit', 'growth-form', 'climbs-by', 'leaf-season'],
  leaf: [
    'leaf-arrangement',
    'leaf-type',
    'leaflets',
    'leaf-outline',
    'leaf-variety',
    'leaf-margin',
    'leaf-veins',
    'leaf-surface',
  ],
  stem: ['stem-section', 'stem-marks', 'armature', 'twig-tip', 'bark'],
  flower: ['flower-colour', 'flower-form', 'grass-head', 'fruit'],
  broken: ['root', 'sap', 'pith', 'smell'],
};
const given = computed(() => toGiven(seen.value));
const { data, error } = useQuery(
  computed(() => ({
    queryKey: ['key', given.value, props.ground ?? ''],
    queryFn: () =>
      unwrap(api.POST('/identify', { body: { seen: given.value, ...(props.ground ? { ground: props.ground } : {}) } })),
    placeholderData: keepPreviousData,
  })),
);
const nameOf = (id: string): string => t(`character.${id}`);
const best = computed(() => data.value?.characters.find((c) => c.id === data.value?.next) ?? null);
const parts = computed(() =>
  Object.entries(PARTS).map(([part, ids]) => {
    const all = (data.value?.characters ?? []).filter((c) => c.id !== data.value?.next);
    // a character that no part names yet is asked with the whole plant, never left out
    const strays = part === 'whole' ? all.filter((c) => !Object.values(PARTS).flat().includes(c.id)) : [];
    return { part, characters: [...ids.flatMap((id) => all.filter((c) => c.id === id)), ...strays] };
  }),
);
const answersOf = (c: Character): { id: string; name: string }[] =>
  c.states.filter((s) => seen.value[c.id]?.includes(s.id));
const toggle = (character: string, state: string): void => {
  seen.value = toggled(seen.value, character, state);
};
const typed = ref('');
const words = refDebounced(
  computed(() => typed.value.trim()),
  250,
);
const { data: named } = useQuery(
  computed(() => ({
    ...speciesListQuery({ name: words.value, habit: '', setting: '', month: '', showing: 'flower', ground: '' }),
    enabled: words.value.length > 1,
    placeholderData: keepPreviousData,
  })),
);
const hits = computed(() => (words.value.length > 1 ? (named.value?.data.slice(0, 8) ?? []) : []));
const answered = computed(() =>
  Object.values(seen.value).some((states) => states.some((s) => !OPEN_ANSWERS.includes(s))),
);
/** Two or three names to put side by side. */
const chosen = ref<string[]>([]);
const choose = (id: string): void => {
  chosen.value = chosen.value.includes(id) ? chosen.value.filter((c) => c !== id) : [...chosen.value, id].slice(-3);
};
</script>

<template>
  <div class="bench">
    <div class="stack">
      <LoadFault :of="error" />
      <div class="stack" aria-live="polite">
        <p v-for="h in data?.hazards ?? []" :key="h" class="warn">{{ h }}</p>
        <p v-for="trap in data?.traps ?? []" :key="trap.id" class="note">{{ trap.text }}</p>
        <p v-if="data?.unsafe.length" class="small soft">{{ t('scout.noCut') }}</p>
      </div>
      <fieldset v-if="best" :key="best.id" class="question next">
        <legend>
          {{ best.question }} <span class="tag">{{ t('scout.bestNext') }}</span>
        </legend>
        <StateChips :character="best" :on="seen[best.id] ?? []" @toggle="(s) => best && toggle(best.id, s)" />
      </fieldset>
      <p v-else-if="data" class="soft">{{ t('scout.nothingMore') }}</p>
      <a v-if="answered && data" class="leaders" href="#could-be">{{
        t(
          'scout.leaders',
          {
            n: data.inPlay,
            names: data.candidates
              .slice(0, 2)
              .map((c) => `${c.name} ${c.percent} %`)
              .join(', '),
          },
          data.inPlay,
        )
      }}</a>
      <p class="small soft">{{ t('scout.anyOrder') }}</p>
      <section v-for="p in parts" :key="p.part" class="part">
        <h3>{{ t(`scout.part.${p.part}`) }}</h3>
        <details v-for="c in p.characters" :key="c.id" class="question">
          <summary>
            <span class="asked">{{ c.question }}</span>
            <span v-for="a in answersOf(c)" :key="a.id" class="answer">
              <!-- eslint-disable-next-line vue/no-v-html -- a file of ours, built in -->
              <span v-if="!OPEN_ANSWERS.includes(a.id)" class="mini" v-html="drawingOf(c.id, a.id)"></span>{{ a.name }}
            </span>
            <span v-if="c.outOfSeason && answersOf(c).length === 0" class="soft small">{{
              t('scout.outOfSeason')
            }}</span>
          </summary>
          <p v-if="c.stopped" class="small soft">{{ t('scout.stopped') }}</p>
          <fieldset v-else class="inner">
            <legend class="visually-hidden">{{ c.question }}</legend>
            <StateChips :character="c" :on="seen[c.id] ?? []" @toggle="(s) => toggle(c.id, s)" />
          </fieldset>
        </details>
      </section>
    </div>
    <div id="could-be" class="stack why stays" tabindex="0" role="region" :aria-label="t('scout.candidates')">
      <TextField v-model="typed" :label="t('scout.knowName')" maxlength="80" autocomplete="off" />
      <ul v-if="words.length > 1" class="plain ruled" :aria-label="t('scout.byName')">
        <li v-for="s in hits" :key="s.id" class="row">
          <RouterLink :to="{ name: 'species', params: { id: s.id } }"
            ><b>{{ s.name }}</b></RouterLink
          >
          <span class="latin soft small">{{ s.scientific }}</span>
          <slot name="candidate" :candidate="s"></slot>
        </li>
        <li v-if="named && hits.length === 0" class="soft">{{ t('scout.noSuchName') }}</li>
      </ul>
      <h3>
        {{ t('scout.candidates') }}
        <span v-if="data" class="soft small">{{ t('scout.inPlay', { n: data.inPlay }, data.inPlay) }}</span>
      </h3>
      <RouterLink
        v-if="chosen.length > 1"
        class="btn small"
        :to="{ name: 'compare', query: { species: chosen.join(',') } }"
        >{{ t('scout.compareThem', { n: chosen.length }) }}</RouterLink
      >
      <p v-if="!answered" class="soft">{{ t('scout.tellFirst') }}</p>
      <ol v-else class="ruled cands">
        <li v-for="c in data?.candidates ?? []" :key="c.id">
          <div class="row cand">
            <PlantDrawing :drawing="c.drawing" :name="c.name" :time="time" small class="thumb" />
            <span class="grow">
              <RouterLink :to="{ name: 'species', params: { id: c.id } }"
                ><b>{{ c.name }}</b></RouterLink
              >
              <span class="latin soft small"> {{ c.scientific }}</span>
            </span>
            <b>{{ c.percent }} %</b>
          </div>
          <meter min="0" max="100" :value="c.percent" :aria-label="c.name"></meter>
          <p v-if="c.kept" class="kept small">{{ c.kept }}</p>
          <p v-for="h in c.hazards" :key="h" class="hazard small">{{ h }}</p>
          <p class="small">
            <template v-if="c.agrees.length">{{ t('scout.agrees') }} {{ c.agrees.map(nameOf).join(', ') }}. </template>
            <b v-if="c.conflicts.length">{{ t('scout.conflicts') }} {{ c.conflicts.map(nameOf).join(', ') }}. </b>
            <span class="soft">{{ t('scout.unseen', { n: c.unseen.length }) }}</span>
          </p>
          <div class="row">
            <slot name="candidate" :candidate="c"></slot>
            <TickField
              :aria-label="`${t('scout.compare')}: ${c.name}`"
              :model-value="chosen.includes(c.id)"
              @change="choose(c.id)"
              >{{ t('scout.compare') }}</TickField
            >
          </div>
        </li>
      </ol>
      <slot name="after"></slot>
    </div>
  </div>
</template>

<style scoped>
.cand {
  flex-wrap: nowrap;
}
.grow {
  flex: 1;
}
.thumb {
  width: 64px;
  flex: none;
}
.question {
  border: 0;
  border-top: 1px solid var(--rule);
  padding: 4px 0;
  margin: 0;
  min-width: 0;
}
.question.next {
  border-top: 3px solid var(--sloe);
  padding-top: 8px;
}
.inner {
  border: 0;
  margin: 0;
  padding: 4px 0 8px;
  min-width: 0;
}
legend {
  font-weight: 600;
  padding: 0 8px 0 0;
}
.asked {
  padding-right: 10px;
}
.answer {
  font-weight: 650;
  color: var(--sloe);
  padding-right: 10px;
  white-space: nowrap;
}
.mini {
  display: inline-block;
  width: 24px;
  height: 24px;
  vertical-align: middle;
  margin-right: 4px;
}
.mini :deep(svg) {
  width: 24px;
  height: 24px;
}
.tag {
  color: var(--sloe);
  font-size: var(--size-s);
}
.leaders {
  display: none;
}
.part h3 {
  padding: 10px 0 4px;
}
.cands {
  padding: 0;
  list-style: none;
}
.kept {
  color: var(--moss);
  font-weight: 600;
}
.hazard {
  color: var(--haw);
  font-weight: 600;
}
.compare {
  display: inline-flex;
  gap: 6px;
  align-items: center;
  min-height: 32px;
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
  .leaders {
    display: block;
    padding: 10px 0;
    font-weight: 600;
  }
  summary {
    min-height: var(--touch);
    padding: 10px 0;
  }
  .compare {
    min-height: var(--touch);
  }
}
</style>
