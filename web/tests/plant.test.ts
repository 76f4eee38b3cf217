import { describe, expect, it } from 'vitest';
import { HEIGHT, plant, WIDTH, type Looks, type Shape, type Time } from '@/components/figures/plant';

const files = Object.keys(import.meta.glob('../../resources/characters/*/*.svg'));
/** States of a character: each has its file. */
const states = (character: string): string[] =>
  files
    .map((path) => path.replace('.svg', '').split('/').slice(-2))
    .filter(([of]) => of === character)
    .map(([, state = '']) => state);
const TIMES: readonly Time[] = ['leaf', 'flower', 'fruit', 'bare'];
const count = (shapes: readonly Shape[], part: Shape['part']): number => shapes.filter((s) => s.part === part).length;
const numbers = (shapes: readonly Shape[]): number[] =>
  shapes.flatMap((s) => (s.d.match(/-?\d+(\.\d+)?/g) ?? []).map(Number));

describe('a plant drawn from its characters', () => {
  it.each(states('habit'))('stands as a %s at every time, on the paper', (habit) => {
    for (const time of TIMES) {
      const shapes = plant({ habit: [habit], 'flower-form': ['daisy'], fruit: ['pod'] }, time);
      expect(count(shapes, 'root')).toBeGreaterThan(0);
      expect(shapes.every((s) => !/NaN|undefined|Infinity/.test(s.d))).toBe(true);
      expect(Math.min(...numbers(shapes))).toBeGreaterThan(-WIDTH);
      expect(Math.max(...numbers(shapes))).toBeLessThan(HEIGHT + 20);
    }
    if (habit !== 'cactus') expect(count(plant({ habit: [habit] }, 'leaf'), 'leaf')).toBeGreaterThan(0);
  });

  it('differs by every state of what a key asks about', () => {
    const base: Looks = { habit: ['broadleaf-herb'], 'flower-form': ['daisy'], fruit: ['pod'] };
    for (const [character, time] of [
      ['flower-form', 'flower'],
      ['flower-colour', 'flower'],
      ['fruit', 'fruit'],
      ['root', 'leaf'],
      ['leaf-outline', 'leaf'],
      ['leaf-margin', 'leaf'],
    ] as const) {
      const all = states(character);
      expect(all.length).toBeGreaterThan(3);
      const drawn = all.map((s) => JSON.stringify(plant({ ...base, [character]: [s] }, time)));
      // two may look alike on a drawing this small (a nut and a brown fruit), no more
      expect(new Set(drawn).size, character).toBeGreaterThanOrEqual(all.length - 2);
    }
  });

  it('bears flowers and fruit only in their time, and leaves in winter only where it is evergreen', () => {
    const holly: Looks = { habit: ['shrub'], 'flower-form': ['four-petal'], fruit: ['red-berry'] };
    expect(TIMES.map((t) => count(plant(holly, t), 'flower') > 0)).toEqual([false, true, false, false]);
    expect(TIMES.map((t) => count(plant(holly, t), 'fruit') > 0)).toEqual([false, false, true, false]);
    expect(count(plant(holly, 'bare'), 'leaf')).toBe(0);
    expect(count(plant({ ...holly, 'leaf-season': ['evergreen'] }, 'bare'), 'leaf')).toBeGreaterThan(0);
  });

  it('sets leaves as they are arranged, and leaflets as they are counted', () => {
    const leaves = (looks: Looks): number => count(plant({ habit: ['shrub'], ...looks }, 'leaf'), 'leaf');
    expect(leaves({ 'leaf-arrangement': ['opposite'] })).toBe(2 * leaves({ 'leaf-arrangement': ['alternate'] }));
    expect(leaves({ 'leaf-type': ['pinnate'], leaflets: ['eleven-and-more'] })).toBeGreaterThan(
      leaves({ 'leaf-type': ['pinnate'], leaflets: ['five'] }),
    );
    expect(leaves({ 'leaf-arrangement': ['none'] })).toBe(0);
  });

  it('shows thorns where there are any', () => {
    expect(count(plant({ habit: ['shrub'], armature: ['thorns'] }, 'bare'), 'thorn')).toBeGreaterThan(0);
    expect(count(plant({ habit: ['shrub'], armature: ['none'] }, 'bare'), 'thorn')).toBe(0);
  });
});
