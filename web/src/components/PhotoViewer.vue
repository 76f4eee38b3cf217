<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, ref, watch } from 'vue';
import { useI18n } from 'vue-i18n';
import ActButton from '@/components/form/ActButton.vue';

/** Pictures one after the other, whole or close up, by arrow keys, wheel and finger. */
const props = defineProps<{ title: string; photos: readonly { src: string; alt: string; said: string }[] }>();
defineEmits<{ close: [] }>();
const at = defineModel<number | null>({ required: true });
const { t } = useI18n();
const closeUp = ref(false);
const photo = computed(() => props.photos[at.value ?? 0]);
const step = (by: 1 | -1): void => {
  at.value = ((at.value ?? 0) + by + props.photos.length) % props.photos.length;
};
watch(at, () => (closeUp.value = false));
useEventListener(window, 'keydown', (e: KeyboardEvent) => {
  if (closeUp.value || props.photos.length < 2) return;
  if (e.key === 'ArrowRight') step(1);
  if (e.key === 'ArrowLeft') step(-1);
});
</script>

<template>
  <el-dialog :model-value="true" :title="title" width="880" align-center @close="$emit('close')">
    <div v-if="photo" class="stack">
      <!-- close up it is moved like any page: by wheel, finger and arrow keys -->
      <div class="pane" :class="{ closeUp }" :tabindex="closeUp ? 0 : undefined">
        <img :src="photo.src" :alt="photo.alt" @click="closeUp = !closeUp" />
      </div>
      <div class="row">
        <template v-if="photos.length > 1">
          <ActButton small @click="step(-1)">{{ t('photos.back') }}</ActButton>
          <ActButton small @click="step(1)">{{ t('photos.on') }}</ActButton>
          <span class="small" role="status">{{ t('photos.at', { n: (at ?? 0) + 1, of: photos.length }) }}</span>
        </template>
        <ActButton small :aria-pressed="closeUp" @click="closeUp = !closeUp">{{
          t(closeUp ? 'photos.whole' : 'photos.close')
        }}</ActButton>
        <span class="small soft">{{ photo.said }}</span>
        <slot></slot>
      </div>
    </div>
  </el-dialog>
</template>

<style scoped>
.pane {
  display: grid;
  place-items: center;
  overflow: auto;
  max-height: 66vh;
  background: var(--lichen-deep);
}
.pane img {
  max-width: 100%;
  max-height: 66vh;
  height: auto;
  cursor: zoom-in;
}
.closeUp {
  place-items: start;
}
.closeUp img {
  max-width: none;
  max-height: none;
  width: 200%;
  cursor: zoom-out;
}
</style>
