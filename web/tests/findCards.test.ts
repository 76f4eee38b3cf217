import { describe, expect, it } from 'vitest';
import type { Schemas } from '@/api/client';
import { counterparts, findCards, hasConcentrate } from '@/features/shed/findCards';

type Card = Schemas['Shed']['cards'][number];

/** The newest version is all that finding looks at. */
const card = (id: string, product: string, actives: string[], body: Record<string, unknown> = {}): Card =>
  ({
    id,
    product,
    versions: [{ registration: `R-${id}`, actives: actives.map((active) => ({ active })), body }],
  }) as unknown as Card;
const cards = [
  card('1', 'Ready spray', ['glyphosate'], {
    formulation: 'ready-to-use',
    concentrateExists: true,
    formerNames: ['Garden Élan'],
  }),
  card('2', 'Water concentrate', ['glyphosate'], { formulation: 'soluble-liquid' }),
  card('3', 'Two in one', ['triclopyr-ester', 'glyphosate'], { formulation: 'emulsifiable' }),
  card('4', 'Lone spray', ['2-4-d'], { formulation: 'ready-to-use', concentrateExists: true }),
];
const name = (id: string): string => ({ 'triclopyr-ester': 'triclopyr (ester)', '2-4-d': '2,4-D' })[id] ?? id;
const found = (typed: string): string =>
  findCards(cards, typed, name)
    .map((c) => c.id)
    .join();

describe('label cards', () => {
  it('are found by name, former name, active and registration, every word of what is typed', () => {
    expect([
      found(''),
      found('spray'),
      found('garden elan'),
      found('TRICLOPYR glyph'),
      found('2,4-d'),
      found('r-2'),
      found('spray glyphosate'),
      found('nothing'),
    ]).toEqual(['1,2,3,4', '1,4', '1', '3', '4', '2', '1', '']);
  });
  it('know their counterpart of the very same actives, and whether the label tells of one', () => {
    expect(
      cards.map((c) =>
        counterparts(cards, c)
          .map((o) => o.id)
          .join(),
      ),
    ).toEqual(['2', '1', '', '']);
    expect(cards.map(hasConcentrate)).toEqual([true, false, false, true]);
  });
});
