import { lessonOf, protocol } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { conflictInWords, fitsInWords, narrowInWords, toolsInWords, waitsInWords } from './in-words.ts';
import { clockAt, lessonIn, newDraft, withCount, withStations, withStep, withWatts } from './lesson-draft.ts';

const BALANCES = ['B-01', 'B-02'].map((code) => ({ code, instrumentId: 'digital-balance-hundredth' }));
const draft = newDraft(
  { title: 'Monday', begins: '9:50', minutes: 55, groups: 8, protocols: [protocol('thermometer-check')] },
  BALANCES,
);

describe('a plan in words', () => {
  it.each([
    [50, 55, 6, '50 of 55 minutes, 6 groups', false],
    [55, 55, 1, '55 of 55 minutes, 1 group', false],
    [61, 55, 6, '61 minutes: 6 too many', true],
  ])('%d of %d for %d groups', (needed, minutes, groups, title, isTooLong) => {
    expect(fitsInWords(needed, minutes, groups)).toEqual({ title, isTooLong });
  });

  it.each([
    [[0, 0], 'Nobody waits.'],
    [[9, 9], 'Each group waits 9 minutes.'],
    [[0, 1, 2, 3], 'Each group waits about 2 minutes, at most 3.'],
    [[0, 0, 0, 1], 'No group waits more than 1 minute.'],
  ])('%j', (waits, words) => {
    expect(waitsInWords(waits)).toBe(words);
  });

  it('names what is narrow, and each tool by its code', () => {
    const tool = { kind: 'balances', one: 'balance', many: 'balances', count: 2, codes: ['B-01', 'B-02'] };
    expect(narrowInWords({ tool, count: 2, minutes: 18, each: 6 })).toBe('2 balances, 18 minutes each');
    expect(narrowInWords({ tool, count: 1, minutes: 18, each: 6 })).toBe('1 balance, 18 minutes');
    const lesson = lessonOf([protocol('solid-by-displacement')], BALANCES, 8);
    expect(toolsInWords(lesson, { balances: 1 })).toEqual(['B-02']);
    expect(toolsInWords({ ...lesson, groups: 2 }, { balances: 1 })).toEqual([]);
  });

  it('says what cannot be so, and until when', () => {
    const at = (group: number, step: string, start: number, end: number) => ({
      group,
      step: `thermometer-check/${step}`,
      start,
      end,
      tools: {},
    });
    const plan = [at(0, 'ice', 3, 9), at(0, 'heat', 3, 13), at(0, 'boiling', 15, 21), at(1, 'ice', 5, 11)];
    const told = (
      kind: Parameters<typeof conflictInWords>[0]['kind'],
      step: string,
      against: string,
      group = 0,
    ): string =>
      conflictInWords(
        { kind, group: 0, step: `thermometer-check/${step}`, against: { group, step: `thermometer-check/${against}` } },
        lessonIn(draft),
        plan,
        '10:00',
      );
    expect(told('too-late', 'boiling', 'heat')).toBe(
      'Group 1, Boiling point: it has to begin when “Heat the water” ends, at 10:13.',
    );
    expect(told('hands', 'room', 'ice')).toBe('Group 1, Room: they are still at “Ice point” until 10:09.');
    expect(told('tool', 'ice', 'ice', 1)).toBe(
      'Group 1, Ice point: Group 2 is at the same tool for “Ice point” until 10:11.',
    );
  });

  it.each([
    ['10:00', 23, '10:23'],
    ['9:50', 15, '10:05'],
    ['10:00', -20, '9:40'],
    ['0:10', -20, '23:50'],
    ['23:50', 15, '0:05'],
  ])('%s and %d minutes is %s', (begins, minutes, clock) => {
    expect(clockAt(begins, minutes)).toBe(clock);
  });
});

describe('a plan that is changed', () => {
  const heat = (of: typeof draft) => of.steps.find(({ id }) => id === 'thermometer-check/heat')!;

  it('heats as long as its water and its plates need, and is planned anew', () => {
    expect(heat(draft).minutes).toBe(10);
    const less = withStep(
      { ...draft, placed: [{ group: 0, step: 'set-up', start: 0, end: 3, tools: {} }] },
      heat(draft).id,
      {
        water: { millilitres: 100, from: 20, to: 100 },
      },
    );
    expect(heat(less).minutes).toBe(4);
    expect(less.placed).toEqual([]);
    expect(heat(withWatts(draft, 280)).minutes).toBe(5);
    expect(heat(withStep(draft, heat(draft).id, { minutes: 12 })).minutes).toBe(12);
  });

  it('keeps what was said of tools and steps when a laboratory is added', () => {
    const changed = withStep(withCount(draft, 'hot plate', 3), 'thermometer-check/ice', { minutes: 9 });
    const more = withStations(changed, [protocol('thermometer-check'), protocol('solid-by-displacement')], BALANCES);
    expect(more.stations).toEqual(['thermometer-check', 'solid-by-displacement']);
    expect(more.tools.find(({ kind }) => kind === 'hot plate')!.count).toBe(3);
    expect(more.tools.find(({ kind }) => kind === 'balances')!.count).toBe(2);
    expect(more.steps.find(({ id }) => id === 'thermometer-check/ice')!.minutes).toBe(9);
  });
});
