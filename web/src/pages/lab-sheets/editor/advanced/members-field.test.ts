import { describe, expect, it } from 'vitest';
import { idFrom, renamed } from './members-field.tsx';

const BEFORE = [
  { id: 'coarse', name: 'coarse rulers' },
  { id: 'fine', name: 'fine tools', tool: 'caliper-fiftieth' },
];

describe('members of a dimension', () => {
  it('keep their ids where they are renamed, moved or followed by others', () => {
    expect(renamed(BEFORE, ['coarse rulers', 'finer tools'])).toEqual([
      BEFORE[0],
      { ...BEFORE[1], name: 'finer tools' },
    ]);
    expect(renamed(BEFORE, ['fine tools', 'coarse rulers'])).toEqual([BEFORE[1], BEFORE[0]]);
    expect(renamed(BEFORE, ['coarse rulers', 'fine tools', 'by eye'])).toEqual([
      ...BEFORE,
      { id: 'byEye', name: 'by eye' },
    ]);
    expect(renamed(BEFORE, ['fine tools'])).toEqual([BEFORE[1]]);
  });

  it('never have the same id twice', () => {
    const ids = renamed([], ['ice', 'ice', 'Ice!', '']).map(({ id }) => id);
    expect(new Set(ids).size).toBe(4);
    for (const id of ids) expect(id).toMatch(/^[A-Za-z][A-Za-z0-9_]{0,39}$/);
  });

  it.each([
    ['half-centimetre rule', 'halfCentimetreRule'],
    ['Größe', 'groe'],
    ['2nd', 'm2nd'],
    ['水', 'm'],
    ['a'.repeat(90), 'a'.repeat(30)],
  ])('%s is called %s in formulas', (name, id) => expect(idFrom(name, [])).toBe(id));
});
