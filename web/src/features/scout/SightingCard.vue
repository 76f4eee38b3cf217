<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import PhotoStrip from './PhotoStrip.vue';
import WhereForm from './WhereForm.vue';

type Sighting = Schemas['Sighting'];
const props = defineProps<{
  sighting: Sighting;
  /** Position to look near when the simulated receiver tells where one stands. */ near: [number, number];
  /** The sighting of the stand in hand: photos may be added at once. */ own?: boolean;
}>();
const { t } = useI18n();
const { mayWrite } = useSession();
const { busy, refusal, run, at } = useSubmit();
const editing = ref(false);
const form = ref({
  confidence: 'likely' as 'certain' | 'likely' | 'guess',
  observer: '',
  confirmer: '',
  remarks: '',
  point: null as [number, number] | null,
  accuracy: null as string | null,
});

const edit = (): void => {
  form.value = {
    confidence: props.sighting.confidence as 'certain' | 'likely' | 'guess',
    observer: props.sighting.observer ?? '',
    confirmer: props.sighting.confirmer ?? '',
    remarks: props.sighting.remarks ?? '',
    point: (props.sighting.point?.coordinates as [number, number] | undefined) ?? null,
    accuracy: props.sighting.accuracyMetres,
  };
  editing.value = true;
};
const save = async (): Promise<void> => {
  const f = form.value;
  const done = await run(() =>
    unwrap(
      api.PUT('/sightings/{sighting}', {
        params: { path: { sighting: props.sighting.id }, header: { 'If-Match': `"${props.sighting.revision}"` } },
        body: {
          confidence: f.confidence,
          ...(f.observer ? { observer: f.observer } : {}),
          ...(f.confirmer
            ? {
                confirmer: f.confirmer,
                ...(props.sighting.confirmedOn && f.confirmer === props.sighting.confirmer
                  ? { confirmedOn: props.sighting.confirmedOn }
                  : {}),
              }
            : {}),
          ...(f.remarks ? { remarks: f.remarks } : {}),
          ...(f.point
            ? {
                point: { type: 'Point' as const, coordinates: f.point },
                ...(f.accuracy ? { accuracyMetres: f.accuracy } : {}),
              }
            : {}),
        },
      }),
    ),
  );
  if (done) editing.value = false;
};
const takePlace = async (latitude: string, longitude: string): Promise<void> => {
  edit();
  form.value.point = [Number(longitude), Number(latitude)];
  form.value.accuracy = null;
  await save();
};
const when = computed(() =>
  new Intl.DateTimeFormat('en-GB', { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' })
    .format(new Date(props.sighting.at))
    .replace('Sept', 'Sep')
    .replace(',', ''),
);
const where = computed(() => [props.sighting.patch?.name, props.sighting.ground.name].filter(Boolean).join(', '));
</script>

<template>
  <article class="stack sighting" :aria-label="t('sighting.of', { name: sighting.name, when })">
    <p>
      <slot name="name"></slot>
      {{ when }}, {{ where
      }}<template v-if="sighting.point">
        · {{ sighting.point.coordinates[1] }}, {{ sighting.point.coordinates[0]
        }}{{ sighting.accuracyMetres ? ` ± ${sighting.accuracyMetres} m` : '' }}</template
      >
    </p>
    <p class="small">
      {{ t('sighting.by', { who: sighting.observer ?? sighting.madeBy }) }} ·
      {{ t(`sighting.confidence.${sighting.confidence}`) }} ·
      <b v-if="sighting.confirmer">{{ t('sighting.confirmedBy', { who: sighting.confirmer }) }}</b><span
        v-else
        class="soft"
        >{{ t('sighting.notConfirmed') }}</span
      >
    </p>
    <p v-if="sighting.seen.length" class="small">
      <span v-for="s in sighting.seen" :key="s.id" class="seen"
        ><span class="soft">{{ t(`character.${s.id}`) }}</span> {{ s.states.join(' + ') }}</span
      >
    </p>
    <p v-if="sighting.remarks" class="small">{{ sighting.remarks }}</p>
    <PhotoStrip
      v-if="sighting.photos.length || editing || own"
      :sighting="sighting"
      :adding="editing || own"
      @place="takePlace"
    />
    <button v-if="mayWrite && !editing" class="btn small" type="button" @click="edit">{{ t('sighting.edit') }}</button>
    <form v-if="editing" class="stack" @submit.prevent="save">
      <fieldset class="row plainset">
        <legend class="small">{{ t('sighting.howSure') }}</legend>
        <label v-for="c in ['certain', 'likely', 'guess']" :key="c"
          ><input v-model="form.confidence" type="radio" :value="c" /> {{ t(`sighting.confidence.${c}`) }}</label
        >
      </fieldset>
      <label class="label"
        >{{ t('sighting.observer')
        }}<input v-model="form.observer" class="field" maxlength="120" :placeholder="sighting.madeBy"
      /></label>
      <label class="label"
        >{{ t('sighting.confirmer') }}<input v-model="form.confirmer" class="field" maxlength="160"
      /></label>
      <label class="label"
        >{{ t('sighting.remarks') }}<textarea v-model="form.remarks" class="field" rows="2" maxlength="2000"></textarea>
      </label>
      <WhereForm v-model:point="form.point" v-model:accuracy="form.accuracy" :near="near" />
      <p v-if="refusal" class="fault" role="alert">{{ at('/point') ?? refusal.message }}</p>
      <div class="row">
        <button class="btn main" type="submit" :disabled="busy">{{ t('sighting.save') }}</button>
        <button class="btn quiet" type="button" @click="editing = false">{{ t('frame.back') }}</button>
      </div>
    </form>
  </article>
</template>

<style scoped>
.seen {
  padding-right: 12px;
}
.plainset {
  border: 0;
  padding: 0;
  margin: 0;
}
</style>
