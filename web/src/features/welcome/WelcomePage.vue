<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useRouter } from 'vue-router';
import { api, unwrap, type Schemas } from '@/api/client';
import { groundsQuery, handbookQuery, shedQuery } from '@/api/queries';
import { LOCALES, nameOf } from '@/app/language';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import FilesField from '@/components/form/FilesField.vue';
import PickField from '@/components/form/PickField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import GroundFields from '@/features/ground/GroundFields.vue';
import ImportPanel from '@/features/ground/ImportPanel.vue';
import { keepNewGround, newGround } from '@/features/ground/newGround';
import { useHere } from '@/features/position/useHere';

/** From an empty installation to a first patch: language and units, where the ground is, what is on it, the Shed. */
const { t } = useI18n();
const router = useRouter();
const { user, session, units, change } = useSession();
const { busy, refusal, run, at } = useSubmit();
const { data: book } = useQuery(handbookQuery());
const { data: grounds } = useQuery(groundsQuery());
const { data: shed } = useQuery(shedQuery());
const STEPS = ['ways', 'place', 'patch', 'cards'] as const;
const step = ref(0);

/* where */
const form = ref(newGround());
const pasted = ref('');
const file = ref<{ name: string; text: string } | null>(null);
const shapes = ref(0);
const { looking, failure, look } = useHere(() => session.value?.demo ?? false);
const here = async (): Promise<void> => {
  const fix = await look([-71.4, 44.05]);
  if (!fix) return;
  form.value.longitude = fix.position[0].toFixed(5);
  form.value.latitude = fix.position[1].toFixed(5);
};
const place = async (text: string): Promise<boolean> => {
  const found = await run(() => unwrap(api.POST('/places', { body: { text } })));
  if (!found) return false;
  form.value.latitude = found.latitude;
  form.value.longitude = found.longitude;
  shapes.value = found.shapes;
  return true;
};
const drop = async ([given]: File[]): Promise<void> => {
  if (!given) return;
  const text = await given.text();
  file.value = (await place(text)) ? { name: given.name, text } : null;
};
const ground = ref<Schemas['Ground'] | null>(null);
const keepGround = async (): Promise<void> => {
  const made = await run(() => keepNewGround(form.value));
  if (!made) return;
  ground.value = made;
  step.value = 2;
};

/* what is on it */
const patch = ref({ name: '', setting: 'woods', radius: units.value === 'us' ? '100 ft' : '30 m' });
const made = ref<Schemas['Patch'] | null>(null);
const keepPatch = async (): Promise<void> => {
  const on = ground.value;
  if (!on) return;
  const { name, setting, radius } = patch.value;
  const answer = await run(async () => {
    const outline = radius.trim()
      ? await unwrap(
          api.POST('/outlines', {
            body: {
              ground: on.id,
              circle: { centre: [Number(on.longitude), Number(on.latitude)], radius: { typed: radius } },
            },
          }),
        )
      : null;
    return unwrap(
      api.POST('/grounds/{ground}/patches', {
        params: { path: { ground: on.id } },
        body: {
          name,
          setting,
          ...(outline ? { outline: outline.shape as Schemas['GivenShape'], how: 'drawn' } : {}),
        },
      }),
    );
  });
  if (!answer) return;
  made.value = answer;
  step.value = 3;
};
const imported = ref(false);

/* the Shed */
const lay = (): Promise<unknown> => run(() => unwrap(api.POST('/shed/cards/starters')));
const templates = computed(() => (shed.value?.cards ?? []).filter((c) => c.versions[0]?.template).length);
const finish = async (): Promise<void> => {
  await router.push({
    name: 'ground',
    query: {
      ...(ground.value ? { ground: ground.value.id } : {}),
      ...(made.value ? { patch: made.value.id } : {}),
    },
  });
};
</script>

