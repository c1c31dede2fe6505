import { AimError } from '../reading/drawing/draw-task.ts';
import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import { seededRandom, type Random } from '../simulation/random.ts';
import { rightOf, wrongBy } from '../worked-answers/candidates.ts';
import { rightAnswer } from './answer.ts';
import { diagnoseExercise } from './diagnose-exercise.ts';
import { exerciseTask, LEVELS, type Exercise, type ExerciseKind, type ExerciseTask, type Level } from './exercise.ts';
import { FAULT_KINDS } from './faults.ts';
import { exerciseKindById } from './kinds.ts';
import { numberTaskOf } from './number-task-of.ts';
import { EXERCISE_SLIPS, exerciseSlipById } from './slips/registry.ts';
import type { ExerciseSlip } from './slips/slip.ts';
import { TABLES, type TableTemplate } from './templates/tables.ts';
import { shuffled } from '../simulation/shuffled.ts';

export interface ExerciseOptions {
  /** The same seed, level, aim and rules draw the same exercise. */
  readonly seed: number;
  readonly level?: Level;
  /** Slips that it should be able to tell apart. */
  readonly aim?: readonly string[];
  readonly rules?: Partial<HouseRules>;
}

/** What somebody with just this slip would enter on an exercise; empty where it cannot be made. */
export function slipEntries(task: ExerciseTask, slip: ExerciseSlip): string[] {
  const entries = entriesOf(task, slip);
  return entries.length === 0 ? entries : entries.filter((entry) => entry !== rightEntry(task));
}

function entriesOf(task: ExerciseTask, slip: ExerciseSlip): string[] {
  if (slip.stage === 'answer') return slip.answers(task);
  const number = numberTaskOf(task);
  if (!number) return [];
  if (slip.stage === 'working') return wrongBy(number, slip).map(({ text, unitText }) => `${text} ${unitText}`.trim());
  const right = rightOf(number);
  switch (slip.stage) {
    case 'writing':
      return slip.written(right, number).map((text) => `${text} ${right.unitText}`.trim());
    case 'unit':
      return right.unitText === '' ? [] : [slip.mistaken(right.text, right.unitText)];
  }
}

/** The right answer as it would be typed. */
export function rightEntry(task: ExerciseTask): string {
  const { text, unit } = rightAnswer(task);
  return `${text} ${unit}`.trim();
}

/** How many wrong answers of one slip are looked at; of marks in a table there are hundreds. */
const LOOKED_AT = 4;

/** Whether each aimed slip can be made and is named first from what it produces. */
function answersFor(task: ExerciseTask, aim: readonly ExerciseSlip[]): number {
  return aim.filter((slip) => {
    const entries = slipEntries(task, slip);
    return (
      entries.length > 0 &&
      entries.slice(0, LOOKED_AT).every((entry) => diagnoseExercise(task, entry).slips[0]?.ids.join() === slip.id)
    );
  }).length;
}

/** How many slips lead to an answer that only they lead to, of those that lead to any. */
function toldApart(task: ExerciseTask): boolean {
  const made = EXERCISE_SLIPS.filter(({ stage, id }) => stage !== 'unit' && !PEN.includes(id))
    .map((slip) => slipEntries(task, slip)[0])
    .filter((entry) => entry !== undefined);
  return new Set(made).size === made.length;
}

/** Slips of the pen may well come to what another slip comes to. */
const PEN = ['transposed', 'power-of-ten', 'too-many-figures', 'too-few-figures'];

/** How many faults a table of each level holds. */
function faultsOf(level: Level, random: Random): number {
  return level === 1 ? 1 : level === 2 ? 1 + random.below(2) : 2 + random.below(2);
}

function drawTable(random: Random, level: Level, aim: readonly string[], rules: HouseRules): Exercise {
  const wanted = FAULT_KINDS.filter(({ overlooked }) => aim.includes(overlooked.id)).map(({ id }) => id);
  const fitting = TABLES.filter(({ faults }) => wanted.every((id) => faults.includes(id)));
  const template: TableTemplate = fitting[random.below(fitting.length)] ?? random.pick(TABLES);
  const others = shuffled(
    random,
    template.faults.filter((id) => !wanted.includes(id)),
  );
  const planted = new Set([...wanted, ...others].slice(0, Math.max(wanted.length, faultsOf(level, random))));
  return { kind: 'spot-the-error', level, ...template.build(random, planted, rules) };
}

function drawOnce(
  kind: ExerciseKind,
  random: Random,
  level: Level,
  aim: readonly string[],
  rules: HouseRules,
): Exercise {
  if (kind === 'spot-the-error') return drawTable(random, level, aim, rules);
  const { templates } = exerciseKindById(kind);
  const fitting = templates.filter(({ levels: [least, most] }) => least <= level && level <= most);
  const template = fitting[random.below(fitting.length)];
  if (!template) throw new RangeError(`level: there is no exercise of the kind ${kind} at level ${level}.`);
  return { ...template.draw({ random, level, rules }), level };
}

