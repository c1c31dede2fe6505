import Fraction from 'fraction.js';
import type { WorkingExercise } from '../../src/exercises/exercise.ts';
import {
  exactly,
  keeping,
  operations,
  read,
  rounded,
  text,
  withDecimals,
  withFigures,
  writingDown,
  written,
  type Known,
  type Way,
} from './reckoning.ts';

type Given = Readonly<Record<string, Known>>;
type Reckoning = (given: Given, way: Way, halved?: number) => Known;

/** Enough digits of π for anything here. */
const PI = exactly('3.14159265358979323846264338327950288419716939937510');

const both =
  (work: (o: ReturnType<typeof operations>, given: Given, halved: number) => Known): Reckoning =>
  (given, way, halved = 2) =>
    work(operations(way), given, halved);

const cylinder = (
  { times, over }: ReturnType<typeof operations>,
  { diameter, height }: Given,
  halved: number,
): Known => {
  const radius = halved === 1 ? diameter! : over(diameter!, exactly(halved));
  // The square is one step, which counts its figures once.
  return times(times(PI, times(radius, radius)), height!);
};

const mean =
  (...names: string[]): Reckoning =>
  (given) => {
    const readings = names.map((name) => given[name]!);
    const total = readings.reduce((sum, { value }) => sum.add(value), new Fraction(0));
    return withDecimals(total.div(readings.length), Math.min(...readings.map(({ decimals }) => decimals)));
  };

const HUNDRED = exactly(100);

/** Every calculation that is set, done by hand. */
const BY_HAND: Record<string, Reckoning> = {
  'first + second': both(({ sum }, g) => sum(g['first']!, g['second']!)),
  'first + second + third': both(({ sum }, g) => sum(sum(g['first']!, g['second']!), g['third']!)),
  '(full - empty)': both(({ less }, g) => less(g['full']!, g['empty']!)),
  '(after - before)': both(({ less }, g) => less(g['after']!, g['before']!)),
  'length * width': both(({ times }, g) => times(g['length']!, g['width']!)),
  'mass / volume': both(({ over }, g) => over(g['mass']!, g['volume']!)),
  'exact(count) * each': both(({ times }, g) => times(exactly(g['count']!.value), g['each']!)),
  'together / exact(count)': both(({ over }, g) => over(g['together']!, exactly(g['count']!.value))),
  'pi * (diameter / exact(2))^2 * height': both((o, g, halved) => cylinder(o, g, halved)),
  'side^3': (g) => withFigures(g['side']!.value.pow(3), g['side']!.figures),
  'density * volume': both(({ times }, g) => times(g['density']!, g['volume']!)),
  '(full - empty) / volume': both(({ less, over }, g) => over(less(g['full']!, g['empty']!), g['volume']!)),
  'mass / (after - before)': both(({ less, over }, g) => over(g['mass']!, less(g['after']!, g['before']!))),
  'mass / (pi * (diameter / exact(2))^2 * height)': both((o, g, halved) => o.over(g['mass']!, cylinder(o, g, halved))),
  '(outer - inner) / exact(2)': both(({ less, over }, g) => over(less(g['outer']!, g['inner']!), exactly(2))),
  'mean(width1; width2; width3)': mean('width1', 'width2', 'width3'),
  '(wet - dry) / (wet - dish) * 100 %': both(({ less, over, times }, g) =>
    times(over(less(g['wet']!, g['dry']!), less(g['wet']!, g['dish']!)), HUNDRED),
  ),
  '(measured - accepted) / accepted * 100 %': both(({ less, over, times }, g) =>
    times(over(less(g['measured']!, g['accepted']!), g['base'] ?? g['accepted']!), HUNDRED),
  ),
};

interface Clocked {
  readonly minutes: Known;
  readonly seconds: number;
}

function clock(reading: string): Clocked {
  const [hours = 0, minutes = 0, seconds = 0] = reading.split(':').map(Number);
  const all = 3600 * hours + 60 * minutes + seconds;
  // Known to the second, as many figures as it has in seconds.
  return { minutes: withFigures(new Fraction(all, 60), String(all).length), seconds: all };
}

function givenOf({ given }: WorkingExercise): Given {
  return Object.fromEntries(
    Object.entries(given).map(([name, quantity]) => [
      name,
      quantity.includes(':') ? clock(quantity).minutes : read(quantity),
    ]),
  );
}

