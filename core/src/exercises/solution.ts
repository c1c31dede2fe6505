import { isChoice, isWorking, withGiven, type Exercise, type ExerciseTask } from './exercise.ts';
import { rightCount } from './slips/counting.ts';

/** How the right answer is worked out, to be shown when the exercise is closed. */
export type Solution =
  /** A line to be worked out step by step, as on a tape. */
  | { readonly by: 'working'; readonly line: string }
  | { readonly by: 'words'; readonly text: string }
  /** Why each answer is right or is not. */
  | { readonly by: 'options'; readonly whys: readonly string[] }
  | {
      readonly by: 'faults';
      readonly faults: readonly {
        readonly cells: readonly number[];
        readonly fault: string;
        readonly right: string;
        readonly why: string;
      }[];
    };

function counted(number: string): string {
  const [mantissa = '', power] = number.split(' × ');
  const digits = mantissa.replace('.', '').replace(/^0+/, '');
  const counting = mantissa.includes('.') ? digits : digits.replace(/0+$/, '');
  const parts = [
    `Count ${Array.from(counting).join(' ')}: ${rightCount(number)} figures.`,
    mantissa.startsWith('0') ? 'The zeros before them only show where the decimal mark is.' : '',
    counting.length < digits.length ? 'The zeros after them are only placeholders.' : '',
    power === undefined ? '' : 'The power of ten says how large the number is.',
  ];
  return parts.filter((part) => part !== '').join(' ');
}

function roundedHow({ exercise, rules }: ExerciseTask<Extract<Exercise, { kind: 'round-number' }>>): string {
  const asked =
    'figures' in exercise.to
      ? 'Significant figures are counted from the first digit that is not zero.'
      : 'Decimals are counted from the decimal mark.';
  return `${asked} The digits after the last one kept decide, all at once; an exact half goes ${rules.rounding === 'half-even' ? 'to the even neighbour' : 'up, away from zero'}.`;
}

/** How the right answer of an exercise is worked out. */
export function solutionOf({ exercise, rules }: ExerciseTask): Solution {
  if (isWorking(exercise)) return { by: 'working', line: withGiven(exercise.formula, exercise.given) };
  if (exercise.kind === 'count-figures') return { by: 'words', text: counted(exercise.number) };
  if (exercise.kind === 'round-number') return { by: 'words', text: roundedHow({ exercise, rules }) };
  if (isChoice(exercise)) return { by: 'options', whys: exercise.options.map(({ why }) => why) };
  return {
    by: 'faults',
    faults: exercise.faults.map(({ cells, called, right, why }) => ({ cells, fault: called[0] ?? '', right, why })),
  };
}
