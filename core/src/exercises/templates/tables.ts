import { calculate } from '../../calculations/calculate.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { Random } from '../../simulation/random.ts';
import type { Fault, TableExercise } from '../exercise.ts';
import { RUNNING } from './harbour-kit.ts';
import { written } from './written.ts';

/** A table in which faults can be planted: what it says follows from those that are. */
export interface TableTemplate {
  /** Faults it can hold, one of each. */
  readonly faults: readonly string[];
  readonly build: (
    random: Random,
    planted: ReadonlySet<string>,
    rules: HouseRules,
  ) => Omit<TableExercise, 'kind' | 'level'>;
}

interface Planted extends Omit<Fault, 'cells' | 'called'> {
  /** Row, from 0 for the headings, and column. */
  readonly at: readonly [row: number, column: number];
  /** Other cells that may be marked for it. */
  readonly or?: readonly (readonly [row: number, column: number])[];
  readonly called: string | readonly string[];
}

function faultsIn(columns: number, planted: readonly (Planted | false)[]): Fault[] {
  const cell = ([row, column]: readonly [number, number]): number => row * columns + column + 1;
  return planted.flatMap((one) =>
    one === false
      ? []
      : [{ cells: [one.at, ...(one.or ?? [])].map(cell), called: [one.called].flat(), right: one.right, why: one.why }],
  );
}

const hundredths = (random: Random, least: number, most: number): number =>
  Math.round(100 * (least + random.uniform() * (most - least)));
const inHundredths = (number: number): string => (number / 100).toFixed(2);
/** Hundredths that end in a zero that is written, and not in two. */
const tens = (random: Random, least: number, most: number): number =>
  Math.floor(hundredths(random, least, most) / 100) * 100 + 10 * (1 + random.below(9));
/** Hundredths that end in another digit; in a five where a class reads to twentieths. */
const uneven = (random: Random, least: number, most: number, twentieths = false): number =>
  tens(random, least, most) - (twentieths ? 5 : 1 + random.below(8));

const NO_UNIT = 'The heading gives the unit of the column. Without it the numbers mean nothing.';
const SHORT = 'This tool is read to two decimals in every row. A zero at the end is a reading too.';

/** Three runs of a burette: start, end, and what ran out. */
const burette: TableTemplate = {
  faults: ['heading-without-unit', 'uneven-decimals', 'wrong-result', 'zero-dropped', 'impossible-value'],
  build: (random, planted, { volumeUnit: unit, burettePlace }) => {
    const liquid = random.pick(RUNNING);
    const half = burettePlace === 'half';
    const starts = [tens(random, 0.3, 3), uneven(random, 0.3, 3, half), uneven(random, 0.3, 3, half)];
    // What runs out in the second run ends in a zero, in the others in another digit.
    const runs = [uneven(random, 12, 30, half), tens(random, 12, 30), uneven(random, 12, 30, half)];
    const ends = starts.map((start, i) => start + (runs[i] ?? 0));
    const slip = random.pick([100, -100, 10, -10] as const);
    const unlabelled = 1 + random.below(3);
    const headings = ['Run', ...['Start', 'End', 'Run out'].map((name) => `${name} / ${unit}`)];
    const rows = starts.map((start, i) => [
      String(i + 1),
      inHundredths(start),
      inHundredths(ends[i] ?? 0),
      inHundredths(runs[i] ?? 0),
    ]);
    const cells = [
      headings.map((heading, i) =>
        planted.has('heading-without-unit') && i === unlabelled ? (heading.split(' / ')[0] ?? '') : heading,
      ),
      ...rows,
    ];
    const set = (row: number, column: number, text: string): void => {
      const line = cells[row];
      if (line) line[column] = text;
    };
    if (planted.has('uneven-decimals')) set(1, 1, inHundredths(starts[0] ?? 0).slice(0, -1));
    if (planted.has('wrong-result')) set(1, 3, inHundredths((runs[0] ?? 0) + slip));
    if (planted.has('zero-dropped')) set(2, 3, inHundredths(runs[1] ?? 0).slice(0, -1));
    if (planted.has('impossible-value')) {
      set(3, 1, inHundredths(ends[2] ?? 0));
      set(3, 2, inHundredths(starts[2] ?? 0));
      set(3, 3, `−${inHundredths(runs[2] ?? 0)}`);
    }
    return {
      story: `Three runs of ${liquid} from a 50 ${unit} burette, read to ${half ? '0.05' : '0.01'} ${unit}.`,
      question: 'Mark what is wrong, and say what it is.',
      headings: cells[0] ?? [],
      rows: cells.slice(1),
      faults: faultsIn(4, [
        planted.has('heading-without-unit') && {
          at: [0, unlabelled],
          called: 'heading-without-unit',
          right: headings[unlabelled] ?? '',
          why: NO_UNIT,
        },
        planted.has('uneven-decimals') && {
          at: [1, 1],
          called: ['uneven-decimals', 'zero-dropped'],
          right: inHundredths(starts[0] ?? 0),
          why: SHORT,
        },
        planted.has('wrong-result') && {
          at: [1, 3],
          called: 'wrong-result',
          right: inHundredths(runs[0] ?? 0),
          why: 'End minus start gives another number.',
        },
        planted.has('zero-dropped') && {
          at: [2, 3],
          called: ['zero-dropped', 'uneven-decimals'],
          right: inHundredths(runs[1] ?? 0),
          why: 'Both readings go to the hundredth, and so does their difference. Its zero is certain.',
        },
        planted.has('impossible-value') && {
          at: [3, 3],
          or: [
            [3, 1],
            [3, 2],
          ],
          called: 'impossible-value',
          right: inHundredths(runs[2] ?? 0),
          why: 'The volume run out cannot be negative. Start and end were exchanged.',
        },
      ]),
    };
  },
};

