import type { BinaryNode, Expression } from '../../calculations/expression/expression.ts';
import { allExchanged, eachExchanged, isSameTree } from '../../calculations/expression/rewrite.ts';
import { Rational } from '../../numbers/rational.ts';
import { CLOCK_TO_THE_MINUTE, isOnClock, sameKind, sameUnit } from '../../units/unit.ts';
import { isConversion, type CalculationTask, type Known, type Reworking } from '../number-task.ts';
import { withRoundedSteps } from '../rounded-between.ts';
import type { WorkingSlip } from './slip.ts';
import { combined, exactNumber, factorsOf, isAll, isBinary, isExactly, knownIn } from './trees.ts';

const as = (formula: Expression): Reworking => ({ formula });

/** The formula with one of its differences exchanged, each in turn. */
function ofDifferences(
  { formula }: CalculationTask,
  exchange: (difference: BinaryNode) => Expression | null,
): Reworking[] {
  return eachExchanged(formula, (node) => (isBinary(node, '-') ? exchange(node) : null)).map(as);
}

export const containerNotSubtracted: WorkingSlip = {
  id: 'container-not-subtracted',
  stage: 'working',
  name: 'Container weighed with the contents',
  baseRate: 0.15,
  why: () => 'The balance showed the container too. Subtract its mass.',
  lookAt: () => 'what was on the balance each time',
  reworked: (task) => ofDifferences(task, ({ left, right }) => (isAll(right, 'container', task.known) ? left : null)),
};

export const finalAsDifference: WorkingSlip = {
  id: 'final-as-difference',
  stage: 'working',
  name: 'Only one of the two readings',
  baseRate: 0.15,
  why: () => 'One reading alone includes what was there before, or what was left. Subtract one reading from the other.',
  lookAt: () => 'the reading at the start',
  reworked: (task) => {
    const ofReadings = ({ left, right }: BinaryNode): boolean =>
      isAll(left, 'reading', task.known) && isAll(right, 'reading', task.known);
    const either = (side: 'left' | 'right'): Reworking[] =>
      ofDifferences(task, (node) => (ofReadings(node) ? node[side] : null));
    return [...either('left'), ...either('right')];
  },
};

export const zeroIgnored: WorkingSlip = {
  id: 'zero-ignored',
  stage: 'working',
  name: 'Zero error ignored',
  baseRate: 0.12,
  why: () => 'The tool does not show zero at zero. Subtract what it shows there from each reading.',
  lookAt: () => 'what the tool shows at zero',
  reworked: ({ formula, known }) => {
    const raw = new Map(
      [...known].flatMap(([name, { uncorrected }]) => (uncorrected ? [[name, uncorrected] as const] : [])),
    );
    const read = allExchanged(formula, (node) =>
      isBinary(node, '-') && isAll(node.right, 'zero', known) ? node.left : null,
    );
    return [...(raw.size > 0 ? [{ formula, known: raw }] : []), ...(read ? [as(read)] : [])];
  },
};

export const zeroSign: WorkingSlip = {
  id: 'zero-sign',
  stage: 'working',
  name: 'Zero error added instead of subtracted',
  baseRate: 0.08,
  why: () => 'Corrected is observed minus zero error. With a negative zero error the result becomes larger.',
  lookAt: () => 'the sign of the zero error',
  reworked: ({ formula, known }) => {
    const other = allExchanged(formula, (node) =>
      isBinary(node, '-') && isAll(node.right, 'zero', known) ? combined('+', node.left, node.right) : null,
    );
    return other ? [as(other)] : [];
  },
};

/** In a volume or an area of something round: each length that is squared or cubed, and each that is halved before. */
function withDiameterAsRadius(formula: Expression): Expression | null {
  const halved = allExchanged(formula, (node) =>
    isBinary(node, '^') && isBinary(node.left, '/') && isExactly(node.left.right, 2)
      ? { ...node, left: node.left.left }
      : null,
  );
  if (halved) return halved;
  return allExchanged(formula, (product) => {
    if (!isBinary(product, '*') && !isBinary(product, '/')) return null;
    if (!factorsOf(product).some(({ kind }) => kind === 'pi')) return null;
    return allExchanged(product, (node) =>
      isBinary(node, '^') && node.left.kind !== 'pi'
        ? { ...node, left: combined('*', exactNumber('2'), node.left) }
        : null,
    );
  });
}

