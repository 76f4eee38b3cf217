import { describe, expect, it } from 'vitest';
import { groundsOf, groupsOf, NOBODY, peopleOf, type Line } from '@/features/today/groups';

const line = (id: string, code: string, from: string | null = null, ground = 'a'): Line =>
  ({ id, act: { code, text: code }, from, groundId: ground, ground: `Ground ${ground}` }) as Line;
const told = (lines: Line[], ground = '', who = '') =>
  groupsOf(lines, '2026-09-03', { ground, who }).map((g) => `${g.code}: ${g.lines.map((l) => l.id).join(' ')}`);

describe('what is next, in groups', () => {
  it('puts what is begun before what is not, and leaves out what is empty', () => {
    expect(told([line('1', 'named'), line('2', 'chosen'), line('3', 'done'), line('4', 'named')])).toEqual([
      'done: 3',
      'chosen: 2',
      'named: 1 4',
    ]);
  });
  it('keeps apart what has its season still to come, the soonest first, and takes up what opens today', () => {
    expect(
      told([line('1', 'mixed', '2026-10-01'), line('2', 'issued', '2026-09-04'), line('3', 'mixed', '2026-09-03')]),
    ).toEqual(['mixed: 3', 'later: 2 1']);
  });
  it('shows one ground alone, and names them by their names', () => {
    const lines = [line('1', 'named', null, 'b'), line('2', 'named')];
    expect(told(lines, 'b')).toEqual(['named: 1']);
    expect(groundsOf(lines).map((g) => g.name)).toEqual(['Ground a', 'Ground b']);
  });
  it('shows what one person has taken, or what nobody has', () => {
    const taken = { ...line('1', 'named'), assignee: { id: 'w', name: 'Wenna Sallow' } };
    const lines = [taken, line('2', 'named'), { ...line('3', 'done'), assignee: { id: 'b', name: 'Bram Alder' } }];
    expect(told(lines, '', 'w')).toEqual(['named: 1']);
    expect(told(lines, '', NOBODY)).toEqual(['named: 2']);
    expect(peopleOf(lines).map((p) => p.name)).toEqual(['Bram Alder', 'Wenna Sallow']);
  });
  it('loses no line whose act it does not know', () => {
    expect(told([line('1', 'something-new')])).toEqual(['finished: 1']);
  });
});