/** Hot water that cools in a beaker. */
const cooling: TableTemplate = {
  faults: ['heading-without-unit', 'uneven-decimals', 'impossible-value'],
  build: (random, planted) => {
    const first = 720 + random.below(120);
    const temperatures = [first];
    for (let i = 1; i < 5; i += 1) temperatures.push((temperatures[i - 1] ?? 0) - 35 - random.below(25));
    const texts = temperatures.map((tenths) => (tenths / 10).toFixed(1));
    // The one that is written short ends in a zero, so that the rest of the table stays as it is.
    const short = 2 + random.below(3);
    texts[short] = `${texts[short]?.split('.')[0] ?? ''}.0`;
    const impossible = (1013 + random.below(80)) / 10;
    const unlabelled = random.below(2);
    const headings = ['Time / min', 'Water / °C'];
    const rows = texts.map((text, i) => [
      String(2 * i),
      planted.has('uneven-decimals') && i === short ? text.slice(0, -2) : text,
    ]);
    const top = rows[0];
    if (top && planted.has('impossible-value')) top[1] = impossible.toFixed(1);
    return {
      story: 'Hot water, at sea level, is taken off the plate and left to cool in an open beaker.',
      question: 'Mark what is wrong, and say what it is.',
      headings: headings.map((heading, i) =>
        planted.has('heading-without-unit') && i === unlabelled ? (heading.split(' / ')[0] ?? '') : heading,
      ),
      rows,
      faults: faultsIn(2, [
        planted.has('heading-without-unit') && {
          at: [0, unlabelled],
          called: 'heading-without-unit',
          right: headings[unlabelled] ?? '',
          why: NO_UNIT,
        },
        planted.has('uneven-decimals') && {
          at: [short + 1, 1],
          called: ['uneven-decimals', 'zero-dropped'],
          right: texts[short] ?? '',
          why: 'The thermometer is read to a tenth of a degree in every row. A zero is written too.',
        },
        planted.has('impossible-value') && {
          at: [1, 1],
          called: 'impossible-value',
          right: texts[0] ?? '',
          why: 'In an open beaker at sea level water boils at about 100 °C and becomes no hotter.',
        },
      ]),
    };
  },
};

/** Whether a rounding to tenths takes away enough to be seen: who goes on with 2.6 of 2.6000 has lost nothing. */
const losesByTenths = (full: string): boolean => Math.abs(Number(full) - Number(Number(full).toFixed(1))) > 0.005;

/** An edge in inches and in centimetres, from which a rounding to tenths takes something away. */
function edgeOf(random: Random, factor: string): { readonly edge: string; readonly centimetres: string } {
  for (;;) {
    const edge = written(random, 1.05, 1.85, 2);
    const centimetres = (Math.round(Number(edge) * Number(factor) * 10_000) / 10_000).toFixed(4);
    if (losesByTenths(centimetres)) return { edge, centimetres };
  }
}

