<script setup lang="ts">
import { formats } from '@/app/language';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import PhotoStrip from './PhotoStrip.vue';
import SureField from './SureField.vue';
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
  new Intl.DateTimeFormat(formats(), { weekday: 'short', day: 'numeric', month: 'short', year: 'numeric' })
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
    <ActButton v-if="mayWrite && !editing" small @click="edit">{{ t('sighting.edit') }}</ActButton>
    <form v-if="editing" class="stack" @submit.prevent="save">
      <SureField v-model="form.confidence" />
      <TextField
        v-model="form.observer"
        :label="t('sighting.observer')"
        maxlength="120"
        :placeholder="sighting.madeBy"
      />
      <TextField v-model="form.confirmer" :label="t('sighting.confirmer')" maxlength="160" />
      <TextField v-model="form.remarks" :label="t('sighting.remarks')" type="textarea" :rows="2" maxlength="2000" />
      <WhereForm v-model:point="form.point" v-model:accuracy="form.accuracy" :near="near" />
      <p v-if="refusal" class="fault" role="alert">{{ at('/point') ?? refusal.message }}</p>
      <div class="row">
        <ActButton main type="submit" :busy="busy">{{ t('sighting.save') }}</ActButton>
        <ActButton quiet @click="editing = false">{{ t('frame.back') }}</ActButton>
      </div>
    </form>
  </article>
</template>

<style scoped>
.seen {
  padding-right: 12px;
}
</style>
