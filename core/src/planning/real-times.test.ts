import { describe, expect, it } from 'vitest';
import { protocol } from '../laboratories/protocols.ts';
import type { Address } from '../laboratories/run/address.ts';
import { realSteps } from './real-times.ts';

const cell = (quantity: string, members: Record<string, string>): Address => ({ kind: 'cell', quantity, members });
const MINUTE = 60_000;

describe('when a group has done its steps', () => {
  it('is from the first to the last entry of each, in the order of the laboratory', () => {
    const lab = protocol('solid-by-displacement');
    expect(
      realSteps(lab, [
        { address: cell('after', { trial: '1' }), at: 9 * MINUTE },
        { address: cell('mass', { trial: '2' }), at: 6 * MINUTE },
        { address: cell('mass', { trial: '1' }), at: 4 * MINUTE },
        { address: { kind: 'accepted' }, at: 30 * MINUTE },
        { address: cell('nothing', {}), at: 31 * MINUTE },
      ]),
    ).toEqual([
      { step: 'mass', from: 4 * MINUTE, to: 6 * MINUTE },
      { step: 'after', from: 9 * MINUTE, to: 9 * MINUTE },
    ]);
    expect(realSteps(lab, [])).toEqual([]);
  });

  it('tells steps apart that are the same reading of different things', () => {
    const written = ['ice', 'boiling', 'room'].map((bath, i) => ({
      address: cell('reading', { bath, trial: '1' }),
      at: i * MINUTE,
    }));
    expect(realSteps(protocol('thermometer-check'), written).map(({ step, from }) => [step, from / MINUTE])).toEqual([
      ['ice', 0],
      ['boiling', 1],
      ['room', 2],
    ]);
  });
});