<template>
  <div class="stack welcome">
    <h1>{{ t('welcome.title', { name: session?.crew?.name ?? '' }) }}</h1>
    <el-steps :active="step" finish-status="success" class="stages" :aria-label="t('welcome.steps')">
      <el-step v-for="s in STEPS" :key="s" :title="t(`welcome.step.${s}`)" />
    </el-steps>

    <section v-if="step === 0" class="stack">
      <h2>{{ t('welcome.step.ways') }}</h2>
      <PickField
        :model-value="user?.locale"
        :label="t('account.language')"
        :options="LOCALES.map((l) => ({ value: l, label: nameOf(l) }))"
        @change="change({ locale: $event })"
      />
      <PickField
        :model-value="units"
        :label="t('frame.unitsOf')"
        :help="t('welcome.unitsHelp')"
        :options="(['us', 'metric'] as const).map((u) => ({ value: u, label: t(`frame.${u}`) }))"
        @change="change({ units: $event })"
      />
      <ActButton main class="start" @click="step = 1">{{ t('welcome.next') }}</ActButton>
    </section>

    <section v-else-if="step === 1" class="stack">
      <h2>{{ t('welcome.where') }}</h2>
      <p v-if="grounds?.data.length" class="note">
        {{ t('welcome.groundThere', { name: grounds.data[0]?.name }) }}
        <ActButton quiet small @click="((ground = grounds.data[0] as Schemas['Ground']), (step = 2))">{{
          t('welcome.takeIt')
        }}</ActButton>
      </p>
      <form class="stack narrow" novalidate @submit.prevent="keepGround">
        <TextField v-model="form.name" :label="t('ground.groundField.name')" :fault="at('/name')" />
        <p class="small soft">{{ t('welcome.whereHelp') }}</p>
        <div class="row">
          <ActButton :busy="looking" @click="here">{{ t('ground.iStandOnIt') }}</ActButton>
        </div>
        <p v-if="failure" class="fault" role="alert">{{ t('sighting.noFix') }}</p>
        <div class="row">
          <TextField
            v-model="pasted"
            :label="t('welcome.paste')"
            :fault="at('/text')"
            placeholder="44.05, -71.40"
            width="16em"
          />
          <ActButton small :busy="busy" @click="place(pasted)">{{ t('welcome.take') }}</ActButton>
        </div>
        <FilesField :label="t('welcome.file')" accept=".geojson,.json,.gpx,.kml" @files="drop" />
        <p v-if="file" role="status">{{ t('welcome.fileTaken', { name: file.name, n: shapes }, shapes) }}</p>
        <GroundFields
          v-model="form"
          :at="at"
          :elevation-help="t('welcome.elevationHelp')"
          :zone-help="t('welcome.zoneHelp')"
        />
        <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
        <ActButton main type="submit" :busy="busy">{{ t('welcome.keepGround') }}</ActButton>
      </form>
    </section>

    <section v-else-if="step === 2" class="stack">
      <h2>{{ t('welcome.what', { ground: ground?.name ?? '' }) }}</h2>
      <template v-if="file && ground">
        <ImportPanel :ground-id="ground.id" :given="file" @done="imported = true" />
        <ActButton v-if="imported" main class="start" @click="step = 3">{{ t('welcome.next') }}</ActButton>
      </template>
      <template v-if="!imported">
        <p v-if="file">{{ t('welcome.orOne') }}</p>
        <form class="stack narrow" novalidate @submit.prevent="keepPatch">
          <p class="small soft">{{ t('welcome.whatHelp') }}</p>
          <TextField
            v-model="patch.name"
            :label="t('welcome.patchName')"
            :fault="at('/name')"
            :placeholder="t('welcome.patchSample')"
          />
          <ChoiceField
            v-model="patch.setting"
            :label="t('ground.setting')"
            :fault="at('/setting')"
            :options="(book?.settings ?? []).map((s) => ({ value: s.id, label: s.name }))"
          />
          <QuantityField
            v-model="patch.radius"
            :label="t('welcome.radius')"
            :help="t('welcome.radiusHelp')"
            :fault="at('/circle/radius')"
            :sample="units === 'us' ? '100 ft' : '30 m'"
          />
          <p v-if="refusal && !refusal.problem?.errors" class="fault" role="alert">{{ refusal.message }}</p>
          <ActButton main type="submit" :busy="busy">{{ t('welcome.keepPatch') }}</ActButton>
        </form>
      </template>
    </section>

    <section v-else class="stack">
      <h2>{{ t('welcome.shed') }}</h2>
      <p>{{ t('welcome.shedHelp') }}</p>
      <p v-if="templates" role="status">
        <b>{{ t('welcome.laid', { n: templates }, templates) }}</b>
      </p>
      <p v-if="refusal" class="fault" role="alert">{{ refusal.message }}</p>
      <div class="row">
        <ActButton v-if="!templates" :busy="busy" @click="lay">{{ t('welcome.lay') }}</ActButton>
        <ActButton main @click="finish">{{ t('welcome.toGround') }}</ActButton>
      </div>
      <p class="small soft">{{ t('welcome.after') }}</p>
      <p>
        <RouterLink :to="{ name: 'crew' }">{{ t('welcome.toCrew') }}</RouterLink>
      </p>
    </section>
  </div>
</template>

<style scoped>
.welcome {
  max-width: 860px;
}
.narrow {
  max-width: 460px;
}
</style>
