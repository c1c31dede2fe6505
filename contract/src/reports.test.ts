import { describe, expect, it } from 'vitest';
import { ID } from '../test/entry.ts';
import { refused } from '../test/refused.ts';
import { handingIn, markingChange, returning, rubricChange, USUAL_RUBRIC } from './reports.ts';

const comment = { id: ID, at: null, text: 'Read at eye level.' };
const marking = { number: 1, points: { digits: 3 }, comments: [comment], isDone: false };

describe('what reports are marked by', () => {
  it('is the usual, for who has decided nothing', () => {
    expect(refused(rubricChange, USUAL_RUBRIC)).toEqual([]);
    expect(USUAL_RUBRIC.criteria.filter(({ sees }) => sees === null).map(({ id }) => id)).toEqual([
      'judgement',
      'conclusion',
    ]);
  });

  const named = (id: string, name = id): object => ({ id, name });
  it.each([
    ['no scale', { scale: undefined }, ['scale']],
    ['another scale', { scale: 'stars' }, ['scale']],
    ['no criterion', { criteria: [] }, ['criteria']],
    ['thirteen', { criteria: Array.from({ length: 13 }, (_, i) => named(`c${i}`)) }, ['criteria']],
    ['two of one id', { criteria: [named('digits'), named('digits')] }, ['criteria']],
    ['one without a name', { criteria: [named('digits', ' ')] }, ['criteria[0].name']],
    ['an id with a space', { criteria: [named('my digits')] }, ['criteria[0].id']],
    ['what the program cannot see', { criteria: [{ ...named('style'), sees: 'style' }] }, ['criteria[0].sees']],
  ])('refuses %s', (_, change, paths) => {
    expect(refused(rubricChange, { ...USUAL_RUBRIC, ...change })).toEqual(paths);
  });
});

describe('a marking', () => {
  it('takes points, and comments about the whole, a cell or a paragraph', () => {
    const about = [
      comment,
      { ...comment, at: { kind: 'cell', quantity: 'mass', members: { trial: '2' } } },
      { ...comment, at: { kind: 'report', section: 'conclusion' }, quote: 'We found that' },
    ];
    expect(refused(markingChange, { ...marking, comments: about })).toEqual([]);
  });

  it.each([
    ['half a point', { points: { digits: 2.5 } }, ['points']],
    ['five points', { points: { digits: 5 } }, ['points']],
    ['fewer than none', { points: { digits: -1 } }, ['points']],
    ['points in words', { points: { digits: '3' } }, ['points']],
    ['points in a list', { points: [3] }, ['points']],
    [
      'more criteria than there can be',
      { points: Object.fromEntries(Array.from({ length: 13 }, (_, i) => [`c${i}`, 1])) },
      ['points'],
    ],
    ['an empty comment', { comments: [{ ...comment, text: ' ' }] }, ['comments[0].text']],
    ['a comment without an end', { comments: [{ ...comment, text: 'x'.repeat(2001) }] }, ['comments[0].text']],
    ['a quotation too long', { comments: [{ ...comment, quote: 'x'.repeat(121) }] }, ['comments[0].quote']],
    ['a place that is none', { comments: [{ ...comment, at: { kind: 'margin' } }] }, ['comments[0].at.kind']],
    ['the report before the first', { number: 0 }, ['number']],
    ['nothing about being done', { isDone: undefined }, ['isDone']],
  ])('refuses %s', (_, change, paths) => {
    expect(refused(markingChange, { ...marking, ...change })).toEqual(paths);
  });
});

describe('returning reports', () => {
  const one = { runId: ID, author: ID, number: 1 };

  it('now, or at a set time', () => {
    expect(returning.validateSync({ reports: [one], mayImprove: true })).toMatchObject({ at: null });
    expect(refused(returning, { reports: [one], mayImprove: false, at: '2026-12-04T15:00:00.000Z' })).toEqual([]);
  });

  it.each([
    ['none', { reports: [] }, ['reports']],
    ['at some time', { at: 'Friday' }, ['at']],
    ['without saying whether they may be improved', { mayImprove: undefined }, ['mayImprove']],
    ['of nobody', { reports: [{ ...one, author: '' }] }, ['reports[0].author']],
  ])('not %s', (_, change, paths) => {
    expect(refused(returning, { reports: [one], mayImprove: true, ...change })).toEqual(paths);
  });

  it('a report is handed in by who writes, or by who is named', () => {
    expect(handingIn.validateSync({})).toEqual({ personId: null });
    expect(refused(handingIn, { personId: 'me' })).toEqual(['personId']);
  });
});
