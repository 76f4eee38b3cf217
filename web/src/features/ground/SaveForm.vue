<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap, type Schemas } from '@/api/client';
import { handbookQuery } from '@/api/queries';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import DayField from '@/components/form/DayField.vue';
import TextField from '@/components/form/TextField.vue';
import type { Shape } from './shapes';
import { KINDS } from './marks';

/** What is being done with the shape in work. */
export type Task = 'patch' | 'keeper' | 'outline' | 'split' | 'hole' | 'zone' | 'editKeeper';
export interface Form {
  name: string;
  setting: string;
  kind: Schemas['GivenKeeper']['kind'];
  species: string;
  crownRadius: string;
  height: string;
  validFrom: string;
}
const props = defineProps<{
  task: Task;
  groundId: string;
  patch: Schemas['Patch'] | null;
  keeper: Schemas['DrawnKeeper'] | null;
  shape: Shape | null;
  how: string;
}>();
const form = defineModel<Form>({ required: true });
const emit = defineEmits<{ saved: [patch: string | null]; back: [] }>();
const { t } = useI18n();
const { data: book } = useQuery(handbookQuery());
const { busy, refusal, run, at } = useSubmit();
const clash = ref(false);

const save = async (): Promise<void> => {
  clash.value = false;
  const made = await run(() => send());
  clash.value = refusal.value?.status === 412;
  if (!made) return;
  emit('saved', 'stands' in made ? made.id : null);
};
const shapeGiven = () => (props.shape ? { shape: props.shape } : {});
const send = (): Promise<Schemas['Patch'] | Schemas['DrawnKeeper']> => {
  const f = form.value;
  const path = { patch: props.patch?.id ?? '' };
  const params = { path, header: { 'If-Match': `"${props.patch?.revision ?? 0}"` } };
  // without a shape the server says what is missing
  const drawn = props.shape ?? {};
  const outline = props.shape ? { outline: props.shape } : {};
  const given = Object.fromEntries(
    (['crownRadius', 'height', 'species'] as const).filter((k) => f[k].trim() !== '').map((k) => [k, f[k]]),
  );
  switch (props.task) {
    case 'patch':
      return unwrap(
        api.POST('/grounds/{ground}/patches', {
          params: { path: { ground: props.groundId } },
          body: { name: f.name, setting: f.setting, how: props.how, ...outline },
        }),
      );
    case 'keeper':
      return unwrap(
        api.POST('/grounds/{ground}/keepers', {
          params: { path: { ground: props.groundId } },
          body: { kind: f.kind, name: f.name, ...given, ...shapeGiven() },
        }),
      );
    case 'editKeeper':
      return unwrap(
        api.PUT('/keepers/{keeper}', {
          params: {
            path: { keeper: props.keeper?.id ?? '' },
            header: { 'If-Match': `"${props.keeper?.revision ?? 0}"` },
          },
          body: { kind: f.kind, name: f.name, ...given, ...shapeGiven() },
        }),
      );
    case 'outline':
      return unwrap(
        api.PATCH('/patches/{patch}', {
          params,
          body: {
            name: f.name,
            setting: f.setting,
            how: props.how,
            ...(f.validFrom ? { validFrom: f.validFrom } : {}),
            ...outline,
          },
        }),
      );
    case 'split':
      return unwrap(api.POST('/patches/{patch}/split', { params, body: { line: drawn, name: f.name } }));
    case 'hole':
      return unwrap(api.POST('/patches/{patch}/hole', { params, body: { hole: drawn } }));
    case 'zone':
      return unwrap(api.POST('/patches/{patch}/zones', { params: { path }, body: { name: f.name, ...outline } }));
  }
};
const putAway = async (): Promise<void> => {
  const k = props.keeper;
  if (!k) return;
  const gone = await run(() =>
    unwrap(
      api.DELETE('/keepers/{keeper}', {
        params: { path: { keeper: k.id }, header: { 'If-Match': `"${k.revision}"` } },
      }),
    ),
  );
  if (!gone) return;
  emit('saved', null);
};
const isKeeper = (): boolean => props.task === 'keeper' || props.task === 'editKeeper';
const needsShape = (): boolean => !['patch', 'outline', 'editKeeper'].includes(props.task);
</script>

<template>
  <form class="stack" novalidate @submit.prevent="save">
    <TextField v-if="task !== 'hole'" v-model="form.name" :label="t(`ground.save.name.${task}`)" :fault="at('/name')" />
    <ChoiceField
      v-if="task === 'patch' || task === 'outline'"
      v-model="form.setting"
      :label="t('ground.setting')"
      :options="(book?.settings ?? []).map((s) => ({ value: s.id, label: s.name }))"
    />
    <DayField
      v-if="task === 'outline'"
      v-model="form.validFrom"
      :label="t('ground.save.validFrom')"
      :fault="at('/validFrom')"
    />
    <template v-if="isKeeper()">
      <ChoiceField
        v-model="form.kind"
        :label="t('ground.kind')"
        :options="KINDS.map((k) => ({ value: k, label: t(`keeper.${k}`) }))"
      />
      <template v-if="['tree', 'shrub', 'planting'].includes(form.kind)">
        <TextField
          v-for="f in ['crownRadius', 'height'] as const"
          :key="f"
          v-model="form[f]"
          :label="t(`ground.field.${f}`)"
          :fault="at(`/${f}`)"
        />
      </template>
    </template>
    <p class="fault" role="alert">
      {{
        at('/outline') ??
        at('/shape') ??
        at('/line') ??
        at('/hole') ??
        (clash ? t('ground.clash') : refusal && !refusal.problem?.errors ? refusal.message : '')
      }}
    </p>
    <div class="row">
      <ActButton main type="submit" :disabled="busy || (needsShape() && shape === null)">{{
        t(`ground.save.do.${task}`)
      }}</ActButton>
      <ActButton quiet @click="emit('back')">{{ t('frame.back') }}</ActButton>
      <ActButton v-if="task === 'editKeeper'" quiet :disabled="busy" @click="putAway">{{
        t('ground.save.putAway')
      }}</ActButton>
    </div>
  </form>
</template>
