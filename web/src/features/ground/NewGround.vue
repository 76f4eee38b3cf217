<script setup lang="ts">
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { api, unwrap } from '@/api/client';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';

defineProps<{ /** Shown open when there is no ground yet. */ open: boolean }>();
const emit = defineEmits<{ made: [id: string] }>();
const { t } = useI18n();
const { busy, run, at } = useSubmit();
const form = ref({
  name: '',
  latitude: '',
  longitude: '',
  elevation: '',
  hardinessZone: '',
  timeZone: Intl.DateTimeFormat().resolvedOptions().timeZone,
});
const FIELDS = ['name', 'latitude', 'longitude', 'elevation', 'timeZone', 'hardinessZone'] as const;
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
      <TextField
        v-for="f in FIELDS"
        :key="f"
        v-model="form[f]"
        :label="t(`ground.groundField.${f}`)"
        :fault="at(`/${f}`)"
      />
      <ActButton main type="submit" :busy="busy">{{ t('ground.saveGround') }}</ActButton>
    </form>
  </details>
</template>
