<script setup lang="ts">
import { computed, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { useSession } from '@/composables/useSession';
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
const upload = async (e: Event): Promise<void> => {
  const file = (e.target as HTMLInputElement).files?.[0];
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
      <button
        v-for="w in WAYS"
        :key="w"
        type="button"
        class="btn small"
        :class="{ main: way === w }"
        :aria-pressed="way === w"
        @click="way = w"
      >
        {{ t(`ground.way.${w}`) }}
      </button>
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
      <label class="label"
        >{{ t('ground.outline')
        }}<textarea
          v-model="pasted"
          class="field code"
          rows="4"
          spellcheck="false"
          :aria-invalid="editor.refusal.value !== null"
        ></textarea>
      </label>
      <label class="label small"
        >{{ t('ground.upload') }}<input type="file" accept=".json,.geojson,application/geo+json" @change="upload"
      /></label>
      <button class="btn" type="submit">{{ t('ground.measure.work') }}</button>
    </form>
    <div class="row">
      <button
        class="btn small"
        type="button"
        :disabled="!editor.canUndo.value && editor.shape.value !== null"
        @click="undo"
      >
        {{ t('ground.undo') }}
      </button>
      <button class="btn small" type="button" :disabled="!editor.canRedo.value" @click="editor.redo()">
        {{ t('ground.redo') }}
      </button>
      <button class="btn small quiet" type="button" :disabled="editor.shape.value === null" @click="editor.put(null)">
        {{ t('ground.clear') }}
      </button>
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