/** The calculation by hand; quantities may be left out or put for one another, and the way of going on chosen. */
function byHand(
  exercise: WorkingExercise,
  change: (given: Given) => Given = (given) => given,
  way: Way = keeping,
  halved = 2,
): Known {
  const given = change(givenOf(exercise));
  if (exercise.formula === 'end - start -> min') {
    const seconds = clock(exercise.given['end']!).seconds - clock(exercise.given['start']!).seconds;
    return withFigures(new Fraction(seconds, 60), String(seconds).length);
  }
  if (exercise.formula === 'burned / time -> g/min')
    return withFigures(
      given['burned']!.value.div(given['time']!.value),
      Math.min(given['burned']!.figures, given['time']!.figures),
    );
  if (exercise.kind === 'convert-units') return converted(exercise);
  return BY_HAND[exercise.formula]!(given, way, halved);
}

/** Factors and offsets, from the definitions. */
const FACTORS: Record<string, string> = {
  'cm in': '1/2.54',
  'in cm': '2.54',
  'mm m': '0.001',
  'ft m': '0.3048',
  'cm^2 in^2': '1/6.4516',
  'in^2 cm^2': '6.4516',
  'ft^2 m^2': '0.09290304',
  'in^3 cm^3': '16.387064',
  'cm^3 in^3': '1/16.387064',
  'gal L': '3.785411784',
  'L fl oz': '1/0.0295735295625',
  'g kg': '0.001',
  'lb g': '453.59237',
  'g oz': '1/28.349523125',
  'g/cm^3 kg/m^3': '1000',
  'kg/m^3 g/cm^3': '0.001',
};
const LINEAR: Record<string, string> = {
  'cm^2 in^2': '1/2.54',
  'in^2 cm^2': '2.54',
  'ft^2 m^2': '0.3048',
  'in^3 cm^3': '2.54',
  'cm^3 in^3': '1/2.54',
};

function fraction(of: string): Fraction {
  const [above = '', below = '1'] = of.split('/');
  return new Fraction(above).div(new Fraction(below));
}

function asked(exercise: WorkingExercise): { readonly known: Known; readonly pair: string; readonly to: string } {
  const quantity = exercise.given['quantity']!;
  const to = exercise.formula.split('-> ')[1]!;
  return {
    known: read(quantity),
    pair: `${quantity.slice(quantity.indexOf(' ') + 1).replace('degC', '°C')} ${to}`,
    to,
  };
}

const N = (number: string): Fraction => new Fraction(number);
const WARM: Record<string, Record<'right' | 'forgotten' | 'turned' | 'order', (t: Fraction) => Fraction>> = {
  '°C K': { right: (t) => t.add(N('273.15')), forgotten: (t) => t, turned: (t) => t.sub(N('273.15')), order: (t) => t },
  '°F °C': {
    right: (t) => t.sub(32).div(N('1.8')),
    forgotten: (t) => t.div(N('1.8')),
    turned: (t) => t.add(32).div(N('1.8')),
    order: (t) => t.div(N('1.8')).sub(32),
  },
  '°C °F': {
    right: (t) => t.mul(N('1.8')).add(32),
    forgotten: (t) => t.mul(N('1.8')),
    turned: (t) => t.mul(N('1.8')).sub(32),
    order: (t) => t.add(32).mul(N('1.8')),
  },
};

function warm(exercise: WorkingExercise, how: 'right' | 'forgotten' | 'turned' | 'order'): Known {
  const { known, pair } = asked(exercise);
  const t = known.value;
  const steps = WARM[pair]!;
  // A sum goes by places, a product by figures, in the order in which they are taken.
  if (pair === '°C K') return withDecimals(steps[how](t), how === 'forgotten' ? known.decimals : known.decimals);
  const scaledFirst = pair === '°C °F' ? how !== 'order' : how === 'forgotten' || how === 'order';
  if (how === 'forgotten') return withFigures(steps[how](t), known.figures);
  if (scaledFirst)
    return withDecimals(
      steps[how](t),
      withFigures(pair === '°C °F' ? t.mul(N('1.8')) : t.div(N('1.8')), known.figures).decimals,
    );
  return withFigures(
    steps[how](t),
    withDecimals(pair === '°C °F' || how === 'turned' ? t.add(32) : t.sub(32), known.decimals).figures,
  );
}

function converted(exercise: WorkingExercise): Known {
  const { known, pair } = asked(exercise);
  return pair in WARM ? warm(exercise, 'right') : withFigures(known.value.mul(fraction(FACTORS[pair]!)), known.figures);
}

const unit = (exercise: WorkingExercise): string => UNITS[exercise.formula] ?? unitBehind(exercise);

/** Units as a student works them out, where they are not simply those of what is given. */
const UNITS: Record<string, string> = {
  'length * width': 'cm²',
  'pi * (diameter / exact(2))^2 * height': 'cm³',
  'side^3': 'cm³',
  'density * volume': 'g',
  'mass / (pi * (diameter / exact(2))^2 * height)': 'g/cm³',
  'exact(count) * each': 'g',
  'together / exact(count)': 'g',
};

