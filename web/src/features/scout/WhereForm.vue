<script setup lang="ts">
import { useI18n } from 'vue-i18n';
import { useSession } from '@/composables/useSession';
import { useHere } from '@/features/position/useHere';

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
const typed = (which: 0 | 1, e: Event): void => {
  const value = Number((e.target as HTMLInputElement).value);
  const now: [number, number] = point.value ? [...point.value] : [...props.near];
  now[which] = value;
  point.value = now;
  accuracy.value = null;
};
</script>

<template>
  <div class="row where">
    <button class="btn small" type="button" :disabled="looking" @click="here">
      {{ looking ? t('sighting.looking') : t('sighting.here') }}
    </button>
    <template v-if="point">
      <label class="label"
        >{{ t('sighting.latitude')
        }}<input class="field" inputmode="decimal" :value="point[1]" @change="(e) => typed(1, e)"
      /></label>
      <label class="label"
        >{{ t('sighting.longitude')
        }}<input class="field" inputmode="decimal" :value="point[0]" @change="(e) => typed(0, e)"
      /></label>
      <span v-if="accuracy" class="small soft">± {{ accuracy }} m</span>
      <button class="btn small quiet" type="button" @click="((point = null), (accuracy = null))">
        {{ t('sighting.noPoint') }}
      </button>
    </template>
    <p v-if="failure" class="fault" role="alert">{{ t('sighting.noFix') }}</p>
  </div>
</template>

<style scoped>
.where .field {
  width: 11em;
}
</style>
