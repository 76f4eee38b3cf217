import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { effectScope, type EffectScope } from 'vue';
import { through, type Position } from '@/features/ground/shapes';
import { useShapeEditor, type ShapeEditor } from '@/features/ground/useShapeEditor';

let asked: { body: Record<string, unknown>; answer: (status: number, body: unknown) => void }[] = [];
vi.mock('@/api/client', async (original) => ({
  ...(await original<typeof import('@/api/client')>()),
  api: {
    POST: (_: string, { body }: { body: Record<string, unknown> }) =>
      new Promise((done) =>
        asked.push({
          body,
          answer: (status, of) =>
            done({ response: new Response(null, { status }), ...(status < 300 ? { data: of } : { error: of }) }),
        }),
      ),
  },
}));

const triangle = (x: number) =>
  through('Polygon', [
    [x, 1],
    [x + 1, 1],
    [x, 2],
  ] as Position[])!;
const area = (value: string) => ({
  shape: triangle(0),
  area: { value, unit: 'm2', shown: { us: value, metric: value } },
  length: { value: '1', unit: 'm', shown: { us: '1', metric: '1' } },
  notes: [],
});

describe('the shape in work', () => {
  let scope: EffectScope;
  let editor: ShapeEditor;
  beforeEach(() => {
    vi.useFakeTimers();
    asked = [];
    scope = effectScope();
    editor = scope.run(() => useShapeEditor(() => 'ground-1'))!;
  });
  afterEach(() => {
    scope.stop();
    vi.useRealTimers();
  });
  const settle = async (ms = 300) => {
    await vi.advanceTimersByTimeAsync(ms);
  };

  it('takes every change back and brings it again, and a new change forgets what was taken back', () => {
    editor.put(triangle(1));
    editor.put(triangle(2));
    editor.put(triangle(2));
    editor.undo();
    expect(editor.shape.value).toEqual(triangle(1));
    editor.undo();
    expect([editor.shape.value, editor.canUndo.value, editor.canRedo.value]).toEqual([null, false, true]);
    editor.undo();
    editor.redo();
    editor.redo();
    expect(editor.shape.value).toEqual(triangle(2));
    editor.undo();
    editor.put(triangle(5));
    expect(editor.canRedo.value).toBe(false);
    editor.begin(triangle(7));
    expect([editor.shape.value, editor.canUndo.value]).toEqual([triangle(7), false]);
  });

  it('asks for the area once the hand rests, and only once', async () => {
    editor.put(triangle(1));
    await settle(200);
    editor.put(triangle(2));
    await settle(299);
    expect(asked).toHaveLength(0);
    await settle(1);
    expect(asked).toHaveLength(1);
    expect(asked[0]!.body).toMatchObject({ ground: 'ground-1', polygon: triangle(2) });
    asked[0]!.answer(200, area('500'));
    await settle(0);
    expect(editor.traced.value?.area?.value).toBe('500');
  });

  it('never shows the area of an older shape that was answered late', async () => {
    editor.put(triangle(1));
    await settle();
    editor.put(triangle(2));
    await settle();
    asked[1]!.answer(200, area('222'));
    await settle(0);
    asked[0]!.answer(200, area('111'));
    await settle(0);
    expect(editor.traced.value?.area?.value).toBe('222');
  });

  it('keeps the shape when the server refuses it, and says why', async () => {
    editor.put(triangle(1));
    await settle();
    asked[0]!.answer(422, {
      type: 'about:blank',
      title: 'x',
      status: 422,
      errors: [{ pointer: '/polygon/coordinates/0/2', message: 'The outline crosses itself here.' }],
    });
    await settle(0);
    expect(editor.refusal.value?.at('/polygon')).toBe('The outline crosses itself here.');
    expect(editor.shape.value).toEqual(triangle(1));
    editor.put(triangle(3));
    await settle(0);
    expect(editor.refusal.value).toBeNull();
  });

  it('asks nothing of a point, and a line for its length', async () => {
    editor.put(through('Point', [[1, 2]]));
    await settle();
    expect(asked).toHaveLength(0);
    editor.put(
      through('LineString', [
        [1, 2],
        [3, 4],
      ]),
    );
    await settle();
    expect(Object.keys(asked[0]!.body).sort()).toEqual(['ground', 'line']);
  });
});
