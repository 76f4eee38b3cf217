<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { useSession } from '@/composables/useSession';
import { useHere } from '@/features/position/useHere';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';

const props = defineProps<{ near: [number, number] }>();
const point = defineModel<[number, number] | null>('point', { required: true });
const accuracy = defineModel<string | null>('accuracy', { required: true });
const { t } = useI18n();
const { session } = useSession();
const { looking, failure, look } = useHere(() => session.value?.demo ?? false);
/** About how far one part of dilution is off. */
const METRES_A_DILUTION = 4;

const here = async (): Promise<void> => {
  const fix = await look(props.near);
  if (!fix) return;
  point.value = [Number(fix.position[0].toFixed(7)), Number(fix.position[1].toFixed(7))];
  accuracy.value = fix.dilution === null ? null : (fix.dilution * METRES_A_DILUTION).toFixed(1);
};
const typed = (which: 0 | 1, text: string): void => {
  const value = Number(text);
  const now: [number, number] = point.value ? [...point.value] : [...props.near];
  now[which] = value;
  point.value = now;
  accuracy.value = null;
};
</script>

<template>
  <div class="row where">
    <ActButton small :disabled="looking" @click="here">{{
      looking ? t('sighting.looking') : t('sighting.here')
    }}</ActButton>
    <template v-if="point">
      <TextField
        :label="t('sighting.latitude')"
        inputmode="decimal"
        :model-value="String(point[1])"
        width="11em"
        @change="typed(1, $event)"
      />
      <TextField
        :label="t('sighting.longitude')"
        inputmode="decimal"
        :model-value="String(point[0])"
        width="11em"
        @change="typed(0, $event)"
      />
      <span v-if="accuracy" class="small soft">± {{ accuracy }} m</span>
      <ActButton quiet small @click="((point = null), (accuracy = null))">{{ t('sighting.noPoint') }}</ActButton>
    </template>
    <p v-if="failure" class="fault" role="alert">{{ t('sighting.noFix') }}</p>
  </div>
</template>
