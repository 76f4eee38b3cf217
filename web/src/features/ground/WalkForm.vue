<script setup lang="ts">
import { computed, onBeforeUnmount, ref } from 'vue';
import { useI18n } from 'vue-i18n';
import { deviceSource, standInSource, type Fix, type PositionSource } from '@/features/position/positionSource';
import ActButton from '@/components/form/ActButton.vue';
import PickField from '@/components/form/PickField.vue';
import FilesField from '@/components/form/FilesField.vue';
import type { Position } from './shapes';
import type { ShapeEditor } from './useShapeEditor';

const props = defineProps<{ editor: ShapeEditor; centre: () => Position; demo: boolean }>();
const emit = defineEmits<{
  /** Where the walker stands, and the way so far. */ here: [at: Position | null, way: Position[]];
}>();
const { t } = useI18n();
const kind = ref<'device' | 'standIn'>(props.demo ? 'standIn' : 'device');
const fixes = ref<Fix[]>([]);
const state = ref<'idle' | 'waiting' | 'walking' | 'paused'>('idle');
const lost = ref(false);
const broken = ref(0);
const failure = ref<string | null>(null);
let source: PositionSource | null = null;

const start = (): void => {
  failure.value = null;
  lost.value = false;
  source = kind.value === 'device' ? deviceSource() : standInSource(props.centre());
  state.value = 'waiting';
  source.start({
    fix: (fix) => {
      lost.value = false;
      if (state.value === 'waiting') state.value = 'walking';
      if (state.value === 'walking') fixes.value.push(fix);
      emit(
        'here',
        fix.position,
        fixes.value.map((f) => f.position),
      );
    },
    lost: () => (lost.value = true),
    broken: () => broken.value++,
    failed: (why) => {
      failure.value = why;
      if (state.value !== 'idle') state.value = fixes.value.length > 0 ? 'paused' : 'idle';
    },
  });
};
const halt = (): void => {
  source?.stop();
  source = null;
};
const finish = async (): Promise<void> => {
  halt();
  state.value = 'idle';
  emit('here', null, []);
  await props.editor.trace({
    walk: fixes.value.map((f) => ({
      position: f.position,
      at: f.at,
      ...(f.dilution === null ? {} : { dilution: f.dilution.toFixed(1) }),
    })),
  });
};
const again = (): void => {
  halt();
  fixes.value = [];
  broken.value = 0;
  state.value = 'idle';
  emit('here', null, []);
};
const upload = async ([file]: File[]): Promise<void> => {
  if (file) await props.editor.trace({ gpx: await file.text() });
};
const quality = computed(() => {
  const last = fixes.value.at(-1)?.dilution ?? null;
  return lost.value ? 'none' : last === null ? 'unknown' : last <= 2 ? 'good' : last <= 5 ? 'fair' : 'poor';
});
onBeforeUnmount(() => {
  halt();
  emit('here', null, []);
});
</script>

<template>
  <div class="stack">
    <p class="small soft">{{ t('ground.walk.help') }}</p>
    <PickField
      v-if="demo && state === 'idle'"
      v-model="kind"
      :label="t('ground.walk.by')"
      :options="(['standIn', 'device'] as const).map((k) => ({ value: k, label: t(`ground.walk.${k}`) }))"
    />
    <p v-if="state !== 'idle' || fixes.length" role="status">
      <span class="pour count">{{ fixes.length }}</span> {{ t('ground.walk.positions') }} ·
      <b :class="{ fault: quality === 'none' || quality === 'poor' }">{{ t(`ground.walk.quality.${quality}`) }}</b>
      <span v-if="broken" class="small soft"> · {{ t('ground.walk.broken', { n: broken }) }}</span>
    </p>
    <p v-if="lost" class="warn">{{ t('ground.walk.lost') }}</p>
    <p v-if="failure" class="fault" role="alert">{{ t(`ground.walk.failed.${failure}`) }}</p>
    <div class="row">
      <ActButton v-if="state === 'idle'" main @click="start">{{ t('ground.walk.start') }}</ActButton>
      <ActButton v-if="state === 'waiting'" disabled>{{ t('ground.walk.waiting') }}</ActButton>
      <ActButton v-if="state === 'walking'" @click="state = 'paused'">{{ t('ground.walk.pause') }}</ActButton>
      <ActButton v-if="state === 'paused' && failure === null" @click="state = 'walking'">{{
        t('ground.walk.goOn')
      }}</ActButton>
      <ActButton v-if="fixes.length > 2" main @click="finish">{{ t('ground.walk.finish') }}</ActButton>
      <ActButton v-if="fixes.length" quiet @click="again">{{ t('ground.walk.again') }}</ActButton>
    </div>
    <FilesField
      v-if="state === 'idle'"
      :label="t('ground.walk.gpx')"
      accept=".gpx,application/gpx+xml"
      @files="upload"
    />
  </div>
</template>

<style scoped>
.count {
  font-size: 2.25rem;
}
</style>
