import type { MARKS } from '@/api/vocabulary';
import type { FieldNote } from './fieldStore';

/** A spot marked on the map by hand. */
export interface Mark {
  id: string;
  state: (typeof MARKS)[number];
  position: [number, number];
  by: string;
  at: string;
  why?: string;
}

/** Of the notes that stand, those that mark a spot, the newest first. */
export const marksOf = (notes: readonly FieldNote[]): Mark[] =>
  notes
    .filter((n) => n.kind === 'mark')
    .map((n) => ({
      id: n.id,
      state: n.state as Mark['state'],
      position: n.position as [number, number],
      by: n.by,
      at: n.at,
      ...(typeof n.why === 'string' ? { why: n.why } : {}),
    }))
    .reverse();