function unitBehind({ formula, given, kind }: WorkingExercise): string {
  if (formula.includes('->')) return formula.split('-> ')[1]!;
  if (kind === 'percent-error' || formula.endsWith('%')) return '%';
  const of = (name: string): string => given[name]!.slice(given[name]!.indexOf(' ') + 1);
  if (formula === 'mass / volume' || formula === '(full - empty) / volume') return `g/${of('volume')}`;
  if (formula === 'mass / (after - before)') return `g/${of('after')}`;
  return of(Object.keys(given)[0]!);
}

export const careful = (exercise: WorkingExercise): string => `${text(byHand(exercise))} ${unit(exercise)}`;

const said = (exercise: WorkingExercise, known: Known): string => `${text(known)} ${unit(exercise)}`;

const NONE = exactly(0);
const decimalsOf = (exercise: WorkingExercise): number[] =>
  Object.values(exercise.given)
    .filter((quantity) => quantity.includes(' '))
    .map((quantity) => read(quantity).decimals);
const figuresOf = (exercise: WorkingExercise): number[] =>
  Object.values(exercise.given)
    .filter((quantity) => quantity.includes(' '))
    .map((quantity) => read(quantity).figures);

function asIfDecimal(reading: string): Known {
  const [hours, minutes, seconds] = reading.split(':');
  return read(`${Number(hours) * 60 + Number(minutes)}.${seconds} min`);
}

/** The first two neighbours that differ exchanged; nobody begins a number with a needless zero. */
export function exchanged(entry: string): string {
  const first = entry.replace(/(\d)(\.?)(?!\1)(\d)/, '$3$2$1');
  return /^-?0\d/.test(first) ? entry.replace(/(\d)(\.?)(?!\1)([1-9])/, '$3$2$1') : first;
}

/** A result in minutes, or per minute, worked out with the seconds as they are. */
function inSeconds(exercise: WorkingExercise): Known {
  const { value, figures } = byHand(exercise);
  return exercise.formula === 'end - start -> min'
    ? withDecimals(value.mul(60), 0)
    : withFigures(value.div(60), figures);
}

