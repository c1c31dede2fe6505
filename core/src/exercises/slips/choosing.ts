import {
  droppedDigit as droppedDigitRead,
  extraDigit as extraDigitRead,
  trailingZeroDropped as zeroDroppedRead,
} from '../../reading/slips/form.ts';
import { isChoice, type ExerciseTask, type Option } from '../exercise.ts';
import { letterOf } from '../letters.ts';
import { sharedWith, type AnswerSlip } from './slip.ts';

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
  belief('heavier-is-denser', 'Heavy taken for dense', 'what stays the same when the piece is broken in two'),
  belief(
    'precise-is-accurate',
    'Precise taken for accurate',
    'where the readings lie, beside how close they lie together',
  ),
  belief(
    'accurate-is-precise',
    'Accurate taken for precise',
    'how close the readings lie together, beside where they lie',
  ),
  belief('more-digits-are-better', 'More digits taken for better ones', 'what the tool can tell'),
  belief(
    'planned-time-counts',
    'The planned time taken for the true one',
    'the clock at the true start and at the true end',
  ),
  belief('uncertainties-subtracted', 'Uncertainties subtracted', 'how far off the difference could be at worst'),
  belief('repeats-prove-the-value', 'Agreement taken for a proof', 'what all the repeats have in common'),
  belief('same-value-same-claim', 'Digits taken for nothing', 'how many digits each of the numbers claims'),
  belief('measured-as-exact', 'A measured number taken for an exact one', 'whether somebody read it from a tool'),
  belief('exact-as-measured', 'An exact number taken for a measured one', 'whether it was counted or agreed on'),
];

export const droppedDigit = chosen(droppedDigitRead, 'the digit between the marks');
export const trailingZeroDropped = chosen(zeroDroppedRead, 'the mark itself: exactly on it is a reading too');
export const extraDigit = chosen(extraDigitRead, 'the smallest division');
