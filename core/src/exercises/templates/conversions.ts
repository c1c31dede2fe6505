import type { Random } from '../../simulation/random.ts';
import type { Level, WorkingExercise } from '../exercise.ts';
import type { Template } from './template.ts';
import { wholeNumber, written } from './written.ts';

const kind = 'convert-units' as const;

interface Converted {
  /** The sentence around the quantity. */
  readonly story: string;
  readonly asked: string;
  readonly quantity: (random: Random) => string;
  readonly to: string;
  readonly levels: readonly [Level, Level];
}

const between =
  (least: number, most: number, decimals: number, unit: string) =>
  (random: Random): string =>
    `${written(random, least, most, decimals)} ${unit}`;

const CONVERTED: readonly Converted[] = [
  {
    story: 'An ebony belaying peg is {quantity} long.',
    asked: 'How long is that in inches?',
    quantity: between(12, 44, 1, 'cm'),
    to: 'in',
    levels: [1, 2],
  },
  {
    story: 'A deck nail of an old list is {quantity} long.',
    asked: 'How long is that in centimetres?',
    quantity: between(1.5, 7, 2, 'in'),
    to: 'cm',
    levels: [1, 2],
  },
  {
    story: 'An acrylic rod is {quantity} long.',
    asked: 'How long is that in metres?',
    quantity: between(112, 989, 1, 'mm'),
    to: 'm',
    levels: [1, 1],
  },
  {
    story: 'A jetty is {quantity} long.',
    asked: 'How long is that in metres?',
    quantity: between(31, 99, 1, 'ft'),
    to: 'm',
    levels: [2, 3],
  },
  {
    story: 'The face of a slate tile measures {quantity}.',
    asked: 'How large is that in square inches?',
    quantity: between(112, 480, 1, 'cm^2'),
    to: 'in^2',
    levels: [2, 3],
  },
  {
    story: 'A sail patch measures {quantity}.',
    asked: 'How large is that in square centimetres?',
    quantity: between(11, 48, 1, 'in^2'),
    to: 'cm^2',
    levels: [2, 3],
  },
  {
    story: 'A deck hatch measures {quantity}.',
    asked: 'How large is that in square metres?',
    quantity: between(6, 15, 2, 'ft^2'),
    to: 'm^2',
    levels: [2, 3],
  },
  {
    story: 'A ballast box holds {quantity}.',
    asked: 'How much is that in cubic centimetres?',
    quantity: between(21, 96, 1, 'in^3'),
    to: 'cm^3',
    levels: [2, 3],
  },
  {
    story: 'A glass net-float takes up {quantity}.',
    asked: 'How much is that in cubic inches?',
    quantity: between(121, 890, 1, 'cm^3'),
    to: 'in^3',
    levels: [2, 3],
  },
  {
    story: 'A can holds {quantity} of lamp oil.',
    asked: 'How much is that in litres?',
    quantity: between(1.1, 4.8, 2, 'gal'),
    to: 'L',
    levels: [2, 3],
  },
  {
    story: 'A flask holds {quantity} of brine.',
    asked: 'How much is that in fluid ounces?',
    quantity: between(0.21, 1.9, 3, 'L'),
    to: 'fl oz',
    levels: [2, 3],
  },
  {
    story: 'A basalt pebble weighs {quantity}.',
    asked: 'How heavy is that in kilograms?',
    quantity: between(112, 890, 1, 'g'),
    to: 'kg',
    levels: [1, 1],
  },
  {
    story: 'A tin ballast ingot weighs {quantity}.',
    asked: 'How heavy is that in grams?',
    quantity: between(1.1, 4.9, 2, 'lb'),
    to: 'g',
    levels: [1, 3],
  },
  {
    story: 'A brass bush weighs {quantity}.',
    asked: 'How heavy is that in ounces?',
    quantity: between(88, 240, 1, 'g'),
    to: 'oz',
    levels: [1, 3],
  },
  {
    story: 'The harbour water is at {quantity}.',
    asked: 'What is that in kelvin?',
    quantity: between(2, 24, 1, '°C'),
    to: 'K',
    levels: [1, 2],
  },
  {
    story: 'The workshop is at {quantity}.',
    asked: 'What is that in degrees Celsius?',
    quantity: between(51, 88, 1, '°F'),
    to: '°C',
    levels: [2, 3],
  },
  {
    story: 'Melted beeswax is at {quantity}.',
    asked: 'What is that in degrees Fahrenheit?',
    quantity: between(61, 94, 1, '°C'),
    to: '°F',
    levels: [2, 3],
  },
  {
    story: 'The density of a basalt pebble is {quantity}.',
    asked: 'What is that in kilograms per cubic metre?',
    quantity: between(2.7, 3.1, 2, 'g/cm^3'),
    to: 'kg/m^3',
    levels: [3, 3],
  },
  {
    story: 'The density of brine is {quantity}.',
    asked: 'What is that in grams per cubic centimetre?',
    quantity: (random) => `${wholeNumber(random, 1031, 1189)} kg/m^3`,
    to: 'g/cm^3',
    levels: [3, 3],
  },
];

