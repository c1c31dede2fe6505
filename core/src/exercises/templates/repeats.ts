import type { HouseRules } from '../../rules/house-rules.ts';
import type { Random } from '../../simulation/random.ts';
import { shuffled } from '../../simulation/shuffled.ts';
import type { RepeatsSeen } from '../exercise.ts';

/** A kind of tool, and a thing of known size on which such tools are tried. */
export interface Trial {
  readonly tool: string;
  /** “a gauge block of {true}”: the true value stands in it. */
  readonly known: string;
  readonly unit: string;
  readonly truths: readonly [number, ...number[]];
  readonly decimals: number;
}

const TRIALS: readonly [Trial, ...Trial[]] = [
  { tool: 'micrometer', known: 'a gauge block of {true}', unit: 'mm', truths: [5, 8, 12, 15, 20], decimals: 2 },
  { tool: 'caliper', known: 'a gauge block of {true}', unit: 'mm', truths: [30, 40, 50, 75, 100], decimals: 2 },
  { tool: 'balance', known: 'a standard mass of {true}', unit: 'g', truths: [10, 20, 50, 100], decimals: 2 },
  { tool: 'thermometer', known: 'a bath kept at {true}', unit: '°C', truths: [25, 40, 55, 60], decimals: 1 },
  { tool: 'cylinder', known: 'a portion of {true}', unit: 'mL', truths: [20, 25, 30, 40], decimals: 1 },
];

export function drawTrial(random: Random, rules: HouseRules): Trial {
  const trial = random.pick(TRIALS);
  return trial.unit === 'mL' ? { ...trial, unit: rules.volumeUnit } : trial;
}

/** Where the repeats of one tool lie, in steps of the last digit from the true value. */
export type Steps = readonly number[];

const someSign = (random: Random): 1 | -1 => (random.uniform() < 0.5 ? 1 : -1);

/** Close together around a place: no two further apart than two steps. */
export function tight(random: Random, around: number): Steps {
  return shuffled(random, [-1, 0, 0, 1, random.pick([-1, 0, 1])]).map((step) => step + around);
}

/** Far apart to both sides of a place, so that their mean is the place, within a fraction of a step. */
export function wide(random: Random, around: number): Steps {
  const [far, near] = [6 + random.below(3), 3 + random.below(2)];
  return shuffled(random, [-far, -near, random.pick([-2, 2]), near, far]).map((step) => step + around);
}

/** Far apart and off together: one of them lies on the true value by luck. */
export function wideWithOneRight(random: Random): Steps {
  const side = someSign(random);
  return shuffled(random, [0, 8, 10 + random.below(2), 13 + random.below(2), 17]).map((step) => side * step);
}

/** How far a tool that is off is off: many times its scatter where it is tight, and all to one side where it is wide. */
export function farOff(random: Random): number {
  return someSign(random) * (11 + random.below(6));
}

/** Repeats as they are written down and seen, each tool by its letter. */
export function repeatsSeen({ unit, decimals }: Trial, truth: number, tools: readonly Steps[]): RepeatsSeen {
  const written = (steps: number): string => (truth + steps / 10 ** decimals).toFixed(decimals);
  return {
    unit,
    truth: written(0),
    tools: tools.map((steps, i) => ({
      name: tools.length === 1 ? '' : String.fromCharCode('A'.charCodeAt(0) + i),
      readings: steps.map(written),
    })),
  };
}

/** “a gauge block of 12.00 mm”. */
export function knownThing(trial: Trial, { truth, unit }: RepeatsSeen): string {
  return trial.known.replace('{true}', `${truth} ${unit}`);
}
