import type { Instrument } from '../../instruments/instrument.ts';
import { withoutDust, type AnySituation, type Indication } from '../indication/indication.ts';
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
  why: ({ tool }) => `This ${tool.name} is off by a known amount. You wrote the reading without correcting it.`,
  lookAt: () => 'the note that says how far the tool is off, and which way',
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
    `The tool reads too ${zeroToTakeOff(indication) > 0 ? 'much' : 'little'}: subtract its error, with its sign. You added it.`,
  lookAt: () => 'whether the tool reads too much or too little',
  corrected: (indication, reading) => {
    const error = zeroToTakeOff(indication);
    return error === 0 ? [] : [{ value: reading - indication.subtracted + 2 * error, part: 1 }];
  },
};

const correctedUnasked: CorrectionSlip<Zeroed> = {
  id: 'corrected-unasked',
  stage: 'correction',
  name: 'Corrected without being asked',
  baseRate: 0.3,
  why: () => 'You corrected the reading. The question asks only what the tool shows.',
  lookAt: () => 'the question: does it ask what the tool shows, or about the thing itself?',
  corrected: ({ asked, situation: { zeroError = 0 } }, reading) =>
    asked === 'observed' && zeroError !== 0 ? [{ value: reading - zeroError, part: 1 }] : [],
};

/** What is made of a known error, on every tool that can have one. */
export const ZERO_SLIPS: readonly CorrectionSlip<Zeroed>[] = [zeroIgnored, zeroSign, correctedUnasked];

/** A negative error taken for a positive one. @param far what lies between a scale’s end and its zero, in the instrument's unit. */
export function zeroNegativeMisread(far: number): CorrectionSlip<Zeroed> {
  return {
    id: 'zero-negative-misread',
    stage: 'correction',
    name: 'Negative zero error read as positive',
    baseRate: 0.2,
    why: () =>
      'With the jaws closed, the vernier’s zero lies before the main zero. The error is negative: count its size back from the far end.',
    lookAt: () => 'on which side of the main zero the zero stands when the jaws are closed',
    corrected: (indication, reading) => {
      const error = zeroToTakeOff(indication);
      return error < 0 ? [{ value: reading - (error + far), part: 1 }] : [];
    },
  };
}

/** A negative error whose last part was counted on from zero: −0.2 as −0.8 where a scale begins again after 1, −0.007 as −0.003 after 0.01. */
function countedForwards(error: number, span: number): number | null {
  const back = withoutDust(-error);
  const begun = Math.floor(back / span + 1e-9);
  const rest = back - begun * span;
  return error >= 0 || rest < 1e-9 ? null : -(begun * span + span - rest);
}

/** A negative error counted in the direction of a positive one. @param spans after which a scale of the tool begins again, in the instrument's unit. */
export function zeroNegativeForwards(spans: readonly number[]): CorrectionSlip<Zeroed> {
  return {
    id: 'zero-negative-forwards',
    stage: 'correction',
    name: 'Negative zero error counted forwards',
    baseRate: 0.15,
    why: () =>
      'The vernier’s zero lies before the main zero, so the error is negative. Count its size back from the far end; you counted it from the zero.',
    lookAt: () => 'how far the zero lies before the main zero: count the lines from the far end',
    corrected: (indication, reading) => {
      const error = zeroToTakeOff(indication);
      const taken = spans.flatMap((span) => countedForwards(error, span) ?? []);
      return taken.map((one) => ({ value: reading - one, part: 1 / taken.length }));
    },
  };
}
