<script setup lang="ts">
import { formats } from '@/app/language';
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { groundsQuery, patchesQuery, sightingsQuery } from '@/api/queries';
import LoadFault from '@/components/feedback/LoadFault.vue';
import { useSubmit } from '@/composables/useSubmit';
import { draftKey, useDraft } from '@/composables/useDraft';
import { useOnward } from '@/composables/useOnward';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import TextField from '@/components/form/TextField.vue';
import TickField from '@/components/form/TickField.vue';
import KeyForm from './KeyForm.vue';
import { toGiven, type Seen } from './seen';
import SightingCard from './SightingCard.vue';
import SureField from './SureField.vue';
import WhereForm from './WhereForm.vue';

const { t } = useI18n();
const onward = useOnward();
const { user, mayWrite } = useSession();
const { busy, refusal, run, at } = useSubmit();

const blank = () => ({
  seen: {} as Seen,
  ground: '',
  patch: '',
  point: null as [number, number] | null,
  accuracy: null as string | null,
  stand: false,
  confidence: 'likely' as 'certain' | 'likely' | 'guess',
  remarks: '',
});
const form = ref(blank());
const naming = ref(false);
const { restoredAt, drop } = useDraft(() => (user.value ? draftKey(user.value.id, 'sighting', 'new') : ''), form);
const { data: grounds } = useQuery(groundsQuery());
const ground = computed(() => grounds.value?.data.find((g) => g.id === form.value.ground) ?? null);
const { data: patches } = useQuery(
  computed(() => ({
    ...patchesQuery(form.value.ground, {
      page: 1,
      perPage: 200,
      sort: 'name',
      order: 'asc',
      q: '',
      setting: '',
      archived: false,
    }),
    enabled: form.value.ground !== '',
  })),
);
const near = computed((): [number, number] =>
  ground.value ? [Number(ground.value.longitude), Number(ground.value.latitude)] : [0, 0],
);
const filter = ref('');
const { data: list, error } = useQuery(computed(() => sightingsQuery(filter.value)));

const keep = async (species: string | null): Promise<void> => {
  const f = form.value;
  const go = onward();
  const done = await run(() =>
    unwrap(
      api.POST('/sightings', {
        body: {
          seen: toGiven(f.seen),
          ...(species ? { species } : { unknown: true }),
          ...(f.ground ? { ground: f.ground } : {}),
          ...(f.patch ? { patch: f.patch } : {}),
          ...(f.point
            ? {
                point: { type: 'Point' as const, coordinates: f.point },
                ...(f.accuracy ? { accuracyMetres: f.accuracy } : {}),
              }
            : {}),
          confidence: f.confidence,
          ...(f.remarks ? { remarks: f.remarks } : {}),
          ...(f.stand && f.patch ? { foundStand: true } : {}),
        },
      }),
    ),
  );
  if (!done) return;
  await drop();
  form.value = blank();
  naming.value = false;
  if (done.standId) await go({ name: 'scout', params: { stand: done.standId } });
};
const placeFault = computed(() => at('/ground') ?? at('/patch') ?? at('/point') ?? at('/foundStand'));
</script>

<template>
  <div class="stack">
    <h1>{{ t('station.scout') }}</h1>
    <section class="stack" aria-labelledby="new-h">
      <div class="row">
        <h2 id="new-h">{{ t('sighting.new') }}</h2>
        <ActButton v-if="!naming" main @click="naming = true">{{ t('sighting.begin') }}</ActButton>
      </div>
      <template v-if="naming">
        <p v-if="restoredAt" class="note small">
          {{ t('frame.restored', { when: restoredAt.toLocaleString(formats()) }) }}
        </p>
        <div class="row">
          <ChoiceField
            v-model="form.ground"
            :label="t('sighting.ground')"
            @change="form.patch = ''"
            :options="[
              { value: '', label: t('sighting.choose') },
              ...(grounds?.data ?? []).map((g) => ({ value: g.id, label: g.name })),
            ]"
          />
          <ChoiceField
            v-model="form.patch"
            :label="t('sighting.patch')"
            :disabled="!form.ground"
            :options="[
              { value: '', label: t('sighting.noPatch') },
              ...(patches?.data ?? []).map((p) => ({ value: p.id, label: p.name })),
            ]"
          />
          <TickField v-if="form.patch" v-model="form.stand">{{ t('sighting.foundStand') }}</TickField>
        </div>
        <WhereForm v-if="form.ground" v-model:point="form.point" v-model:accuracy="form.accuracy" :near="near" />
        <p v-if="placeFault" class="fault" role="alert">{{ placeFault }}</p>
        <div class="row">
          <SureField v-model="form.confidence" />
          <TextField v-model="form.remarks" :label="t('sighting.remarks')" maxlength="2000" />
        </div>
        <KeyForm v-model="form.seen" :ground="form.ground || undefined">
          <template #candidate="{ candidate }">
            <ActButton v-if="mayWrite" small :disabled="busy" @click="keep(candidate.id)">{{
              t('scout.itIs', { name: candidate.name })
            }}</ActButton>
          </template>
          <template #after>
            <ActButton v-if="mayWrite" quiet :disabled="busy" @click="keep(null)">{{
              t('sighting.keepUnnamed')
            }}</ActButton>
            <p v-if="refusal && !placeFault" class="fault" role="alert">{{ refusal.message }}</p>
          </template>
        </KeyForm>
      </template>
    </section>
    <section class="stack" aria-labelledby="all-h">
      <div class="row">
        <h2 id="all-h">{{ t('sighting.all') }}</h2>
        <ChoiceField
          v-model="filter"
          :label="t('sighting.ground')"
          bare
          width="14em"
          :options="[
            { value: '', label: t('sighting.everywhere') },
            ...(grounds?.data ?? []).map((g) => ({ value: g.id, label: g.name })),
          ]"
        />
        <a class="btn small" :href="`/api/v1/sightings.csv${filter ? `?ground=${filter}` : ''}`" download>{{
          t('sighting.csv')
        }}</a>
      </div>
      <LoadFault v-if="error" :of="error" />
      <p v-else-if="list && list.data.length === 0" class="soft">{{ t('sighting.none') }}</p>
      <ul v-if="list" class="plain ruled sightings">
        <li v-for="s in list.data" :key="s.id">
          <SightingCard :sighting="s" :near="s.point ? (s.point.coordinates as [number, number]) : near">
            <template #name>
              <RouterLink v-if="s.species" :to="{ name: 'species', params: { id: s.species } }"
                ><b>{{ s.name }}</b></RouterLink
              ><b v-else>{{ s.name }}</b>
              <span class="latin soft small"> {{ s.scientific }}</span>
              <template v-if="s.standId">
                ·
                <RouterLink :to="{ name: 'scout', params: { stand: s.standId } }">{{
                  t('sighting.toStand')
                }}</RouterLink></template
              >
              <br />
            </template>
          </SightingCard>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.sightings {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(520px, 100%), 1fr));
  column-gap: 32px;
}
.grow {
  flex: 1 1 220px;
}
</style>
