import { describe, expect, it } from 'vitest';
import { drawingOf } from '@/features/scout/drawings';

const files = Object.keys(import.meta.glob('../../resources/characters/*/*.svg'));

describe('the drawings of the key', () => {
  it('has one for each file that is drawn, and hides it from those who hear the word beside it', () => {
    expect(files.length).toBeGreaterThan(100);
    const missing = files
      .map((path) => path.split('/').slice(-2).join('/').replace('.svg', '').split('/'))
      .filter(([character = '', state = '']) => !drawingOf(character, state).startsWith('<svg aria-hidden="true"'));
    expect(missing).toEqual([]);
  });

  it('draws nothing for an answer that is none', () => {
    expect(drawingOf('habit', 'not-sure')).toBe('');
  });
});
