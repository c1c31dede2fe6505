import type { Diagnosis } from '../reading/judging/diagnose.ts';
import { UnreadableEntryError } from '../reading/judging/entry.ts';
import { ratesFrom, type RateOf, type SlipHistory } from '../reading/judging/hypotheses.ts';
import { diagnosisFrom, numberExplanations, type Explanation } from '../worked-answers/diagnose-number.ts';
import { rightAnswer } from './answer.ts';
import { isChoice, type ExerciseTask, type TableExercise } from './exercise.ts';
import { FAULT_KINDS, parseMarks, UnreadableMarksError, type Marked } from './faults.ts';
import { indexOfLetter } from './letters.ts';
import { numberTaskOf } from './number-task-of.ts';
import { ANSWER_SLIPS } from './slips/registry.ts';
import { cellsOf, faultMisnamed, soundCellMarked } from './slips/tables.ts';

/** What was entered, or why it cannot be read. */
type Understood = { readonly explanations: readonly Explanation[] } | { readonly unreadable: string };

const COUNT = /^(\d{1,3})(?:\D.*)?$/s;

function countIn(typed: string): Understood | string {
  const count = COUNT.exec(typed.normalize('NFKC').trim())?.[1];
  return count === undefined ? { unreadable: 'Write how many there are, as a whole number.' } : String(Number(count));
}

function letterIn(typed: string, options: number): Understood | string {
  const letter = typed.normalize('NFKC').trim().toLowerCase();
  const index = indexOfLetter(letter);
  return index >= 0 && index < options ? letter : { unreadable: `Choose one of the ${options} answers.` };
}

/** Explanations of an answer that is a word of its own: the right one, or what a slip leads to. */
function answerExplanations(task: ExerciseTask, answer: string, rateOf: RateOf): Explanation[] {
  if (answer === rightAnswer(task).text) return [{ ids: [], predicted: answer, weight: 1 }];
  return ANSWER_SLIPS.flatMap((slip) => {
    const answers = slip.answers(task);
    return answers.includes(answer)
      ? [{ ids: [slip.id], predicted: answer, weight: rateOf(slip) / answers.length }]
      : [];
  });
}

/** What is wrong with marks: every fault that is not marked, cells that are sound, and names that do not fit. */
function markExplanations({ faults }: TableExercise, marks: readonly Marked[], typed: string): Explanation[] {
  const found = (fault: TableExercise['faults'][number]): Marked | undefined =>
    marks.find(({ cell }) => fault.cells.includes(cell));
  const missed = faults.filter((fault) => !found(fault));
  const misnamed = faults.filter((fault) => !fault.called.includes(found(fault)?.fault ?? fault.called[0] ?? ''));
  const hits = new Set(faults.map((fault) => found(fault)).filter((mark) => mark !== undefined));
  const overlooked = FAULT_KINDS.filter(({ id }) => missed.some(({ called }) => called[0] === id)).map(
    ({ overlooked: { id } }) => id,
  );
  // Who found nothing of what is there had to mark something: that is no slip of its own.
  const alarmed = marks.length > hits.size && (missed.length === 0 || hits.size > 0);
  return [
    {
      ids: [
        ...overlooked,
        ...(misnamed.length > 0 ? [faultMisnamed.id] : []),
        ...(alarmed ? [soundCellMarked.id] : []),
      ],
      predicted: typed,
      weight: 1,
    },
  ];
}

function understood(task: ExerciseTask, typed: string, rateOf: RateOf): Understood {
  const { exercise } = task;
  try {
    const number = numberTaskOf(task);
    if (number) return { explanations: numberExplanations(number, typed, rateOf) };
    if (exercise.kind === 'spot-the-error')
      return { explanations: markExplanations(exercise, parseMarks(typed, cellsOf(exercise)), typed) };
    const answer = isChoice(exercise) ? letterIn(typed, exercise.options.length) : countIn(typed);
    return typeof answer === 'string' ? { explanations: answerExplanations(task, answer, rateOf) } : answer;
  } catch (error) {
    if (error instanceof UnreadableEntryError || error instanceof UnreadableMarksError)
      return { unreadable: error.message };
    throw error;
  }
}

/**
 * Diagnoses an answer to an exercise. `record`: the value is right, and the digits or the unit with which it is written are not.
 * @param history what this student has done before, which moves the priors.
 */
export function diagnoseExercise(task: ExerciseTask, typed: string, history?: SlipHistory): Diagnosis {
  const read = understood(task, typed, ratesFrom(history));
  if ('unreadable' in read) return { verdict: 'unreadable', slips: [], offBy: null, message: read.unreadable };
  return diagnosisFrom(read.explanations, numberTaskOf(task) ? 'number' : 'word');
}

/** Odds of each single slip, and under '' of none, given an answer; null when it cannot be read. */
export function singleSlips(task: ExerciseTask, typed: string): ReadonlyMap<string, number> | null {
  const read = understood(task, typed, () => 1);
  if ('unreadable' in read) return null;
  const masses = new Map<string, number>();
  for (const { ids, weight } of read.explanations) {
    if (ids.length > 1) continue;
    const id = ids[0] ?? '';
    masses.set(id, (masses.get(id) ?? 0) + weight);
  }
  return masses;
}
