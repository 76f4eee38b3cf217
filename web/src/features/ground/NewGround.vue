<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query';
import { ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { groundsQuery } from '@/api/queries';
import { useSession } from '@/composables/useSession';
import { useSubmit } from '@/composables/useSubmit';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import { useHere } from '@/features/position/useHere';
import GroundFields from './GroundFields.vue';
import { keepNewGround, newGround } from './newGround';

defineProps<{ /** Shown open when there is no ground yet. */ open: boolean }>();
const emit = defineEmits<{ made: [id: string] }>();
const { t } = useI18n();
const { session } = useSession();
const { data: grounds } = useQuery(groundsQuery());
const { busy, run, at } = useSubmit();
const form = ref(newGround());
const { looking, failure, look } = useHere(() => session.value?.demo ?? false);
const here = async (): Promise<void> => {
  const first = grounds.value?.data[0];
  const fix = await look(first ? [Number(first.longitude), Number(first.latitude)] : [-71.4, 44.05]);
  if (!fix) return;
  form.value.longitude = fix.position[0].toFixed(4);
  form.value.latitude = fix.position[1].toFixed(4);
};
const save = async (): Promise<void> => {
  const made = await run(() => keepNewGround(form.value));
  if (made) emit('made', made.id);
};
</script>

<template>
  <details :open="open">
    <summary>{{ t('ground.newGround') }}</summary>
    <form class="stack" novalidate style="max-width: 420px; padding-top: 8px" @submit.prevent="save">
      <TextField v-model="form.name" :label="t('ground.groundField.name')" :fault="at('/name')" />
      <GroundFields v-model="form" :at="at">
        <ActButton small :busy="looking" @click="here">{{ t('ground.iStandOnIt') }}</ActButton>
      </GroundFields>
      <p v-if="failure" class="fault" role="alert">{{ t('sighting.noFix') }}</p>
      <ActButton main type="submit" :busy="busy">{{ t('ground.saveGround') }}</ActButton>
    </form>
  </details>
</template>