/** A wooden block: its edge in inches, its volume, its mass with and without a tray, its density. */
const block: TableTemplate = {
  faults: ['wrong-factor', 'rounded-on-the-way', 'wrong-result', 'zero-dropped'],
  build: (random, planted) => {
    const factor = planted.has('wrong-factor') ? random.pick(['2.45', '2.45', '2.64'] as const) : '2.54';
    const { edge, centimetres } = edgeOf(random, factor);
    const wentOnWith = planted.has('rounded-on-the-way') ? Number(centimetres).toFixed(1) : centimetres;
    const volume = (Number(wentOnWith) ** 3).toFixed(3);
    const tray = uneven(random, 21, 48);
    const wood = Math.floor((Number(edge) * 2.54) ** 3 * (1.06 + 0.1 * random.uniform()) * 10) * 10;
    const slip = random.pick([100, -100, 10] as const);
    const net = planted.has('wrong-result') ? wood + slip : wood;
    const netText = planted.has('zero-dropped') ? inHundredths(net).slice(0, -1) : inHundredths(net);
    const density = (net / 100 / Number(volume)).toFixed(2);
    const rows = [
      ['Edge', `${edge} in × ${factor} cm/in`, `${centimetres} cm`],
      ['Volume', `(${wentOnWith} cm)³`, `${volume} cm³`],
      ['Mass', `${inHundredths(tray + wood)} g − ${inHundredths(tray)} g`, `${netText} g`],
      ['Density', `${inHundredths(net)} g ÷ ${volume} cm³`, `${density} g/cm³`],
    ];
    return {
      story: `A cube of ebony with an edge of ${edge} in is weighed in a tray. All digits are carried to the last line, which is rounded to three figures.`,
      question: 'Mark what is wrong in this working, and say what it is.',
      headings: ['Quantity', 'Working', 'Result'],
      rows,
      faults: faultsIn(3, [
        planted.has('wrong-factor') && {
          at: [1, 1],
          called: 'wrong-factor',
          right: `${edge} in × 2.54 cm/in`,
          why: 'An inch is 2.54 cm by definition.',
        },
        planted.has('rounded-on-the-way') && {
          at: [2, 1],
          called: 'rounded-on-the-way',
          right: `(${centimetres} cm)³`,
          why: 'The next line uses fewer digits of the edge than were worked out. The cube makes the loss three times as large.',
        },
        planted.has('wrong-result') && {
          at: [3, 2],
          called: 'wrong-result',
          right: `${inHundredths(wood)} g`,
          why: 'The difference of the two masses is another number.',
        },
        planted.has('zero-dropped') && {
          at: [3, 2],
          called: ['zero-dropped', 'uneven-decimals'],
          right: `${inHundredths(wood)} g`,
          why: 'Both masses go to the hundredth of a gram, and so does their difference.',
        },
      ]),
    };
  },
};

/** A volume, a mass below what would be accepted for it, and their density, from which a rounding to tenths takes something away. */
function lightPiece(
  random: Random,
  accepted: string,
): { readonly volume: string; readonly mass: string; readonly full: string } {
  for (;;) {
    // Three figures in the density leave two in the difference, and so one decimal in a percent error below ten.
    const volume = written(random, 6.1, 9.8, 2);
    const mass = (Number(volume) * Number(accepted) * (0.91 + 0.045 * random.uniform())).toFixed(2);
    const full = (Number(mass) / Number(volume)).toFixed(4);
    if (losesByTenths(full)) return { volume, mass, full };
  }
}

/** How far a density is off, line by line. */
const percent: TableTemplate = {
  faults: ['wrong-base', 'wrong-result', 'rounded-on-the-way'],
  build: (random, planted, { percentError }) => {
    const accepted = random.pick(['7.29', '8.91', '2.75', '8.55'] as const);
    const { volume, mass, full } = lightPiece(random, accepted);
    const wentOnWith = planted.has('rounded-on-the-way') ? Number(full).toFixed(1) : full;
    const difference = (Number(wentOnWith) - Number(accepted)).toFixed(4);
    const wrong = (Number(difference) + 0.1).toFixed(4);
    const said = (planted.has('wrong-result') ? wrong : difference).replace('-', '−');
    const base = planted.has('wrong-base') ? wentOnWith : accepted;
    const size = percentError === 'absolute' ? said.replace('−', '') : said;
    const ratio = ((Number(size.replace('−', '-')) / Number(base)) * 100).toFixed(1).replace('-', '−');
    return {
      story: `A piece of ${mass} g takes up ${volume} cm³. The accepted density of its material is ${accepted} g/cm³; all digits are carried to the last line.`,
      question: 'Mark what is wrong in this working, and say what it is.',
      headings: ['Quantity', 'Working', 'Result'],
      rows: [
        ['Density', `${mass} g ÷ ${volume} cm³`, `${full} g/cm³`],
        ['Difference', `${wentOnWith} g/cm³ − ${accepted} g/cm³`, `${said} g/cm³`],
        ['Percent error', `${size} g/cm³ ÷ ${base} g/cm³ × 100 %`, `${ratio} %`],
      ],
      faults: faultsIn(3, [
        planted.has('wrong-base') && {
          at: [3, 1],
          called: 'wrong-base',
          right: `÷ ${accepted} g/cm³`,
          why: 'Divide by the accepted value, not by the measured one.',
        },
        planted.has('wrong-result') && {
          at: [2, 2],
          called: 'wrong-result',
          right: `${difference.replace('-', '−')} g/cm³`,
          why: 'The difference of the two is another number.',
        },
        planted.has('rounded-on-the-way') && {
          at: [2, 1],
          called: 'rounded-on-the-way',
          right: `${full} g/cm³ − ${accepted} g/cm³`,
          why: 'The density had more digits. In a small difference the digits that were rounded away matter.',
        },
      ]),
    };
  },
};

