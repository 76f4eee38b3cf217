<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { groundsQuery } from '@/api/queries';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import ChoiceField from '@/components/form/ChoiceField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';
import { useHere } from '@/features/position/useHere';
import { zoneChoices } from './zones';

defineProps<{ /** Shown open when there is no ground yet. */ open: boolean }>();
const emit = defineEmits<{ made: [id: string] }>();
const { t } = useI18n();
const { session } = useSession();
const { data: grounds } = useQuery(groundsQuery());
const { busy, run, at } = useSubmit();
const form = ref({
  name: '',
  latitude: '',
  longitude: '',
  elevation: '',
  hardinessZone: '',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
});
const { looking, failure, look } = useHere(() => session.value?.demo ?? false);
const here = async (): Promise<void> => {
  const first = grounds.value?.data[0];
  const fix = await look(first ? [Number(first.longitude), Number(first.latitude)] : [-71.4, 44.05]);
  if (!fix) return;
  form.value.longitude = fix.position[0].toFixed(4);
  form.value.latitude = fix.position[1].toFixed(4);
};
const save = async (): Promise<void> => {
  const made = await run(() =>
    unwrap(api.POST('/grounds', { body: { ...form.value, hardinessZone: form.value.hardinessZone || undefined } })),
  );
  if (made) emit('made', made.id);
};
</script>

<template>
  <details :open="open">
    <summary>{{ t('ground.newGround') }}</summary>
    <form class="stack" novalidate style="max-width: 420px; padding-top: 8px" @submit.prevent="save">
      <TextField v-model="form.name" :label="t('ground.groundField.name')" :fault="at('/name')" />
      <div class="row">
        <TextField
          v-for="f in ['latitude', 'longitude'] as const"
          :key="f"
          v-model="form[f]"
          :label="t(`ground.groundField.${f}`)"
          :fault="at(`/${f}`)"
          width="10em"
          inputmode="decimal"
        />
        <ActButton small :busy="looking" @click="here">{{ t('ground.iStandOnIt') }}</ActButton>
      </div>
      <p v-if="failure" class="fault" role="alert">{{ t('sighting.noFix') }}</p>
      <QuantityField
        v-model="form.elevation"
        :label="t('ground.groundField.elevation')"
        :fault="at('/elevation')"
        sample="690 ft"
      />
      <TextField v-model="form.timeZone" :label="t('ground.groundField.timeZone')" :fault="at('/timeZone')" />
      <ChoiceField
        v-model="form.hardinessZone"
        :label="t('ground.groundField.hardinessZone')"
        :fault="at('/hardinessZone')"
        :options="zoneChoices(t('ground.zoneUnknown'))"
      />
      <ActButton main type="submit" :busy="busy">{{ t('ground.saveGround') }}</ActButton>
    </form>
  </details>
</template>
