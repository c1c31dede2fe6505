import { describe, expect, it } from 'vitest';
import { stuckOn } from '../src/classes/lately.ts';

describe('who is stuck on a slip', () => {
  it.each([
    ['nothing was entered', [], null],
    ['the last entry was right', [[], ['rounded-up'], ['rounded-up'], ['rounded-up']], null],
    ['the slip came only twice in a row', [['rounded-up'], ['rounded-up'], [], ['rounded-up']], null],
    [
      'it came three times in a row',
      [['rounded-up'], ['rounded-up'], ['rounded-up'], []],
      { slip: 'rounded-up', times: 3 },
    ],
    [
      'two slips go together, and one of them goes on longer',
      [['unit-missing', 'rounded-up'], ['rounded-up', 'unit-missing'], ['unit-missing'], ['unit-missing']],
      { slip: 'unit-missing', times: 4 },
    ],
  ])('when %s', (_when, entries, stuck) => {
    expect(stuckOn(entries)).toEqual(stuck);
  });
});
