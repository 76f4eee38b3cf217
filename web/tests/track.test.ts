import { describe, expect, it } from 'vitest';
import { isWithin } from '@/features/field-mode/useTrack';

describe('ground that nobody enters', () => {
  const square = [
    [0, 0],
    [4, 0],
    [4, 4],
    [0, 4],
    [0, 0],
  ];
  const hole = [
    [1, 1],
    [2, 1],
    [2, 2],
    [1, 2],
    [1, 1],
  ];
  it.each([
    ['in it', [3, 3], true],
    ['beside it', [5, 3], false],
    ['level with a corner', [-1, 4], false],
    ['in its hole', [1.5, 1.5], false],
  ] as const)('%s', (_, at, inside) => {
    expect(isWithin(at, [square, hole])).toBe(inside);
  });
  it('is nowhere without an outline', () => expect(isWithin([0, 0], [])).toBe(false));
});
