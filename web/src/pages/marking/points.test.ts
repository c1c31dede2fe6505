import { NOT_MARKED, USUAL_RUBRIC, type ReportInQueue } from '@green-beam/contract';
import type { Proposal } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { needsInWords, nextToMark, pointsOf, toReturn, waitingInWords, withProposed } from './points.ts';

const proposed = (points: number, isComplete: boolean): Proposal => ({
  of: {
    readings: { points, because: 'so' },
    digits: { points, because: 'so' },
    calculation: { points, because: 'so' },
  },
  unwritten: 0,
  isComplete,
});

const report = (author: string, more: Partial<ReportInQueue> = {}): ReportInQueue => ({
  runId: 'run',
  author,
  number: 1,
  label: author,
  partners: [],
  protocolId: 'solid-by-displacement',
  title: 'Density by displacement',
  specimen: 'Bronze deck nail',
  handedInAt: '2026-11-30T09:00:00.000Z',
  isLate: false,
  proposal: proposed(4, true),
  marking: NOT_MARKED,
  returnedAt: null,
  isInForce: true,
  ...more,
});

const done = { ...NOT_MARKED, isDone: true };
const [readings, , , judgement] = USUAL_RUBRIC.criteria;

describe('points', () => {
  it('are the teacher’s, else the proposed ones, else none', () => {
    const marking = { ...NOT_MARKED, points: { readings: 0 } };
    expect(pointsOf(readings!, marking, proposed(3, false))).toEqual({ points: 0, isProposed: false });
    expect(pointsOf(readings!, NOT_MARKED, proposed(3, false))).toEqual({ points: 3, isProposed: true });
    expect(pointsOf(readings!, NOT_MARKED, null)).toEqual({ points: null, isProposed: false });
    expect(pointsOf(judgement!, NOT_MARKED, proposed(3, false))).toEqual({ points: null, isProposed: false });
  });

  it('are kept with those that were proposed and not changed', () =>
    expect(
      withProposed(USUAL_RUBRIC, { ...NOT_MARKED, points: { digits: 1, conclusion: 2 } }, proposed(4, true)),
    ).toEqual({
      readings: 4,
      digits: 1,
      calculation: 4,
      conclusion: 2,
    }));
});

describe('what is waiting', () => {
  const reports = [
    report('a'),
    report('b', { proposal: proposed(2, false) }),
    report('c', { marking: done }),
    report('d', { marking: done, returnedAt: '2026-12-01T09:00:00.000Z' }),
    report('e', { proposal: null }),
  ];

  it('is said in one sentence', () => {
    expect(waitingInWords(reports)).toBe('3 waiting: 1 looks complete, 2 need you.');
    expect(waitingInWords([report('a'), report('b')])).toBe('2 waiting: 2 look complete, 0 need you.');
    expect(waitingInWords([report('c', { marking: done })])).toBe('Nothing is waiting.');
  });

  it('comes one after the other, from the beginning again after the last', () => {
    const after = (author: string): string | undefined => nextToMark(reports, { runId: 'run', author })?.author;
    expect(['a', 'b', 'c', 'd', 'e'].map(after)).toEqual(['b', 'e', 'e', 'e', 'a']);
    expect(nextToMark([report('a')], { runId: 'run', author: 'a' })).toBeNull();
    expect(nextToMark([], { runId: 'run', author: 'a' })).toBeNull();
  });

  it('says why a report needs a closer look', () => {
    const slip: Proposal = {
      ...proposed(4, false),
      of: { ...proposed(4, false).of, calculation: { points: 3, because: 'one slip, counted once' } },
    };
    expect(needsInWords(slip)).toBe('calculation: one slip, counted once');
    expect(needsInWords({ ...slip, unwritten: 2 })).toBe('calculation: one slip, counted once; 2 texts missing');
    expect(needsInWords({ ...proposed(4, false), unwritten: 1 })).toBe('one text missing');
    expect(needsInWords(proposed(4, true))).toBe('');
  });

  it('is returned when it is marked, once', () => expect(toReturn(reports).map(({ author }) => author)).toEqual(['c']));
});