export const diameterAsRadius: WorkingSlip = {
  id: 'diameter-as-radius',
  stage: 'working',
  name: 'Diameter used as the radius',
  baseRate: 0.16,
  why: () => 'The area of a circle uses the square of its radius. With the diameter it comes out four times too large.',
  lookAt: () => 'what was measured: right across, or from the middle',
  reworked: ({ formula }) => {
    const other = withDiameterAsRadius(formula);
    return other ? [as(other)] : [];
  },
};

const DENSITY = { g: 1, mL: -1 };

/** Of which kind the result of a task is, as far as its formula is a quotient of two. */
function isDensity({ to, formula, known }: CalculationTask): boolean {
  if (to !== null) return sameKind(to, DENSITY);
  if (!isBinary(formula, '/')) return false;
  const isMass = (part: Expression): boolean => knownIn(part, known).some(({ unit }) => sameKind(unit, { g: 1 }));
  const isVolume = (part: Expression): boolean =>
    knownIn(part, known).every(({ unit }) => sameKind(unit, { mL: 1 }) || sameKind(unit, { cm: 1 }));
  return isMass(formula.left) && isVolume(formula.right);
}

export const densityTurnedOver: WorkingSlip = {
  id: 'density-turned-over',
  stage: 'working',
  name: 'Density upside down',
  baseRate: 0.14,
  why: () => 'Density is mass divided by volume. The mass is on top.',
  lookAt: () => 'the unit of a density, read as a fraction',
  reworked: (task) =>
    isBinary(task.formula, '/') && isDensity(task) ? [as(combined('/', task.formula.right, task.formula.left))] : [],
};

/** The mean of each other column of the same kind of quantity. */
export const wrongColumnMean: WorkingSlip = {
  id: 'wrong-column-mean',
  stage: 'working',
  name: 'Mean of the wrong numbers',
  baseRate: 0.1,
  why: () => 'This is the mean of the other quantity.',
  lookAt: () => 'which numbers belong to the quantity in the question',
  reworked: ({ formula, known }) => {
    if (formula.kind !== 'call' || formula.name !== 'mean') return [];
    const own = knownIn(formula, known);
    const columns = new Map<string, string[]>();
    for (const [name, { column, unit }] of known) {
      const taken = own.some((one) => one.column === column || !sameKind(one.unit, unit));
      if (column !== undefined && !taken) columns.set(column, [...(columns.get(column) ?? []), name]);
    }
    return [...columns.values()]
      .filter((names) => names.length > 1)
      .map((names) => as({ ...formula, arguments: names.map((name) => ({ kind: 'name', name, at: formula.at })) }));
  },
};

const PERCENT = { '%': 1 };

/** Whether the result is a part of something, in percent. */
function isPercent({ to, formula }: CalculationTask): boolean {
  if (to !== null) return sameUnit(to, PERCENT);
  return factorsOf(formula).some((node) => node.kind === 'number' && node.unit === '%');
}

/** The difference that a part of a formula is, whatever its sign. */
function differenceIn(node: Expression): BinaryNode | null {
  if (node.kind === 'call' && node.name === 'abs' && node.arguments[0]) return differenceIn(node.arguments[0]);
  return isBinary(node, '-') ? node : null;
}

