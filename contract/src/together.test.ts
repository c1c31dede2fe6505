import { describe, expect, it } from 'vitest';
import { ID } from '../test/entry.ts';
import { refused } from '../test/refused.ts';
import { newTogether, togetherAnswer, togetherTruth } from './together.ts';

describe('what a class is to read together', () => {
  it('takes a picture, a tool at the front, the same again and another tool, and fills in what was not said', () => {
    expect(newTogether.validateSync({ id: ID, kind: 'picture', instrumentId: 'burette-50' })).toEqual({
      id: ID,
      kind: 'picture',
      instrumentId: 'burette-50',
      value: null,
      title: '',
      unit: null,
      over: null,
    });
    for (const body of [
      { kind: 'front', title: ' the burette by the window ', unit: 'mL' },
      { kind: 'again', over: ID },
      { kind: 'other-tool', over: ID, instrumentId: 'caliper-twentieth' },
      { kind: 'picture', instrumentId: 'burette-50', value: 27.54 },
    ])
      expect(refused(newTogether, { id: ID, ...body })).toEqual([]);
    expect(newTogether.validateSync({ id: ID, kind: 'front', title: ' window ', unit: 'g' }).title).toBe('window');
  });
  it.each([
    [{ kind: 'guess' }, 'kind'],
    [{}, 'kind'],
    [{ kind: 'picture', id: 'mine' }, 'id'],
    [{ kind: 'picture', value: 'half' }, 'value'],
    [{ kind: 'front', unit: 'furlong' }, 'unit'],
    [{ kind: 'front', title: 'x'.repeat(61) }, 'title'],
    [{ kind: 'again', over: 'the last' }, 'over'],
    [{ kind: 'picture', instrumentId: 'x'.repeat(61) }, 'instrumentId'],
  ])('refuses %j by its field', (body, field) => {
    expect(refused(newTogether, { id: ID, ...body })).toEqual([field]);
  });
});

describe('a reading', () => {
  const answer = { personId: ID, entry: '27.5 mL', eyeHeight: 12 };
  it('has somebody who read it, what they wrote, and where their eye was', () => {
    expect(refused(togetherAnswer, answer)).toEqual([]);
    expect(refused(togetherAnswer, {})).toEqual(['personId', 'entry', 'eyeHeight']);
  });
  it.each([
    [{ eyeHeight: 151 }, 'eyeHeight'],
    [{ eyeHeight: 'high' }, 'eyeHeight'],
    [{ entry: '1'.repeat(81) }, 'entry'],
    [{ personId: '1' }, 'personId'],
  ])('with %j is refused', (change, field) => {
    expect(refused(togetherAnswer, { ...answer, ...change })).toEqual([field]);
  });
});

describe('what a tool at the front shows', () => {
  it('may be said with its type or without', () => {
    expect(togetherTruth.validateSync({ value: 2.4 })).toEqual({ value: 2.4, instrumentId: null });
    expect(refused(togetherTruth, { value: 27.54, instrumentId: 'burette-50' })).toEqual([]);
    expect(refused(togetherTruth, { value: 'a lot' })).toEqual(['value']);
  });
});