/**
 * Two faults in one cell could not be told apart, and a percent error of 10 % to two figures would have to be written with a power of
 * ten, which nobody does: such exercises are drawn again.
 */
function isClear(task: ExerciseTask): boolean {
  const { exercise } = task;
  if (exercise.kind === 'percent-error') return !rightAnswer(task).text.includes('e');
  if (exercise.kind !== 'spot-the-error') return true;
  const cells = exercise.faults.flatMap((fault) => fault.cells);
  return new Set(cells).size === cells.length;
}

/** How many exercises are tried before the best one is taken. */
const TRIES = 160;

/** From the level wanted upward, and then downward: a slip may show on easier or on harder ones alone. */
function levelsFrom(level: Level): Level[] {
  return [...LEVELS.filter((one) => one >= level), ...LEVELS.filter((one) => one < level).reverse()];
}

/** The best exercise of a bounded number at one level; `all` where it answers for every slip aimed at. */
function bestAt(
  kind: ExerciseKind,
  level: Level,
  random: Random,
  aim: readonly ExerciseSlip[],
  rules: HouseRules,
): { readonly task: ExerciseTask; readonly all: boolean } | null {
  const ids = aim.map(({ id }) => id);
  let best: { task: ExerciseTask; count: number } | null = null;
  for (let tried = 0; tried < TRIES; tried += 1) {
    const task = exerciseTask(drawOnce(kind, random, level, ids, rules), rules);
    if (!isClear(task)) continue;
    const answered = answersFor(task, aim);
    const apart = answered === aim.length && (kind === 'spot-the-error' || toldApart(task));
    if (apart) return { task, all: true };
    if (best === null || answered > best.count) best = { task, count: answered };
  }
  return best && { task: best.task, all: best.count >= aim.length };
}

/** How many exercises of each level are looked at for what can be told in them. */
const CHANCES = 40;
/** A slip that is told in fewer of them is not aimed at: good exercises would be too hard to find. */
const ENOUGH = 2;

/** Worked out once for each kind and set of rules: complete rules never change. */
const POSSIBLE = new WeakMap<HouseRules, Map<ExerciseKind, readonly string[]>>();

/**
 * The slips that can be made and told apart in a kind of exercise by a class’s rules, and so be aimed at.
 * @throws HouseRuleError naming the field.
 */
export function slipsIn(kind: ExerciseKind, rules?: Partial<HouseRules>): readonly string[] {
  const complete = completeRules(rules);
  const known = POSSIBLE.get(complete) ?? new Map<ExerciseKind, readonly string[]>();
  POSSIBLE.set(complete, known);
  const possible = known.get(kind) ?? toldIn(kind, complete);
  known.set(kind, possible);
  return possible;
}

function toldIn(kind: ExerciseKind, rules: HouseRules): string[] {
  const random = seededRandom(3);
  const told = new Map<ExerciseSlip, number>();
  const timesTold = (slip: ExerciseSlip): number => told.get(slip) ?? 0;
  for (const level of LEVELS) {
    for (let chance = 0; chance < CHANCES; chance += 1) {
      const task = exerciseTask(drawOnce(kind, random, level, [], rules), rules);
      if (!isClear(task)) continue;
      for (const slip of EXERCISE_SLIPS.filter((one) => timesTold(one) < ENOUGH))
        if (answersFor(task, [slip]) === 1) told.set(slip, timesTold(slip) + 1);
    }
  }
  return EXERCISE_SLIPS.filter((slip) => timesTold(slip) === ENOUGH).map(({ id }) => id);
}

/**
 * Draws one exercise in which the aimed slips would each be named first from what they produce, and no two slips come to the same.
 * @throws UnknownSlipError, AimError, HouseRuleError, or RangeError for the seed, each naming the field.
 */
export function drawExercise(kind: ExerciseKind, { seed, level = 1, aim = [], rules }: ExerciseOptions): ExerciseTask {
  const complete = completeRules(rules);
  const random = seededRandom(seed);
  const slips = aim.map((id) => {
    const slip = exerciseSlipById(id);
    if (!slip || !slipsIn(kind, complete).includes(id)) throw new AimError(id, [exerciseKindById(kind).name]);
    return slip;
  });
  const [wanted = level, ...further] = levelsFrom(level);
  const first = bestAt(kind, wanted, random, slips, complete);
  if (first?.all) return first.task;
  for (const other of further) {
    const found = bestAt(kind, other, random, slips, complete);
    if (found?.all) return found.task;
  }
  if (!first) throw new RangeError(`level: nothing of the kind ${kind} could be drawn at level ${level}.`);
  return first.task;
}
