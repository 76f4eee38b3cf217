import type { Schemas } from '@/api/client';

export type Line = Schemas['Today']['lines'][number];
/** The furthest along comes first: work that is begun is finished before more is begun. */
export const ORDER = ['done', 'issued', 'mixed', 'chosen', 'counted', 'named', 'judged', 'finished', 'later'] as const;
type Code = (typeof ORDER)[number];

/** Grounds of the lines, by name. */
export const groundsOf = (lines: Line[]): { id: string; name: string }[] =>
  [...new Map(lines.map((l) => [l.groundId, l.ground]))]
    .map(([id, name]) => ({ id, name }))
    .sort((a, b) => a.name.localeCompare(b.name));

/** Asked for what nobody has taken yet. */
export const NOBODY = 'nobody';
/** Who has taken something, by name. */
export const peopleOf = (lines: Line[]): { id: string; name: string }[] =>
  [...new Map(lines.flatMap((l) => (l.assignee ? [[l.assignee.id, l.assignee]] : []))).values()].sort((a, b) =>
    a.name.localeCompare(b.name),
  );

const codeOf = (line: Line, day: string): Code => {
  // nothing can be done of it yet, whatever is next
  if (line.from && line.from > day) return 'later';
  const code = line.act.code === 'ready' ? 'issued' : line.act.code;
  return ORDER.find((known) => known === code) ?? 'finished';
};

/** What is listed alone, a ground and a person; '' for all. */
export interface Narrowed {
  ground: string;
  who: string;
}
export const isOf = (line: Line, { ground, who }: Narrowed): boolean =>
  (ground === '' || line.groundId === ground) && (who === '' || (line.assignee?.id ?? NOBODY) === who);

/** Lines by what is next, of one ground and one person or ('') of all; an empty group is left out. */
export const groupsOf = (lines: Line[], day: string, narrowed: Narrowed): { code: Code; lines: Line[] }[] =>
  ORDER.map((code) => ({
    code,
    lines: lines
      .filter((l) => isOf(l, narrowed) && codeOf(l, day) === code)
      // what opens soonest is planned for first
      .sort((a, b) => (code === 'later' ? (a.from ?? '').localeCompare(b.from ?? '') : 0)),
  })).filter((group) => group.lines.length > 0);
