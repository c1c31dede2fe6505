import {
  droppedDigit as droppedDigitRead,
  extraDigit as extraDigitRead,
  trailingZeroDropped as zeroDroppedRead,
} from '../../reading/slips/form.ts';
import { isChoice, type ExerciseTask, type Option } from '../exercise.ts';
import { letterOf } from '../letters.ts';
import { sharedWith } from '../../worked-answers/slips/slip.ts';
import type { AnswerSlip } from './slip.ts';

function optionsWith({ exercise }: ExerciseTask, slip: string): { readonly option: Option; readonly letter: string }[] {
  return isChoice(exercise)
    ? exercise.options.flatMap((option, index) => (option.slip === slip ? [{ option, letter: letterOf(index) }] : []))
    : [];
}

/** A slip that shows in what is chosen; why it is wrong stands with the option itself. */
function chosen(
  described: { readonly id: string; readonly name: string; readonly baseRate: number },
  lookAt: string,
): AnswerSlip {
  return {
    ...sharedWith(described),
    stage: 'answer',
    why: (task) => optionsWith(task, described.id)[0]?.option.why ?? described.name,
    lookAt: () => lookAt,
    answers: (task) => optionsWith(task, described.id).map(({ letter }) => letter),
  };
}

const belief = (id: string, name: string, lookAt: string): AnswerSlip => chosen({ id, name, baseRate: 0.15 }, lookAt);

/** Mistaken beliefs, each behind one of the options. */
export const BELIEFS: readonly AnswerSlip[] = [
  belief('heavier-is-denser', 'Heavy confused with dense', 'what stays the same when the piece is broken in two'),
  belief('precise-is-accurate', 'Precise confused with accurate', 'how close the readings are to the true value'),
  belief('accurate-is-precise', 'Accurate confused with precise', 'how close the readings are to each other'),
  belief('more-digits-are-better', 'More digits taken as better', 'what the tool can tell'),
  belief(
    'planned-time-counts',
    'The planned time used, not the real one',
    'the clock at the real start and at the real end',
  ),
  belief('uncertainties-subtracted', 'Uncertainties subtracted', 'how far off the difference can be at worst'),
  belief('repeats-prove-the-value', 'Agreement taken as proof', 'what is the same in all the repeats'),
  belief(
    'accuracy-and-precision-exchanged',
    'Accuracy and precision exchanged',
    'accurate: close to the true value; precise: close to each other',
  ),
  belief(
    'nearest-reading-counts',
    'One lucky reading taken for all',
    'all the readings together: their mean and scatter',
  ),
  belief('random-as-systematic', 'Random error taken as systematic', 'whether it is the same each time'),
  belief('systematic-as-random', 'Systematic error taken as random', 'whether it goes now one way, now the other'),
  belief('offset-averaged-away', 'An offset thought to average away', 'what is the same in each of the readings'),
  belief('zero-cures-scatter', 'A correction thought to cure scatter', 'whether the readings are off to one side'),
  belief('scatter-falls-as-n', 'Twice the readings for half the error', 'the root in s ÷ √n'),
  belief('any-difference-disagrees', 'Any difference taken as disagreement', 'how large the uncertainty is'),
  belief('small-percent-agrees', 'A small percentage taken as agreement', 'the difference beside the uncertainty'),
  belief('same-value-same-claim', 'Zeros taken as meaningless', 'how many digits each number has'),
  belief('measured-as-exact', 'Measured number treated as exact', 'whether it was read from a tool'),
  belief('exact-as-measured', 'Exact number treated as measured', 'whether it was counted or defined'),
];

export const droppedDigit = chosen(droppedDigitRead, 'the digit between the marks');
export const trailingZeroDropped = chosen(zeroDroppedRead, 'the mark itself: exactly on it is a reading too');
export const extraDigit = chosen(extraDigitRead, 'the smallest division');
