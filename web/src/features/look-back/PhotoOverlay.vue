<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import type { Schemas } from '@/api/client';
import { dayText } from '@/components/dates';
import ChoiceField from '@/components/form/ChoiceField.vue';
import SliderField from '@/components/form/SliderField.vue';

/** Two pictures of the same spot laid over each other: then and now. */
const props = defineProps<{ photos: Schemas['Sighting']['photos'] }>();
const { t } = useI18n();
const [under, over, through] = [ref(''), ref(''), ref(50)];
watch(
  () => props.photos.map((p) => p.id).join(),
  () => {
    under.value = props.photos[0]?.id ?? '';
    over.value = props.photos[props.photos.length - 1]?.id ?? '';
  },
  { immediate: true },
);
const options = computed(() =>
  props.photos.map((p, i) => ({
    value: p.id,
    label: `${i + 1}${p.takenAt ? ` · ${dayText(p.takenAt.slice(0, 10), true)}` : ''}`,
  })),
);
</script>

<template>
  <details v-if="photos.length > 1">
    <summary class="label">{{ t('look.overlay.heading') }}</summary>
    <div class="stack">
      <div class="row">
        <ChoiceField v-model="under" :label="t('look.overlay.then')" :options="options" width="10em" />
        <ChoiceField v-model="over" :label="t('look.overlay.now')" :options="options" width="10em" />
      </div>
      <div class="laid">
        <img :src="`/api/v1/photos/${under}/full`" :alt="t('look.overlay.then')" />
        <img
          :src="`/api/v1/photos/${over}/full`"
          :alt="t('look.overlay.now')"
          class="upper"
          :style="{ opacity: through / 100 }"
        />
      </div>
      <SliderField v-model="through" :label="t('look.overlay.through')" :max="100" />
    </div>
  </details>
</template>

<style scoped>
.laid {
  position: relative;
}
.laid img {
  display: block;
  width: 100%;
}
.laid .upper {
  position: absolute;
  inset: 0;
  height: 100%;
  object-fit: cover;
}
</style>
