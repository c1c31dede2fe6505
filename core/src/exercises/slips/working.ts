import { isWorking, withGiven, type WorkingExercise } from '../exercise.ts';
import { lineOf } from '../result.ts';
import { roundedBetweenLine } from '../rounded-between.ts';
import type { Line, WorkingSlip } from './slip.ts';

/** The line with part of the formula replaced; none where the formula has no such part. */
function replaced({ formula, given }: WorkingExercise, part: string | RegExp, by: string): Line[] {
  const other = formula.replace(part, by);
  return other === formula ? [] : [{ line: withGiven(other, given) }];
}

export const containerNotSubtracted: WorkingSlip = {
  id: 'container-not-subtracted',
  stage: 'working',
  name: 'Container weighed with the contents',
  baseRate: 0.15,
  why: () => 'The balance showed the container too. Subtract its mass.',
  lookAt: () => 'what was on the balance each time',
  reworked: ({ exercise }) => [
    ...replaced(exercise, '(full - empty)', 'full'),
    ...replaced(exercise, '(wet - dish)', 'wet'),
  ],
};

export const finalAsDifference: WorkingSlip = {
  id: 'final-as-difference',
  stage: 'working',
  name: 'Only the final reading',
  baseRate: 0.15,
  why: () =>
    'The final reading includes what was there at the start. The volume is the difference of the two readings.',
  lookAt: () => 'the reading at the start',
  reworked: ({ exercise }) => replaced(exercise, '(after - before)', 'after'),
};

export const diameterAsRadius: WorkingSlip = {
  id: 'diameter-as-radius',
  stage: 'working',
  name: 'Diameter used as the radius',
  baseRate: 0.16,
  why: () => 'The area of a circle uses the square of its radius. With the diameter it comes out four times too large.',
  lookAt: () => 'what was measured: right across, or from the middle',
  reworked: ({ exercise }) => replaced(exercise, '(diameter / exact(2))', 'diameter'),
};

export const densityTurnedOver: WorkingSlip = {
  id: 'density-turned-over',
  stage: 'working',
  name: 'Density upside down',
  baseRate: 0.14,
  why: () => 'Density is mass divided by volume. The mass is on top.',
  lookAt: () => 'the unit of a density, read as a fraction',
  reworked: ({ exercise }) =>
    exercise.question.includes('density') ? replaced(exercise, /^(mass|\(full - empty\)) \/ (.+)$/, '$2 / $1') : [],
};

export const wrongColumnMean: WorkingSlip = {
  id: 'wrong-column-mean',
  stage: 'working',
  name: 'Mean of the wrong numbers',
  baseRate: 0.1,
  why: () => 'This is the mean of the other quantity.',
  lookAt: () => 'which numbers belong to the quantity in the question',
  reworked: ({ exercise }) => replaced(exercise, 'mean(width1; width2; width3)', 'mean(height1; height2; height3)'),
};

export const percentOfMeasured: WorkingSlip = {
  id: 'percent-of-measured',
  stage: 'working',
  name: 'Divided by the measured value',
  baseRate: 0.16,
  why: () => 'Divide the difference by the accepted value, not by the measured one.',
  lookAt: () => 'which of the two values is the accepted one',
  reworked: ({ exercise }) =>
    exercise.kind === 'percent-error'
      ? replaced(exercise, '/ accepted', '/ measured')
      : replaced(exercise, '/ (wet - dish)', '/ (dry - dish)'),
};

export const hundredForgotten: WorkingSlip = {
  id: 'hundred-forgotten',
  stage: 'working',
  name: 'A ratio written as a percentage',
  baseRate: 0.12,
  why: () => 'Percent means hundredths. Multiply the ratio by 100 before you write the % sign.',
  lookAt: () => 'the last step, from the ratio to percent',
  reworked: ({ exercise }) => replaced(exercise, ' * 100 %', '').map(({ line }) => ({ line, unit: '%' })),
};

export const differenceTurned: WorkingSlip = {
  id: 'difference-turned',
  stage: 'working',
  name: 'The difference turned round',
  baseRate: 0.12,
  why: () => 'Subtract the accepted value from the measured one. Then a result that is too large has a positive error.',
  lookAt: () => 'whether the measured value is too large or too small',
  reworked: ({ exercise }) =>
    exercise.formula.startsWith('abs') ? [] : replaced(exercise, '(measured - accepted)', '(accepted - measured)'),
};

const INSTEAD = /^(\d+):(\d\d):(\d\d)$/;

/** 12:09:47 as 9.47 min after the hour, or 0:05:30 as 5.30 min. */
function decimalMinutes(clock: string, sinceHour: number): string {
  const [, hours = '0', minutes = '0', seconds = '00'] = INSTEAD.exec(clock) ?? [];
  return `${(Number(hours) - sinceHour) * 60 + Number(minutes)}.${seconds} min`;
}

export const minutesAsDecimal: WorkingSlip = {
  id: 'minutes-as-decimal',
  stage: 'working',
  name: 'Seconds used as hundredths of a minute',
  baseRate: 0.18,
  why: () => 'A minute has 60 seconds. So 30 s are half a minute: 0.50 min, not 0.30 min.',
  lookAt: () => 'the seconds: divide them by 60 first',
  reworked: ({ exercise }) => {
    const clocks = Object.values(exercise.given).filter((quantity) => INSTEAD.test(quantity));
    if (clocks.length === 0) return [];
    const hour = Math.min(...clocks.map((clock) => Number.parseInt(clock, 10)));
    const given = Object.fromEntries(
      Object.entries(exercise.given).map(([name, quantity]) => [
        name,
        INSTEAD.test(quantity) ? decimalMinutes(quantity, hour) : quantity,
      ]),
    );
    return [{ line: withGiven(exercise.formula, given) }];
  },
};

export const roundedBetween: WorkingSlip = {
  id: 'rounded-between',
  stage: 'working',
  name: 'Rounded too early',
  baseRate: 0.18,
  why: () =>
    'You rounded on the way, and the digits you dropped are missing now. Keep all digits and round once, at the end.',
  lookAt: () => 'the numbers you went on with after the first step',
  reworked: (task) =>
    isWorking(task.exercise) && task.exercise.kind !== 'convert-units'
      ? roundedBetweenLine(lineOf(task.exercise), task.rules).map((line) => ({ line }))
      : [],
};
