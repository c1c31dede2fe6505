import type { OverTime, PractisedInWeek } from '@green-beam/contract';
import { describe, expect, it } from 'vitest';
import { misleadsMany, shareOf, sinceFirst, slipTrends, timesTaken, whomToVisit } from './figures.ts';

const WEEKS = Array.from({ length: 12 }, (_, i) => `2026-09-${String(i + 1).padStart(2, '0')}`);

function row(personId: string, week: number, readings: number, sound: number, skill = 'burettes'): PractisedInWeek {
  return { personId, skill, week, readings, sound, timeTaken: readings * 20_000, timed: readings };
}

function time(rest: Partial<OverTime>): OverTime {
  const people = [...new Set((rest.practised ?? []).map(({ personId }) => personId))];
  return { weeks: WEEKS, students: people.map((id) => ({ id, label: id })), practised: [], slips: [], ...rest };
}

describe('a part that is right', () => {
  it('is that of the last weeks, where there is enough of it, with the way it goes', () => {
    expect(shareOf([row('a', 4, 10, 9), row('a', 11, 10, 4)], 12)).toEqual({
      readings: 10,
      sound: 4,
      part: 0.4,
      way: 'down',
    });
    expect(shareOf([row('a', 4, 10, 4), row('a', 10, 10, 9)], 12).way).toBe('up');
    expect(shareOf([row('a', 4, 10, 8), row('a', 10, 10, 9)], 12).way).toBe('same');
  });
  it('is that of all weeks where lately there is too little, and then goes no way', () => {
    expect(shareOf([row('a', 4, 10, 9), row('a', 11, 2, 0)], 12)).toEqual({
      readings: 12,
      sound: 9,
      part: 0.75,
      way: null,
    });
    expect(shareOf([row('a', 11, 3, 3)], 12).part).toBeNull();
    expect(shareOf([], 12)).toEqual({ readings: 0, sound: 0, part: null, way: null });
  });
});

describe('whom to visit', () => {
  it('are three at most: whose work gets worse, who is mostly wrong, who no longer practises', () => {
    const visits = whomToVisit(
      time({
        practised: [
          row('falls', 2, 10, 9),
          row('falls', 11, 10, 3),
          row('wrong', 11, 10, 4),
          row('gone', 3, 10, 9),
          row('well', 11, 20, 19),
          row('well', 2, 20, 18),
        ],
      }),
    );
    expect(visits.map(({ label, why }) => `${label} ${why.kind}`)).toEqual(['falls falls', 'wrong wrong', 'gone away']);
  });
  it('are nobody where all goes well, or nothing was practised', () => {
    expect(whomToVisit(time({ practised: [row('a', 11, 20, 19)] }))).toEqual([]);
    expect(whomToVisit(time({ students: [{ id: 'a', label: 'a' }] }))).toEqual([]);
  });
});

describe('slips over weeks', () => {
  const slip = (week: number, made: number, students = 2) => ({
    slip: 'eye-high',
    skill: 'burettes',
    week,
    made,
    students,
  });
  it('are told by how often they were made in a hundred, and which way that goes', () => {
    const practised = WEEKS.map((_, week) => row('a', week, 20, 15));
    const [trend] = slipTrends(time({ practised, slips: WEEKS.map((_, week) => slip(week, week < 6 ? 8 : 2)) }), 5);
    expect(trend).toMatchObject({ slip: 'eye-high', made: 60, way: 'down' });
    expect(trend?.rates[0]).toBe(40);
    expect(trend?.rates[11]).toBe(10);
  });
  it('have no rate in a week with too few items', () => {
    const [trend] = slipTrends(time({ practised: [row('a', 11, 2, 1)], slips: [slip(11, 1)] }), 5);
    expect(trend?.rates.every((rate) => rate === null)).toBe(true);
    expect(trend?.way).toBeNull();
  });
  it('mislead many where at least three made them in one of the last weeks', () => {
    expect(
      misleadsMany(
        time({
          slips: [
            slip(11, 9, 5),
            slip(10, 3, 3),
            { ...slip(11, 2, 2), slip: 'eye-low' },
            { ...slip(2, 9, 9), slip: 'x' },
          ],
        }),
      ),
    ).toEqual([{ slip: 'eye-high', skill: 'burettes', students: 5 }]);
  });
});

it('weeks before anything was practised are left out', () => {
  const { weeks, practised } = sinceFirst(time({ practised: [row('a', 9, 10, 9), row('a', 11, 5, 5)] }));
  expect(weeks).toEqual(WEEKS.slice(9));
  expect(practised.map(({ week }) => week)).toEqual([0, 2]);
  expect(sinceFirst(time({})).weeks).toEqual(WEEKS);
});

it('the time an item takes is told for lately and before, where enough were timed', () => {
  expect(timesTaken(time({ practised: [row('a', 2, 10, 9), { ...row('a', 11, 10, 9), timeTaken: 120_000 }] }))).toEqual(
    [{ skill: 'burettes', late: 12, early: 20 }],
  );
  expect(timesTaken(time({ practised: [row('a', 11, 2, 1)] }))).toEqual([
    { skill: 'burettes', late: null, early: null },
  ]);
});
