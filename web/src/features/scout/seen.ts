/* What was seen of a plant while it is being answered: always lists; one state goes out plain, as it is kept. */
export type Seen = Record<string, string[]>;
export const OPEN_ANSWERS: readonly string[] = ['not-sure', 'not-visible'];

export const toLists = (seen: Record<string, string | string[]>): Seen =>
  Object.fromEntries(Object.entries(seen).map(([c, s]) => [c, Array.isArray(s) ? [...s] : [s]]));

export const toGiven = (seen: Seen): Record<string, string | string[]> =>
  Object.fromEntries(
    Object.entries(seen)
      .filter(([, states]) => states.length > 0)
      .map(([c, states]) => [c, states.length === 1 ? (states[0] as string) : states]),
  );

/** Puts a state in or takes it out; an open answer stands alone. */
export function toggled(seen: Seen, character: string, state: string): Seen {
  const now = seen[character] ?? [];
  const kept = OPEN_ANSWERS.includes(state) ? [] : now.filter((s) => !OPEN_ANSWERS.includes(s));
  const next = now.includes(state) ? now.filter((s) => s !== state) : [...kept, state];
  const out = { ...seen };
  if (next.length === 0) delete out[character];
  else out[character] = next;
  return out;
}
