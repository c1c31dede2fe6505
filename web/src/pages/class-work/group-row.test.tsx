import type { GroupAtWork } from '@green-beam/contract';
import { MemoryRouter } from 'react-router';
import { describe, expect, it } from 'vitest';
import { rendered } from '../../../test/rendered.ts';
import { GroupRow } from './group-row.tsx';

const GROUP: GroupAtWork = {
  runId: 'r',
  specimen: 'Bronze deck nail',
  members: [
    { id: 'a', label: 'Ada M.', calculated: { done: 2, of: 6 }, handedInAt: null },
    { id: 'b', label: 'Ben R.', calculated: { done: 6, of: 6 }, handedInAt: '2026-03-20T10:00:00.000Z' },
  ],
  given: null,
  readings: { done: 4, of: 9 },
  lastAt: '2026-03-20T10:00:00.000Z',
  handedInAt: null,
  alike: [],
  tooEven: [],
};
const NOW = Date.parse('2026-03-20T10:01:00.000Z');

const row = (more: Partial<GroupAtWork> = {}): ReturnType<typeof rendered> =>
  rendered(
    <MemoryRouter>
      <table>
        <tbody>
          <GroupRow number={3} group={{ ...GROUP, ...more }} now={NOW} />
        </tbody>
      </table>
    </MemoryRouter>,
  );

describe('a group at work', () => {
  it('says who is in it, how far each has got, and who has handed in', () => {
    const { heard, seen } = row();
    expect(heard).toContain('Ada M. has calculated 2/6');
    expect(seen).toContain('Ben R. 6/6');
    expect(seen).toContain('handed in');
    expect(seen).toContain('4');
  });

  it('tells of equal readings in neutral words', () => {
    expect(row({ alike: [5] }).seen).toContain(
      'All estimated readings are the same as those of group 5. Ask how they were taken.',
    );
    expect(row({ alike: [1, 5] }).seen).toContain('groups 1 and 5');
    expect(row({ alike: [5] }).seen).not.toMatch(/copied|cheat/i);
  });

  it('tells of repeats that are too even, with both spreads', () => {
    const tooEven = [{ quantity: 'mass', name: 'Dry mass', unit: 'g', own: 0, others: 0.0123 }];
    expect(row({ tooEven }).seen).toContain(
      'Dry mass: the repeats scatter by 0 g, those of the other groups by 0.012 g.',
    );
  });
});
