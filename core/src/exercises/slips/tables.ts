import type { ExerciseTask, Fault, TableExercise } from '../exercise.ts';
import { FAULT_KINDS, writtenMarks, type FaultKind, type Marked } from '../faults.ts';
import type { AnswerSlip } from './slip.ts';

/** How many cells a table has, headings included. */
export function cellsOf({ headings, rows }: TableExercise): number {
  return headings.length * (1 + rows.length);
}

function markOf({ cells, called }: Fault): Marked {
  return { cell: cells[0] ?? 1, fault: called[0] ?? '' };
}

/** Everything that is wrong, each where it is shown. */
export function rightMarks({ faults }: TableExercise): Marked[] {
  return faults.map(markOf);
}

function overlooked({ id: fault, overlooked: { id, name, lookAt } }: FaultKind): AnswerSlip {
  return {
    id,
    stage: 'answer',
    name,
    baseRate: 0.2,
    why: ({ exercise }) =>
      exercise.kind === 'spot-the-error' ? `The table has a fault of this kind that you did not mark.` : name,
    lookAt: () => lookAt,
    answers: ({ exercise }) => {
      if (exercise.kind !== 'spot-the-error' || !exercise.faults.some(({ called }) => called[0] === fault)) return [];
      const rest = exercise.faults.filter(({ called }) => called[0] !== fault).map(markOf);
      // Who finds nothing else marks a sound cell, since something is known to be wrong.
      return rest.length > 0
        ? [writtenMarks(rest)]
        : soundCells(exercise).flatMap((cell) =>
            FAULT_KINDS.map(({ id: other }) => writtenMarks([{ cell, fault: other }])),
          );
    },
  };
}

function soundCells(exercise: TableExercise): number[] {
  const faulty = new Set(exercise.faults.flatMap(({ cells }) => cells));
  return Array.from({ length: cellsOf(exercise) }, (_, i) => i + 1).filter((cell) => !faulty.has(cell));
}

export const OVERLOOKED: readonly AnswerSlip[] = FAULT_KINDS.map(overlooked);

function only(task: ExerciseTask, answers: (exercise: TableExercise) => string[]): string[] {
  return task.exercise.kind === 'spot-the-error' ? answers(task.exercise) : [];
}

export const soundCellMarked: AnswerSlip = {
  id: 'sound-cell-marked',
  stage: 'answer',
  name: 'Something correct marked',
  baseRate: 0.15,
  why: () => 'There is nothing wrong with one of the cells you marked.',
  lookAt: () => 'the cells you marked: calculate each one again',
  answers: (task) =>
    only(task, (exercise) =>
      soundCells(exercise).flatMap((cell) =>
        FAULT_KINDS.map(({ id }) => writtenMarks([...rightMarks(exercise), { cell, fault: id }])),
      ),
    ),
};

export const faultMisnamed: AnswerSlip = {
  id: 'fault-misnamed',
  stage: 'answer',
  name: 'The right cell, another fault',
  baseRate: 0.15,
  why: () => 'You marked the right cell, but something else is wrong with it.',
  lookAt: () => 'how the wrong entry came about',
  answers: (task) =>
    only(task, (exercise) =>
      exercise.faults.flatMap(({ called }, i) =>
        FAULT_KINDS.filter(({ id }) => !called.includes(id)).map(({ id }) =>
          writtenMarks(rightMarks(exercise).map((mark, j) => (i === j ? { ...mark, fault: id } : mark))),
        ),
      ),
    ),
};
