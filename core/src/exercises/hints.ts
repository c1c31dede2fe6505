import type { Exercise, ExerciseKind } from './exercise.ts';

/** What to look at, in the order of the work; none of it names a number of the exercise. */
const HINTS: Readonly<Record<ExerciseKind, readonly string[]>> = {
  'count-figures': [
    'Begin at the first digit that is not zero.',
    'From there on every digit counts; zeros at the end count after a decimal mark.',
    'A power of ten says how large the number is, and counts nothing.',
  ],
  'write-reading': [
    'The marks give the certain digits.',
    'One more digit is estimated between them; exactly on a mark it is zero, and is written.',
  ],
  'round-number': [
    'Find the last digit that stays.',
    'The digits after it decide, all at once.',
    'If a zero is the last digit asked for, it is written.',
  ],
  'add-subtract': [
    'Write the terms one under the other, marks in line.',
    'The result ends where the term that is known least far ends.',
    'Round once, at the end; a zero in the last place is written.',
  ],
  'multiply-divide': [
    'Which of the numbers were measured, and which are exact?',
    'Count the significant figures of each measured one.',
    'The result has as many as the fewest of them; calculate the unit along.',
  ],
  'mixed-steps': [
    'Take one step at a time, and carry all digits.',
    'Sums and differences go by places, products by figures: note after each step how far it is known.',
    'Round once, at the end.',
  ],
  'exact-or-measured': ['Was it read from a tool?', 'What is counted or agreed on has no doubtful digit.'],
  'convert-units': [
    'Write the factor as a fraction, so that the old unit cancels.',
    'An area is converted twice, a volume three times.',
    'Defined factors are exact, and the result has as many figures as the quantity had; a factor that a class quotes rounded has figures of its own.',
  ],
  'percent-error': [
    'The difference of the two values first; note how far it is known.',
    'Which of the two is the other judged by?',
    'Ratio times one hundred; the class’s rule says whether the sign is written.',
  ],
  'choose-statement': [
    'Take each statement to an extreme: does it still hold?',
    'Close together is one thing, close to the true value another.',
  ],
  'spot-the-error': [
    'Read the headings first: is there a unit in each?',
    'Compare the last digits of each column.',
    'Work each result out once more, and ask of each value whether it can be.',
  ],
};

export function hintsOn({ kind }: Exercise): readonly string[] {
  return HINTS[kind];
}
