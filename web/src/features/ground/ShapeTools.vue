<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useSession } from '@/composables/useSession';
import ActButton from '@/components/form/ActButton.vue';
import TextField from '@/components/form/TextField.vue';
import FilesField from '@/components/form/FilesField.vue';
import CornerTable from './CornerTable.vue';
import MeasureForm from './MeasureForm.vue';
import WalkForm from './WalkForm.vue';
import type { Position, Shape } from './shapes';
import type { ShapeEditor } from './useShapeEditor';

const props = defineProps<{ editor: ShapeEditor; type: Shape['type']; centre: () => Position }>();
const emit = defineEmits<{ here: [at: Position | null, way: Position[]]; undoPoint: [] }>();
const { t } = useI18n();
const { format, session } = useSession();
const WAYS = computed(() =>
  props.type === 'Polygon'
    ? (['draw', 'table', 'circle', 'rectangle', 'legs', 'walk', 'paste'] as const)
    : (['draw', 'table'] as const),
);
const way = ref<'draw' | 'table' | 'circle' | 'rectangle' | 'legs' | 'walk' | 'paste'>('draw');
const pasted = ref('');
const pasteFault = ref<string | null>(null);
/**
 * The server reads what was pasted, mends it and says so; text that is no JSON at all goes as it is, to be refused by
 * name.
 */
const paste = async (): Promise<void> => {
  pasteFault.value = null;
  let json: unknown = { type: 'unreadable' };
  try {
    json = JSON.parse(pasted.value);
  } catch {
    /* refused below */
  }
  await props.editor.trace({ polygon: json as Record<string, unknown> });
};
const upload = async ([file]: File[]): Promise<void> => {
  if (!file) return;
  pasted.value = await file.text();
  await paste();
};
const undo = (): void => (props.editor.shape.value === null ? emit('undoPoint') : props.editor.undo());
defineExpose({ way });
</script>

<template>
  <div class="stack">
    <div class="row ways" role="group" :aria-label="t('ground.ways')">
      <ActButton
        v-for="w in WAYS"
        :key="w"
        small
        :class="{ main: way === w }"
        :aria-pressed="way === w"
        @click="way = w"
        >{{ t(`ground.way.${w}`) }}</ActButton
      >
    </div>
    <p v-if="way === 'draw'" class="small soft">
      {{ t(editor.shape.value ? 'ground.draw.change' : `ground.draw.${type}`) }}
    </p>
    <CornerTable v-if="way === 'table'" :editor="editor" :type="type" />
    <MeasureForm
      v-if="way === 'circle' || way === 'rectangle' || way === 'legs'"
      :key="way"
      :editor="editor"
      :way="way"
      :centre="centre"
    />
    <WalkForm
      v-if="way === 'walk'"
      :editor="editor"
      :centre="centre"
      :demo="session?.demo ?? false"
      @here="(at, so) => emit('here', at, so)"
    />
    <form v-if="way === 'paste'" class="stack" novalidate @submit.prevent="paste">
      <TextField
        v-model="pasted"
        :label="t('ground.outline')"
        :aria-invalid="editor.refusal.value !== null"
        class="code"
        type="textarea"
        :rows="4"
        spellcheck="false"
      />
      <FilesField :label="t('ground.upload')" accept=".json,.geojson,application/geo+json" @files="upload" />
      <ActButton type="submit">{{ t('ground.measure.work') }}</ActButton>
    </form>
    <div class="row">
      <ActButton small :disabled="!editor.canUndo.value && editor.shape.value !== null" @click="undo">{{
        t('ground.undo')
      }}</ActButton>
      <ActButton small :disabled="!editor.canRedo.value" @click="editor.redo()">{{ t('ground.redo') }}</ActButton>
      <ActButton quiet small :disabled="editor.shape.value === null" @click="editor.put(null)">{{
        t('ground.clear')
      }}</ActButton>
    </div>
    <div role="status">
      <p v-if="editor.traced.value">
        <span class="pour size">{{ format(editor.traced.value.area ?? editor.traced.value.length) }}</span>
        <span v-if="editor.traced.value.area" class="small soft">
          {{ t('ground.edge', { length: format(editor.traced.value.length) }) }}</span
        >
      </p>
      <p v-for="n in editor.notes.value" :key="n.code" class="note small">{{ format(n.text) }}</p>
    </div>
    <p v-if="editor.refusal.value" class="fault" role="alert">
      {{ editor.refusal.value.problem?.errors?.[0]?.message ?? editor.refusal.value.message }}
    </p>
  </div>
</template>

<style scoped>
.ways {
  gap: 4px;
}
.size {
  font-size: var(--size-xl);
}
.code {
  font-family: var(--font-amount);
  font-size: var(--size-s);
}
</style>