/** What a difference is divided by, with the one of its two values exchanged for the other. */
function dividedByOther(node: Expression, { known }: CalculationTask): Expression | null {
  if (!isBinary(node, '/')) return null;
  const difference = differenceIn(node.left);
  if (difference) {
    const { left, right } = difference;
    const exchanged = (from: Expression, to: Expression): Expression | null =>
      allExchanged(node.right, (part) => (isSameTree(part, from) ? to : null));
    const other = exchanged(right, left) ?? exchanged(left, right);
    return other && { ...node, right: other };
  }
  // The difference has been worked out before: the measured value is the other one and it together.
  const isOne = node.left.kind === 'name' && knownIn(node.right, known).length > 0;
  return isOne ? { ...node, right: combined('+', node.right, node.left) } : null;
}

export const percentOfMeasured: WorkingSlip = {
  id: 'percent-of-measured',
  stage: 'working',
  name: 'Divided by the measured value',
  baseRate: 0.16,
  why: () => 'Divide the difference by the accepted value, not by the measured one.',
  lookAt: () => 'which of the two values is the accepted one',
  reworked: (task) =>
    isPercent(task) ? eachExchanged(task.formula, (node) => dividedByOther(node, task)).map(as) : [],
};

export const hundredForgotten: WorkingSlip = {
  id: 'hundred-forgotten',
  stage: 'working',
  name: 'A ratio written as a percentage',
  baseRate: 0.12,
  why: () => 'Percent means hundredths. Multiply the ratio by 100 before you write the % sign.',
  lookAt: () => 'the last step, from the ratio to percent',
  reworked: (task) =>
    isPercent(task) && !isConversion(task) ? [as(combined('/', task.formula, exactNumber('100')))] : [],
};

export const differenceTurned: WorkingSlip = {
  id: 'difference-turned',
  stage: 'working',
  name: 'The difference turned round',
  baseRate: 0.12,
  why: (task) =>
    task.kind === 'calculation' && isPercent(task)
      ? 'Subtract the accepted value from the measured one. Then a result that is too large has a positive error.'
      : 'You subtracted the two the wrong way round, so the sign is wrong.',
  lookAt: (task) =>
    task.kind === 'calculation' && isPercent(task)
      ? 'whether the measured value is too large or too small'
      : 'which of the two is subtracted',
  reworked: (task) =>
    isUnsigned(task.formula)
      ? []
      : ofDifferences(task, (difference) => ({ ...difference, left: difference.right, right: difference.left })),
};

function isUnsigned(formula: Expression): boolean {
  return factorsOf(formula).some((node) => node.kind === 'call' && node.name === 'abs');
}

/** 12:09:47 as 9.47 min after the hour, or 0:05:30 as 5.30 min; to the minute, 12:05 as 1205 of them. */
function asDecimal({ value, place, unit }: Known, since: number): Known {
  if (CLOCK_TO_THE_MINUTE in unit) {
    const minutes = value.toNumber();
    return { value: Rational.of(100 * Math.floor(minutes / 60) + (minutes % 60)), place, unit: { min: 1 } };
  }
  const seconds = value.toNumber() - 3600 * since;
  const [whole, rest] = [Math.floor(seconds / 60), seconds % 60];
  return { value: Rational.of(whole).plus(Rational.of(rest).dividedBy(Rational.of(100))), place: -2, unit: { min: 1 } };
}

export const minutesAsDecimal: WorkingSlip = {
  id: 'minutes-as-decimal',
  stage: 'working',
  name: 'Time counted in hundreds',
  baseRate: 0.18,
  why: () => 'An hour has 60 minutes and a minute has 60 seconds. So 30 s are half a minute: 0.50 min, not 0.30 min.',
  lookAt: () => 'the minutes and seconds: divide them by 60 first',
  reworked: ({ formula, known }) => {
    const clocks = [...known].filter(([, { unit }]) => isOnClock(unit));
    if (clocks.length === 0) return [];
    const since = Math.min(...clocks.map(([, { value }]) => Math.floor(value.toNumber() / 3600)));
    return [{ formula, known: new Map(clocks.map(([name, time]) => [name, asDecimal(time, since)])) }];
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
  reworked: (task) => {
    if (isConversion(task)) return [];
    const stepped = withRoundedSteps(task);
    return stepped ? [stepped] : [];
  },
};
