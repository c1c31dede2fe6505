import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BEAM_BALANCES } from '../instruments/beam-balances.ts';
import { isSeated, nearestNotch, ridersFor, riderSum } from './rider-beam.ts';

describe('riders', () => {
  const [tenth, hundredth] = BEAM_BALANCES as [(typeof BEAM_BALANCES)[number], (typeof BEAM_BALANCES)[number]];

  it('stand largest first, each in the last notch passed, the sliding one making up the rest', () => {
    expect(ridersFor(tenth.beams, 247.36)).toEqual([200, 40, 7.36]);
    expect(ridersFor(hundredth.beams, 247.362)).toEqual([200, 40, 7, 0.362]);
    expect(ridersFor(tenth.beams, 609.9)).toEqual([500, 100, 9.9]);
    expect(ridersFor(hundredth.beams, 0.3)).toEqual([0, 0, 0, 0.3]);
  });

  it.each(BEAM_BALANCES.map((tool) => [tool.id, tool] as const))(
    '%s: hold any load of the range, none beyond its beam, all notched ones in notches',
    (_, { beams, range }) => {
      fc.assert(
        fc.property(fc.double({ min: 0, max: range[1], noNaN: true }), (load) => {
          const riders = ridersFor(beams, load);
          expect(riderSum(riders)).toBeCloseTo(load, 6);
          riders.forEach((position, i) => {
            expect(position).toBeLessThanOrEqual(beams[i]!.scale.to + 1e-6);
            expect(isSeated(beams[i]!, position)).toBe(true);
          });
        }),
      );
    },
  );

  it('between two notches are not seated, and are nearest to one of them', () => {
    const hundreds = tenth.beams[0]!;
    expect([isSeated(hundreds, 200), isSeated(hundreds, 201), isSeated(hundreds, 215)]).toEqual([true, true, false]);
    expect([nearestNotch(hundreds, 215), nearestNotch(hundreds, 265)]).toEqual([200, 300]);
    expect(isSeated(tenth.beams[2]!, 3.456)).toBe(true);
  });
});
