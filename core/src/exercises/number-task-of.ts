import { calculateWith } from '../calculations/calculate.ts';
import { parseExpression } from '../calculations/expression/parse-expression.ts';
import { completeRules } from '../rules/house-rules.ts';
import { parseUnit } from '../units/unit.ts';
import type { Known, NumberTask } from '../worked-answers/number-task.ts';
import { isWorking, type ExerciseTask, type WorkingExercise } from './exercise.ts';

/** Parts that given quantities play by their names. */
const PARTS: Readonly<Record<string, Known['part']>> = {
  empty: 'container',
  dish: 'container',
  before: 'reading',
  after: 'reading',
};

/** What is given is written with a point, whatever the class writes. */
const POINTED = completeRules();

function knownFrom(given: WorkingExercise['given']): Map<string, Known> {
  return new Map(
    Object.entries(given).map(([name, written]): [string, Known] => {
      const part = PARTS[name];
      return [
        name,
        {
          ...calculateWith(written, POINTED, new Map()).quantity,
          column: name.replace(/\d+$/, ''),
          ...(part ? { part } : {}),
        },
      ];
    }),
  );
}

function made({ exercise, rules }: ExerciseTask): NumberTask | null {
  if (exercise.kind === 'round-number') {
    const { number, unit, to } = exercise;
    return { kind: 'rounding', number, unit, to, rules };
  }
  if (!isWorking(exercise)) return null;
  const [working = '', unit] = exercise.formula.split('->');
  return {
    kind: 'calculation',
    about: exercise.kind === 'convert-units' ? 'conversion' : 'result',
    formula: parseExpression(working),
    known: knownFrom(exercise.given),
    to: unit === undefined ? null : parseUnit(unit.trim()),
    otherwise: new Map(),
    rules,
  };
}

/** Made once for each exercise: what is worked out for it is kept with it. */
const MADE = new WeakMap<ExerciseTask, NumberTask | null>();

/** An exercise as something whose answer is a number; null where it asks for something else. */
export function numberTaskOf(task: ExerciseTask): NumberTask | null {
  const before = MADE.get(task);
  if (before !== undefined) return before;
  const number = made(task);
  MADE.set(task, number);
  return number;
}
