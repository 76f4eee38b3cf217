<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import ChoiceField from '@/components/form/ChoiceField.vue';
import QuantityField from '@/components/form/QuantityField.vue';
import TextField from '@/components/form/TextField.vue';
import { useSession } from '@/composables/useSession';
import type { NewGround } from './newGround';
import { zoneChoices } from './zones';

/** Where a ground lies; ways to find the place stand in the slot, beside latitude and longitude. */
defineProps<{ at: (pointer: string) => string | null; elevationHelp?: string; zoneHelp?: string }>();
const form = defineModel<NewGround>({ required: true });
const { t } = useI18n();
const { units } = useSession();
</script>

<template>
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
    <slot />
  </div>
  <QuantityField
    v-model="form.elevation"
    :label="t('ground.groundField.elevation')"
    :help="elevationHelp"
    :fault="at('/elevation')"
    :sample="units === 'us' ? '690 ft' : '210 m'"
  />
  <ChoiceField
    v-model="form.hardinessZone"
    :label="t('ground.groundField.hardinessZone')"
    :fault="at('/hardinessZone')"
    :options="zoneChoices(t('ground.zoneUnknown'))"
  />
  <TextField
    v-model="form.timeZone"
    :label="t('ground.groundField.timeZone')"
    :help="zoneHelp"
    :fault="at('/timeZone')"
  />
</template>