export const CONVERSIONS: readonly Template<WorkingExercise>[] = CONVERTED.map(
  ({ story, asked, quantity, to, levels }) => ({
    levels,
    draw: ({ random }) => ({
      kind,
      story,
      question: asked,
      given: { quantity: quantity(random) },
      formula: `quantity -> ${to}`,
    }),
  }),
);

const PERCENT = 'percent-error' as const;

/** The formula of a percent error by the class’s rule: with its sign, or its size alone. */
const ERRORS = {
  signed: '(measured - accepted) / accepted * 100 %',
  absolute: 'abs(measured - accepted) / accepted * 100 %',
} as const;

interface Accepted {
  readonly story: string;
  readonly accepted: (random: Random) => number;
  readonly decimals: readonly [measured: number, accepted: number];
  readonly unit: string;
  /** Largest part by which the measured value misses. */
  readonly miss: number;
}

/** The density of something solid, as tables have it. */
const tabled = (thing: string, density: number): Accepted => ({
  story: `A class finds {measured} for the density of ${thing}. The accepted value is {accepted}.`,
  accepted: () => density,
  decimals: [2, 2],
  unit: 'g/cm^3',
  miss: 0.14,
});

const ACCEPTED: readonly Accepted[] = [
  ...[
    ['tin', 7.29],
    ['nickel', 8.91],
    ['slate', 2.75],
    ['soda glass', 2.5],
    ['acrylic', 1.18],
  ].map(([thing, density]) => tabled(String(thing), Number(density))),
  {
    story: 'A class finds {measured} for the density of glycerol. The accepted value is {accepted}.',
    accepted: () => 1.261,
    decimals: [2, 3],
    unit: 'g/mL',
    miss: 0.2,
  },
  {
    story: 'A check mass stamped {accepted} shows {measured} on the bench balance.',
    accepted: (random) => random.pick([20, 50, 100, 200]),
    decimals: [1, 2],
    unit: 'g',
    miss: 0.05,
  },
  {
    story: 'A gauge rod known to be {accepted} long reads {measured} on a worn ruler.',
    accepted: (random) => Number(written(random, 12, 58, 2)),
    decimals: [1, 2],
    unit: 'cm',
    miss: 0.08,
  },
  {
    story: 'Brine made up to {accepted} reads {measured} on a hydrometer.',
    accepted: (random) => Number(written(random, 1.04, 1.18, 3)),
    decimals: [3, 3],
    unit: 'g/mL',
    miss: 0.04,
  },
  {
    story: 'The volume of an ebony block comes out as {measured}; from its edges it is {accepted}.',
    accepted: (random) => Number(written(random, 21, 88, 2)),
    decimals: [1, 2],
    unit: 'cm^3',
    miss: 0.15,
  },
];

export const PERCENT_ERRORS: readonly Template<WorkingExercise>[] = ACCEPTED.map(
  ({ story, accepted, decimals, unit, miss }) => ({
    levels: [1, 3],
    draw: ({ random, rules, level }) => {
      const part = (level === 1 ? 0.5 + random.uniform() / 2 : 0.15 + random.uniform() * 0.85) * miss;
      const known = accepted(random);
      const measured = (known * (1 + (random.uniform() < 0.5 ? -part : part))).toFixed(decimals[0]);
      return {
        kind: PERCENT,
        story,
        question: 'What is the percent error?',
        given: { measured: `${measured} ${unit}`, accepted: `${known.toFixed(decimals[1])} ${unit}` },
        formula: ERRORS[rules.percentError],
      };
    },
  }),
);