/** What somebody with one habit writes, from nothing but the numbers of the exercise. */
export const HABITS: Record<string, (exercise: WorkingExercise) => string> = {
  'rounded-between': (exercise) => said(exercise, byHand(exercise, undefined, writingDown)),
  'container-not-subtracted': (exercise) => {
    if (!('dish' in exercise.given))
      return said(
        exercise,
        byHand(exercise, (given) => ({ ...given, empty: NONE })),
      );
    return said(
      exercise,
      byHand(exercise, (given) => ({ ...given, dish: NONE })),
    );
  },
  'final-as-difference': (exercise) =>
    said(
      exercise,
      byHand(exercise, (given) => ({ ...given, before: NONE })),
    ),
  'diameter-as-radius': (exercise) => said(exercise, byHand(exercise, undefined, undefined, 1)),
  'density-turned-over': (exercise) => {
    const { value, figures } = byHand(exercise);
    return said(exercise, withFigures(new Fraction(1).div(value), figures));
  },
  'wrong-column-mean': (exercise) =>
    said(
      exercise,
      byHand(exercise, ({ height1, height2, height3 }) => ({ width1: height1!, width2: height2!, width3: height3! })),
    ),
  'percent-of-measured': (exercise) => {
    if (exercise.kind === 'percent-error')
      return said(
        exercise,
        byHand(exercise, (given) => ({ ...given, base: given['measured']! })),
      );
    const { less, over, times } = operations(keeping);
    const g = givenOf(exercise);
    return said(exercise, times(over(less(g['wet']!, g['dry']!), less(g['dry']!, g['dish']!)), HUNDRED));
  },
  'hundred-forgotten': (exercise) => {
    const { value, figures } = byHand(exercise);
    return said(exercise, withFigures(value.div(100), figures));
  },
  'difference-turned': (exercise) => {
    const { value, figures } = byHand(exercise);
    return said(exercise, withFigures(value.neg(), figures));
  },
  'minutes-as-decimal': (exercise) => {
    if ('time' in exercise.given)
      return said(
        exercise,
        byHand(exercise, (given) => ({ ...given, time: asIfDecimal(exercise.given['time']!) })),
      );
    const { less } = operations(keeping);
    return said(exercise, less(asIfDecimal(exercise.given['end']!), asIfDecimal(exercise.given['start']!)));
  },
  'factor-inverted': (exercise) => {
    const { known, pair } = asked(exercise);
    return said(exercise, withFigures(known.value.div(fraction(FACTORS[pair]!)), known.figures));
  },
  'factor-power-forgotten': (exercise) => {
    const { known, pair } = asked(exercise);
    return said(exercise, withFigures(known.value.mul(fraction(LINEAR[pair]!)), known.figures));
  },
  'not-converted': (exercise) => exercise.given['quantity'] ?? said(exercise, inSeconds(exercise)),
  'mean-not-divided': (exercise) => {
    const { value, decimals } = byHand(exercise);
    return said(exercise, withDecimals(value.mul(3), decimals));
  },
  'value-left-out': (exercise) => {
    const { width1, width2, width3 } = givenOf(exercise);
    const all = [width1!, width2!, width3!];
    const mean = byHand(exercise).value;
    // Without the one that lies furthest out, so that it shows.
    const [odd] = [...all].sort((a, b) => b.value.sub(mean).abs().compare(a.value.sub(mean).abs()));
    const sum = all.filter((one) => one !== odd).reduce((total, { value }) => total.add(value), new Fraction(0));
    return said(exercise, withDecimals(sum.div(2), odd!.decimals));
  },
  'offset-forgotten': (exercise) => said(exercise, warm(exercise, 'forgotten')),
  'offset-turned': (exercise) => said(exercise, warm(exercise, 'turned')),
  'offset-order': (exercise) => said(exercise, warm(exercise, 'order')),
  'fewest-figures-in-sum': (exercise) =>
    said(exercise, withFigures(byHand(exercise).value, Math.min(...figuresOf(exercise)))),
  'decimals-in-product': (exercise) =>
    said(exercise, withDecimals(byHand(exercise).value, Math.min(...decimalsOf(exercise)))),
  'exact-counted': (exercise) => {
    const count = exercise.given['count'];
    return said(exercise, withFigures(byHand(exercise).value, count === undefined ? 1 : count.length));
  },
  'calculator-digits': (exercise) => {
    const value = byHand(exercise).value.valueOf();
    return `${Number(value.toPrecision(10)).toString()} ${unit(exercise)}`;
  },
  'zero-lost': (exercise) =>
    `${text(byHand(exercise))
      .replace(/(\.\d*?)0+(?=e|$)/, '$1')
      .replace(/\.(?=e|$)/, '')} ${unit(exercise)}`,
  'cut-off': (exercise) => {
    const { value, decimals } = byHand(exercise);
    const scale = new Fraction(10).pow(decimals);
    const cut = value.abs().mul(scale).floor().div(scale);
    return `${written(value.compare(0) < 0 ? cut.neg() : cut, decimals)} ${unit(exercise)}`;
  },
  'rounded-twice': (exercise) => {
    const { value, decimals } = byHand(exercise);
    return `${written(rounded(value, decimals + 1), decimals)} ${unit(exercise)}`;
  },
  // A half goes to the even neighbour, where the class rounds it away from zero.
  'half-other-way': (exercise) => {
    const { value, decimals } = byHand(exercise);
    const scale = new Fraction(10).pow(decimals);
    const down = value.abs().mul(scale).floor();
    const isHalf = value.abs().mul(scale).sub(down).equals(new Fraction(1, 2));
    const even = (isHalf && down.mod(2).equals(0) ? down : rounded(value.abs(), decimals).mul(scale)).div(scale);
    return `${written(value.compare(0) < 0 ? even.neg() : even, decimals)} ${unit(exercise)}`;
  },
  'place-lost': (exercise) => {
    const { value, decimals } = byHand(exercise);
    return `${rounded(value, decimals).mul(new Fraction(10).pow(decimals)).toString()} ${unit(exercise)}`;
  },
  'bare-zeros': (exercise) => {
    const { value, decimals } = byHand(exercise);
    return `${rounded(value, decimals).toString()} ${unit(exercise)}`;
  },
  'too-many-figures': (exercise) => {
    const { value, decimals } = byHand(exercise);
    return `${written(value, decimals + 1)} ${unit(exercise)}`;
  },
  'too-few-figures': (exercise) => {
    const { value, decimals } = byHand(exercise);
    return `${written(value, decimals - 1)} ${unit(exercise)}`;
  },
  'power-of-ten': (exercise) => {
    const [digits = '', ...rest] = careful(exercise).split(' ');
    const decimals = digits.split('.')[1]?.length ?? 0;
    return [(Number(digits) * 10).toFixed(Math.max(0, decimals - 1)), ...rest].join(' ');
  },
  transposed: (exercise) => exchanged(careful(exercise)),
  'unit-missing': (exercise) => careful(exercise).split(' ')[0]!,
  'unit-wrong': (exercise) => `${careful(exercise).split(' ')[0]!} Pa`,
};
