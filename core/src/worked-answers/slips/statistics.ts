import type { Expression } from '../../calculations/expression/expression.ts';
import { eachExchanged } from '../../calculations/expression/rewrite.ts';
import type { Reworking } from '../number-task.ts';
import type { WorkingSlip } from './slip.ts';

const as = (formula: Expression): Reworking => ({ formula });

export const meanNotDivided: WorkingSlip = {
  id: 'mean-not-divided',
  stage: 'working',
  name: 'Sum instead of the mean',
  baseRate: 0.1,
  why: () => 'You added the values. For the mean, divide the sum by how many there are.',
  lookAt: () => 'whether the mean lies between the smallest and the largest value',
  reworked: ({ formula }) =>
    eachExchanged(formula, (node) =>
      node.kind === 'call' && node.name === 'mean' && node.arguments.length > 1 ? { ...node, name: 'sum' } : null,
    ).map(as),
};

export const valueLeftOut: WorkingSlip = {
  id: 'value-left-out',
  stage: 'working',
  name: 'One value left out of the mean',
  baseRate: 0.06,
  why: () => 'This is the mean of all values but one.',
  lookAt: () => 'whether every value that counts is in the mean',
  reworked: ({ formula }) =>
    formula.kind === 'call' && formula.name === 'mean' && formula.arguments.length > 2
      ? formula.arguments.map((_, left) =>
          as({ ...formula, arguments: formula.arguments.filter((_argument, i) => i !== left) }),
        )
      : [],
};

/** A slip in a statistic that stands in the formula as one number. */
function inStatistic(id: string, name: string, why: string, lookAt: string): WorkingSlip {
  return {
    id,
    stage: 'working',
    name,
    baseRate: 0.14,
    why: () => why,
    lookAt: () => lookAt,
    reworked: ({ otherwise }) => otherwise.get(id) ?? [],
  };
}

export const deviationByN = inStatistic(
  'deviation-by-n',
  'Divided by n instead of n − 1',
  'For the standard deviation of a few repeats the sum of the squares is divided by n − 1, not by n.',
  'which of the two deviations your calculator shows',
);

export const rootForgotten = inStatistic(
  'root-forgotten',
  'Not divided by the root of n',
  'This is the standard deviation. Divide it by the square root of the number of repeats.',
  'what the standard error is for: the mean, not one reading',
);

export const slopeTurnedOver = inStatistic(
  'slope-turned-over',
  'Slope upside down',
  'The slope is the rise divided by the run: up the page over across the page.',
  'the unit of the slope',
);

export const excludedCounted = inStatistic(
  'excluded-counted',
  'An excluded repeat counted',
  'A repeat that your group has excluded is in this result.',
  'which repeats are crossed out',
);
