import type { Exercise, ExerciseKind } from './exercise.ts';

/** What to look at, in the order of the work; none of it names a number of the exercise. */
const HINTS: Readonly<Record<ExerciseKind, readonly string[]>> = {
  'count-figures': [
    'Start at the first digit that is not zero.',
    'From there on every digit counts. Zeros at the end count if there is a decimal mark.',
    'A power of ten only says how large the number is. Its digits do not count.',
  ],
  'write-reading': [
    'The marks give the certain digits.',
    'Estimate one more digit between them. Exactly on a mark it is zero, and you write it.',
  ],
  'round-number': [
    'Find the last digit that stays.',
    'Look at all the digits after it. They decide together.',
    'If the last digit asked for is a zero, write it.',
  ],
  'add-subtract': [
    'Write the terms under each other, with the decimal marks in line.',
    'The result ends at the same place as the term with the fewest decimals.',
    'Round once, at the end. Write a zero in the last place.',
  ],
  'multiply-divide': [
    'Which of the numbers were measured, and which are exact?',
    'Count the significant figures of each measured one.',
    'The result has as many as the number with the fewest. Calculate with the units too.',
  ],
  'mixed-steps': [
    'Take one step at a time, and keep all digits.',
    'For sums and differences look at the places, for products at the figures. After each step, note the last certain place.',
    'Round once, at the end.',
  ],
  'exact-or-measured': ['Was it read from a tool?', 'A number that is counted or defined has no doubtful digit.'],
  'convert-units': [
    'Write the factor as a fraction, so that the old unit cancels.',
    'An area is converted twice, a volume three times.',
    'Defined factors are exact, so the result has as many figures as the quantity. A rounded factor has figures of its own.',
  ],
  'percent-error': [
    'First work out the difference of the two values. Save the checks last certain place.',
    'Which of the two is the accepted value?',
    'Multiply the ratio by one hundred. The class rule says whether you write the sign.',
  ],
  'choose-statement': [
    'Test each statement with an extreme case. Is it still true?',
    '“Close together” and “close to the true value” are two different things.',
  ],
  'accuracy-and-precision': [
    'How far is the mean from the true value? That is accuracy.',
    'How far are the readings from each other? That is precision.',
    'An error that is the same each time stays in the mean. An error that goes both ways gets smaller in the mean.',
  ],
  'spot-the-error': [
    'Read the headings first: is there a unit in each?',
    'Compare the last digits of each column.',
    'Work out each result again. Ask whether each value is possible.',
  ],
};

export function hintsOn({ kind }: Exercise): readonly string[] {
  return HINTS[kind];
}
