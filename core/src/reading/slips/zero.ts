import type { Instrument } from '../../instruments/instrument.ts';
import type { AnySituation, Indication } from '../indication/indication.ts';
import type { CorrectionSlip } from './slip.ts';

/** A tool that may be off by a known amount. */
type Zeroed = Indication<Instrument, AnySituation & { readonly zeroError?: number }>;

/** The zero error that is to be taken off; 0 where there is nothing to correct. */
function zeroToTakeOff({ asked, situation }: Zeroed): number {
  return asked === 'corrected' ? (situation.zeroError ?? 0) : 0;
}

const zeroIgnored: CorrectionSlip<Zeroed> = {
  id: 'zero-ignored',
  stage: 'correction',
  name: 'The correction was left out',
  baseRate: 0.3,
  why: ({ tool }) => `This ${tool.name} is off by a known amount, and the reading was written as it stands.`,
  lookAt: () => 'the note on how far the tool is off, and the way it is off',
  corrected: (indication, reading) => {
    const error = zeroToTakeOff(indication);
    return error === 0 ? [] : [{ value: reading - indication.subtracted + error, part: 1 }];
  },
};

const zeroSign: CorrectionSlip<Zeroed> = {
  id: 'zero-sign',
  stage: 'correction',
  name: 'Corrected the wrong way',
  baseRate: 0.2,
  why: (indication) =>
    `The tool reads too ${zeroToTakeOff(indication) > 0 ? 'much' : 'little'}: its error is taken off with its sign, and you added it.`,
  lookAt: () => 'whether the tool reads too much or too little',
  corrected: (indication, reading) => {
    const error = zeroToTakeOff(indication);
    return error === 0 ? [] : [{ value: reading - indication.subtracted + 2 * error, part: 1 }];
  },
};

/** What is made of a known error, on every tool that can have one. */
export const ZERO_SLIPS: readonly CorrectionSlip<Zeroed>[] = [zeroIgnored, zeroSign];

/** A negative error taken for a positive one. @param far what lies between a scale’s end and its zero, in the instrument's unit. */
export function zeroNegativeMisread(far: number): CorrectionSlip<Zeroed> {
  return {
    id: 'zero-negative-misread',
    stage: 'correction',
    name: 'A negative zero error read as a positive one',
    baseRate: 0.2,
    why: () =>
      'With the jaws closed the zero stands short of the main zero: the error is counted back from the far end, and is negative.',
    lookAt: () => 'on which side of the main zero the zero stands when the jaws are closed',
    corrected: (indication, reading) => {
      const error = zeroToTakeOff(indication);
      return error < 0 ? [{ value: reading - (error + far), part: 1 }] : [];
    },
  };
}
