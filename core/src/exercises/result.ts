import type { Calculation } from '../calculations/calculate.ts';
import type { Conversion } from '../calculations/convert.ts';
import { Rational } from '../numbers/rational.ts';
import { unambiguousAtPlace } from '../numbers/rounding.ts';
import { workOut } from '../calculations/work-out.ts';
import { parseWrittenNumber, type WrittenNumber } from '../numbers/written-number.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { parseUnit, type Unit } from '../units/unit.ts';
import { isWorking, withGiven, type ExerciseTask, type RoundingExercise, type WorkingExercise } from './exercise.ts';

/** A number come to, with all its digits, and what decides how far it is written. */
export interface Result {
  readonly value: Rational;
  /** Power of ten of the last digit by the rules. */
  readonly place: number;
  /** As it is written by the rules; `4.0e2` where plain zeros would leave the figures in doubt. */
  readonly text: string;
  readonly unit: Unit;
  /** The unit as it is shown. */
  readonly unitText: string;
  /** Which rule decided the digits: the places of a sum, the figures of a product; null where the exercise says how far. */
  readonly rule: 'places' | 'figures' | null;
  /** The measured numbers that went into it, and the exact ones that are written as numbers. */
  readonly measured: readonly WrittenNumber[];
  readonly exact: readonly WrittenNumber[];
  readonly calculation: Calculation | Conversion | null;
}

/** An exercise whose answer is a number with a unit. */
export type NumberTask = ExerciseTask<WorkingExercise> | ExerciseTask<RoundingExercise>;

const CLOCK = /^\d+:\d\d:\d\d$/;

function numberIn(quantity: string): WrittenNumber[] {
  return CLOCK.test(quantity) ? [] : [parseWrittenNumber(/^\S+/.exec(quantity)?.[0] ?? quantity)];
}

function isExact(formula: string, name: string): boolean {
  return formula.includes(`exact(${name})`);
}

/** Sums and means go by places; everything with a product in it, or a conversion, by figures. */
function ruleOf({ formula }: WorkingExercise): Result['rule'] {
  return /[*/^]|->/.test(formula) ? 'figures' : 'places';
}

/**
 * What a line of working comes to in an exercise, written by the class’s rules.
 * @param line in written quantities, as `workOut` takes it. @param unit in which it is taken to be, where the line does not say.
 */
export function resultOf({ exercise, rules }: ExerciseTask<WorkingExercise>, line: string, unit?: string): Result {
  // What is stored is written with a point, whatever the class writes.
  const { calculation, quantity } = workOut(line, pointed(rules));
  const { formula, given } = exercise;
  const literals = [...formula.matchAll(/exact\((\d+)\)/g)].map(([, number = '']) => parseWrittenNumber(number));
  return {
    value: quantity.value,
    place: quantity.place,
    text: calculation.text,
    unit: unit === undefined ? quantity.unit : parseUnit(unit),
    unitText: unit ?? calculation.unit,
    rule: ruleOf(exercise),
    measured: Object.entries(given).flatMap(([name, written]) => (isExact(formula, name) ? [] : numberIn(written))),
    exact: [
      ...literals,
      ...Object.entries(given).flatMap(([name, written]) => (isExact(formula, name) ? numberIn(written) : [])),
    ],
    calculation,
  };
}

/** The same rules with a decimal point. */
export function pointed(rules: HouseRules): HouseRules {
  return rules.decimalMark === 'point' ? rules : { ...rules, decimalMark: 'point' };
}

function roundedResult({ exercise: { number, unit, to }, rules }: ExerciseTask<RoundingExercise>): Result {
  const { value } = parseWrittenNumber(number);
  const place = 'decimals' in to ? -to.decimals : placeOfFigures(value, to.figures, rules);
  return {
    value,
    place,
    text: unambiguousAtPlace(value, place, rules.rounding),
    unit: parseUnit(unit),
    unitText: unit,
    rule: null,
    measured: [],
    exact: [],
    calculation: null,
  };
}

/** The place of the last of so many figures, as they are written: 9.996 with three is 10.0. */
export function placeOfFigures(value: Rational, figures: number, { rounding }: HouseRules): number {
  const place = value.magnitude() - figures + 1;
  return value.roundedTo(place, rounding).magnitude() > value.magnitude() ? place + 1 : place;
}

/** The line of working an exercise asks for, in its given quantities. */
export function lineOf({ formula, given }: WorkingExercise): string {
  return withGiven(formula, given);
}

/** The right result of an exercise that asks for a number. */
export function rightResult(task: NumberTask): Result {
  return isWorking(task.exercise)
    ? resultOf(task as ExerciseTask<WorkingExercise>, lineOf(task.exercise))
    : roundedResult(task as ExerciseTask<RoundingExercise>);
}
