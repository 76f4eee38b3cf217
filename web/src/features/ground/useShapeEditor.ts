import { computed, onScopeDispose, ref, shallowRef, watch } from 'vue';
import { api, Refusal, unwrap, type Schemas } from '@/api/client';
import type { paths } from '@/api/schema';
import type { Shape } from './shapes';

type GivenShape = paths['/outlines']['post']['requestBody']['content']['application/json'];

/** The shape in work: every change can be undone, and the server says its area 300 ms after the last one (B23). */
export function useShapeEditor(ground: () => string | null) {
  const shape = shallowRef<Shape | null>(null);
  const past = shallowRef<(Shape | null)[]>([]);
  const future = shallowRef<(Shape | null)[]>([]);
  const traced = ref<Schemas['Traced'] | null>(null);
  const refusal = ref<Refusal | null>(null);
  /** Notes of a shape that was worked out by the server; they stay till the shape is changed by hand. */
  const notes = ref<Schemas['Traced']['notes']>([]);
  let timer: ReturnType<typeof setTimeout> | undefined;
  let asked = 0;

  const same = (a: Shape | null, b: Shape | null): boolean => JSON.stringify(a) === JSON.stringify(b);
  const put = (next: Shape | null, how: Schemas['Traced']['notes'] = []): void => {
    if (same(next, shape.value)) return;
    past.value = [...past.value, shape.value].slice(-200);
    future.value = [];
    notes.value = how;
    shape.value = next;
  };
  const step = (from: typeof past, to: typeof past): void => {
    if (from.value.length === 0) return;
    to.value = [...to.value, shape.value];
    shape.value = from.value.at(-1) ?? null;
    from.value = from.value.slice(0, -1);
  };
  const begin = (first: Shape | null): void => {
    shape.value = first;
    past.value = [];
    future.value = [];
    notes.value = [];
  };
  /** Asks the server for the shape of these measures. */
  const trace = async (body: Omit<GivenShape, 'ground'>): Promise<Schemas['Traced'] | null> => {
    const to = ground();
    if (!to) return null;
    try {
      refusal.value = null;
      const made = await ask({ ground: to, ...body });
      put(made.shape, made.notes);
      return made;
    } catch (e) {
      if (!(e instanceof Refusal)) throw e;
      refusal.value = e;
      return null;
    }
  };

  watch(shape, (now) => {
    clearTimeout(timer);
    refusal.value = null;
    traced.value = null;
    const to = ground();
    if (!now || now.type === 'Point' || !to) return;
    const mine = ++asked;
    timer = setTimeout(async () => {
      try {
        const answer = await ask({
          ground: to,
          ...(now.type === 'Polygon' ? { polygon: now } : { line: now }),
        });
        if (mine === asked) traced.value = answer;
      } catch (e) {
        if (e instanceof Refusal && mine === asked) refusal.value = e;
      }
    }, 300);
  });
  onScopeDispose(() => clearTimeout(timer));

  return {
    shape,
    traced,
    refusal,
    notes,
    put,
    begin,
    trace,
    undo: () => step(past, future),
    redo: () => step(future, past),
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
  };
}
export type ShapeEditor = ReturnType<typeof useShapeEditor>;

const ask = (body: GivenShape) => unwrap(api.POST('/outlines', { body }));