/** Three pebbles by displacement: mass, volume, density. */
const pebbles: TableTemplate = {
  faults: ['heading-without-unit', 'uneven-decimals', 'wrong-result', 'zero-dropped'],
  build: (random, planted) => {
    const volumes = [written(random, 11.1, 19.9, 1), written(random, 11.1, 19.9, 1), written(random, 11.1, 19.9, 1)];
    const dense = [2.82 + 0.1 * random.uniform(), 2.9, 2.82 + 0.1 * random.uniform()];
    const masses = volumes.map((volume, i) => Number(volume) * (dense[i] ?? 2.9));
    const massTexts = masses.map((mass, i) => (i === 0 ? `${mass.toFixed(1)}0` : mass.toFixed(2)));
    // The second density is 2.90, with a zero to be lost.
    const densities = volumes.map((volume, i) => calculate(`${massTexts[i] ?? ''} g / ${volume} cm^3`).text);
    const headings = ['Pebble', 'Mass / g', 'Volume / cm³', 'Density / (g/cm³)'];
    const unlabelled = 1 + random.below(3);
    const swapped = (text: string): string =>
      text.replace(/\.(\d)(\d)$/, (_, first: string, second: string) =>
        first === second ? `.${first}${(Number(second) + 3) % 10}` : `.${second}${first}`,
      );
    const rows = volumes.map((volume, i) => [String(i + 1), massTexts[i] ?? '', volume, densities[i] ?? '']);
    const change = (row: number, column: number, text: string): void => {
      const line = rows[row];
      if (line) line[column] = text;
    };
    if (planted.has('uneven-decimals')) change(0, 1, (massTexts[0] ?? '').slice(0, -1));
    if (planted.has('zero-dropped')) change(1, 3, (densities[1] ?? '').replace(/0$/, ''));
    if (planted.has('wrong-result')) change(2, 3, swapped(densities[2] ?? ''));
    return {
      story: 'Three basalt pebbles, weighed on one balance and measured by the water they displace.',
      question: 'Mark what is wrong, and say what it is.',
      headings: headings.map((heading, i) =>
        planted.has('heading-without-unit') && i === unlabelled ? (heading.split(' / ')[0] ?? '') : heading,
      ),
      rows,
      faults: faultsIn(4, [
        planted.has('heading-without-unit') && {
          at: [0, unlabelled],
          called: 'heading-without-unit',
          right: headings[unlabelled] ?? '',
          why: NO_UNIT,
        },
        planted.has('uneven-decimals') && {
          at: [1, 1],
          called: ['uneven-decimals', 'zero-dropped'],
          right: massTexts[0] ?? '',
          why: 'The balance shows hundredths for every pebble. A zero is written too.',
        },
        planted.has('zero-dropped') && {
          at: [2, 3],
          called: ['zero-dropped', 'uneven-decimals'],
          right: densities[1] ?? '',
          why: 'The volume has three figures, and so has the density. Its last zero is certain.',
        },
        planted.has('wrong-result') && {
          at: [3, 3],
          called: 'wrong-result',
          right: densities[2] ?? '',
          why: 'Mass divided by volume is another number.',
        },
      ]),
    };
  },
};

export const TABLES: readonly [TableTemplate, ...TableTemplate[]] = [burette, cooling, block, percent, pebbles];
