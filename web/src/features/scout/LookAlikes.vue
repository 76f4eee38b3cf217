<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';

const props = defineProps<{ stand: Schemas['Stand'] }>();
const { t } = useI18n();
const { mayWrite } = useSession();
const { busy, refusal, run } = useSubmit();
type Look = Schemas['Stand']['lookAlikes'][number];

const answer = async (look: Look, test: string, yes: boolean, points: string): Promise<void> => {
  // the test that points elsewhere is an answer too: the name is then open again
  const species = yes
    ? points
    : look.tests.find((x) => x.id === test)?.yes === props.stand.species
      ? look.other.id
      : props.stand.species;
  if (!species) return;
  const keep = species === props.stand.species;
  await run(() =>
    unwrap(
      api.POST('/stands/{stand}/sightings', {
        params: { path: { stand: props.stand.id } },
        body: {
          seen: props.stand.seen,
          tests: [{ pair: look.pair, test, answer: yes ? 'yes' : 'no' }],
          ...(keep ? { species } : { unknown: true }),
        },
      }),
    ),
  );
};
/** Somebody who knows looked at it: in whose words the name holds. */
const knower = ref<Record<string, string>>({});
const confirmed = async (look: Look): Promise<void> => {
  const by = knower.value[look.pair]?.trim();
  if (!by || !props.stand.species) return;
  const species = props.stand.species;
  await run(() =>
    unwrap(
      api.POST('/stands/{stand}/sightings', {
        params: { path: { stand: props.stand.id } },
        body: { seen: props.stand.seen, tests: [{ pair: look.pair, confirmedBy: by }], species },
      }),
    ),
  );
};
</script>

<template>
  <section class="stack" aria-labelledby="look-h">
    <h2 id="look-h" class="visually-hidden">{{ t('scout.lookAlikes') }}</h2>
    <div
      v-for="look in stand.lookAlikes.filter((l) => l.gated)"
      :key="look.pair"
      :class="look.resolved ? 'note' : 'warn'"
    >
      <p>
        <b>{{
          look.resolved ? t('scout.ruledOut', { name: look.other.name }) : t('scout.maybe', { name: look.other.name })
        }}</b>
        <span class="latin soft small"> {{ look.other.scientific }}</span>
      </p>
      <ul v-if="!look.resolved" class="tests">
        <li v-for="test in look.tests" :key="test.id">
          <span
            >{{ test.question }} <span class="small soft">({{ test.handling }})</span></span
          >
          <span v-if="mayWrite" class="row">
            <ActButton
              small
              :disabled="busy"
              :aria-label="`${test.question} ${t('scout.yes')}`"
              @click="answer(look, test.id, true, test.yes)"
              >{{ t('scout.yes') }}</ActButton
            >
            <ActButton
              small
              :disabled="busy"
              :aria-label="`${test.question} ${t('scout.no')}`"
              @click="answer(look, test.id, false, test.yes)"
              >{{ t('scout.no') }}</ActButton
            >
          </span>
        </li>
      </ul>
      <p v-if="!look.resolved" class="row small">
        <RouterLink
          v-if="stand.species"
          :to="{ name: 'compare', query: { species: `${stand.species},${look.other.id}` } }"
          >{{ t('scout.sideBySide') }}</RouterLink
        >
        <template v-if="mayWrite">
          <TextField
            v-model="knower[look.pair]"
            :label="t('scout.knowerOf', { name: look.other.name })"
            bare
            maxlength="160"
          />
          <ActButton small :disabled="busy || !knower[look.pair]?.trim()" @click="confirmed(look)">{{
            t('scout.knowerKeep')
          }}</ActButton>
        </template>
      </p>
    </div>
    <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
  </section>
</template>

<style scoped>
.tests {
  list-style: none;
  padding: 0;
}
.tests li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 6px 0;
  flex-wrap: wrap;
}
</style>
