import { protocol, workOut, type Address, type RunEvent } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { wherePartnersAre } from './where-partners-are.ts';

const LAB = protocol('solid-by-displacement');

const entry = (person: string, order: number | null, address: Address): RunEvent => ({
  id: `${person} ${order ?? 'on its way'}`,
  address,
  text: '54.31',
  replaces: null,
  reason: null,
  person,
  deviceTime: '2026-11-30T09:00:00.000Z',
  order,
});
const cell = (quantity: string, trial: string): Address => ({ kind: 'cell', quantity, members: { trial } });
const people = { ada: { label: 'Ada M.', initials: 'AM' }, bo: { label: 'Bo L.', initials: 'BL' } };

describe('where partners are', () => {
  const events = [
    entry('ada', 1, cell('mass', '1')),
    entry('bo', 2, cell('before', '1')),
    entry('bo', 4, cell('after', '2')),
    entry('ada', 3, { kind: 'answer', question: 'tool' }),
    entry('teacher', 5, cell('mass', '3')),
  ];
  const run = workOut(LAB, { events });

  it('is where each of them has written last, the latest first', () =>
    expect(wherePartnersAre({ events, people, group: ['ada', 'bo', 'cy'] }, run, 'cy')).toEqual([
      { person: 'bo', name: 'Bo L.', place: 'Water after, trial 2' },
      { person: 'ada', name: 'Ada M.', place: 'Which tool limits your result, and how do the bars show it?' },
    ]));

  it('is of nobody who has not joined or not written, and not of the writer', () => {
    expect(wherePartnersAre({ events, people, group: ['ada', 'bo'] }, run, 'bo').map(({ person }) => person)).toEqual([
      'ada',
    ]);
    expect(wherePartnersAre({ events: [], people, group: ['ada', 'bo'] }, run, 'bo')).toEqual([]);
  });
});
