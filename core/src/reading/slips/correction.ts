import { PITCH } from '../../instruments/micrometers.ts';
import { askedFor, takenOff } from '../correction.ts';
import { instrumentOf, type ReadingTask } from '../reading-task.ts';
import { scaleReadingOf, type ScaleReading } from '../scale-reading.ts';
import type { CorrectionSlip } from './slip.ts';

const delivers = (reading: ScaleReading | null): boolean =>
  reading?.tool.body.kind === 'tube' && reading.tool.body.made === 'to-deliver';

/** The zero error that is to be taken off; 0 where there is nothing to correct. */
function zeroToTakeOff(task: ReadingTask): number {
  return askedFor(task) === 'corrected' ? (task.situation.zeroError ?? 0) : 0;
}

export const zeroIgnored: CorrectionSlip = {
  id: 'zero-ignored',
  stage: 'correction',
  name: 'The correction was left out',
  baseRate: 0.3,
  why: (task) => `This ${instrumentOf(task).name} is off by a known amount, and the reading was written as it stands.`,
  lookAt: () => 'the note on how far the tool is off, and the way it is off',
  corrected: (task, reading) => {
    const error = zeroToTakeOff(task);
    return error === 0 ? [] : [{ value: reading - takenOff(task) + error, part: 1 }];
  },
};

export const zeroSign: CorrectionSlip = {
  id: 'zero-sign',
  stage: 'correction',
  name: 'Corrected the wrong way',
  baseRate: 0.2,
  why: (task) =>
    `The tool reads too ${zeroToTakeOff(task) > 0 ? 'much' : 'little'}: its error is taken off with its sign, and you added it.`,
  lookAt: () => 'whether the tool reads too much or too little',
  corrected: (task, reading) => {
    const error = zeroToTakeOff(task);
    return error === 0 ? [] : [{ value: reading - takenOff(task) + 2 * error, part: 1 }];
  },
};

export const zeroNegativeMisread: CorrectionSlip = {
  id: 'zero-negative-misread',
  stage: 'correction',
  name: 'A negative zero error read as a positive one',
  baseRate: 0.2,
  why: () =>
    'With the jaws closed the zero stands short of the main zero: the error is counted back from the far end, and is negative.',
  lookAt: () => 'on which side of the main zero the zero stands when the jaws are closed',
  corrected: (task, reading) => {
    const error = zeroToTakeOff(task);
    const { reads } = instrumentOf(task);
    if (error >= 0 || (reads !== 'vernier' && reads !== 'thimble')) return [];
    return [{ value: reading - (error + (reads === 'vernier' ? 1 : PITCH)), part: 1 }];
  },
};

export const whatIsLeft: CorrectionSlip = {
  id: 'what-is-left',
  stage: 'correction',
  name: 'What is left in the tool',
  baseRate: 0.06,
  why: () => 'You wrote how much is still above the tap. The scale counts what has run out, from the zero at the top.',
  lookAt: () => 'where the zero of this scale stands',
  corrected: (task, reading) => {
    const scale = scaleReadingOf(task);
    return scale && delivers(scale) ? [{ value: scale.tool.scale.to - reading, part: 1 }] : [];
  },
};

export const finalAsDelivered: CorrectionSlip = {
  id: 'final-as-delivered',
  stage: 'correction',
  name: 'The final reading taken for the volume',
  baseRate: 0.15,
  why: () => 'What was delivered is the final reading less the initial one; you wrote the final one alone.',
  lookAt: () => 'both readings: where the surface began, and where it ended',
  corrected: (task, reading) =>
    askedFor(task) === 'delivered' && delivers(scaleReadingOf(task)) && task.situation.from
      ? [{ value: reading, part: 1 }]
      : [],
};

export const endNotZero: CorrectionSlip = {
  id: 'end-not-zero',
  stage: 'correction',
  name: 'Not measured from the zero mark',
  baseRate: 0.2,
  why: (task) =>
    (task.situation.from ?? 0) > 0
      ? 'The thing does not begin at the zero mark. Its length is the difference of the marks at its two ends.'
      : 'The scale begins at its zero mark, not where the wood ends.',
  lookAt: () => 'where the thing begins, and where the zero mark stands',
  corrected: (task, reading) => {
    const scale = scaleReadingOf(task);
    if (scale?.tool.body.kind !== 'rule') return [];
    const { from = 0, endOffset = 0 } = task.situation;
    if (from !== 0) return [{ value: reading, part: 1 }];
    const bare = endOffset / scale.tool.body.perUnit;
    return bare === 0
      ? []
      : [
          { value: reading - bare, part: 0.5 },
          { value: reading + bare, part: 0.5 },
        ];
  },
};
