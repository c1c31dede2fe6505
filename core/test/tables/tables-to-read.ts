import type { Random, TableFaultKind as TableFault } from '../../src/index.ts';
import { less, meanOf, percentError, product, quotient } from './by-hand.ts';

/** A table, and what was planted in it: any of the cells will do. */
export interface TableToRead {
  readonly table: string[][];
  readonly planted: readonly {
    readonly kind: TableFault;
    readonly cells: readonly (readonly [row: number, column: number])[];
  }[];
}

/** A table in the making: rows of values under headings, not turned, with a point. */
interface Draft {
  readonly headings: string[];
  readonly rows: string[][];
  /** The mean at the foot, by column. */
  foot: string[] | null;
  /** Columns that were read, that come of a difference, a quotient or a percent error. */
  readonly read: readonly number[];
  readonly difference: { readonly end: number; readonly start: number; readonly target: number } | null;
  readonly quotient: { readonly over: number; readonly under: number; readonly target: number } | null;
  readonly percent: number | null;
  readonly mean: number | null;
  readonly isRunning: boolean;
  readonly isRepeated: boolean;
}

const written = (random: Random, least: number, most: number, decimals: number): string =>
  (least + random.uniform() * (most - least)).toFixed(decimals);

/** Repeats about a value, none quite like another one. */
function about(random: Random, value: number, scatter: number, decimals: number): string {
  return (value + scatter * (2 * random.uniform() - 1)).toFixed(decimals);
}

/** `Mass (g)`, `Mass / g`, `Mass [g]`, `Mass, g`: one way in one table. */
function headingForm(random: Random): (name: string, unit: string) => string {
  return random.pick([
    (name: string, unit: string) => `${name} (${unit})`,
    (name: string, unit: string) => `${name} / ${unit}`,
    (name: string, unit: string) => `${name} [${unit}]`,
    (name: string, unit: string) => `${name}, ${unit}`,
  ]);
}

const NONE = {
  difference: null,
  quotient: null,
  percent: null,
  mean: null,
  isRunning: false,
  isRepeated: true,
  foot: null,
};

type Making = (random: Random, heading: (name: string, unit: string) => string, count: number) => Draft | null;

const displacement: Making = (random, heading, count) => {
  const [mass, volume] = [20 + 60 * random.uniform(), 6 + 6 * random.uniform()];
  const rows = Array.from({ length: count }, (_, i) => {
    const before = written(random, 18, 26, 1);
    const after = (Number(before) + volume + 0.3 * (2 * random.uniform() - 1)).toFixed(1);
    const weighed = about(random, mass, 0.04, 2);
    const displaced = less(after, before);
    return [String(i + 1), weighed, before, after, displaced, quotient(weighed, displaced) ?? ''];
  });
  if (rows.some((row) => row[5] === '')) return null;
  return {
    ...NONE,
    headings: [
      'Trial',
      heading('Mass', 'g'),
      heading('Water before', 'mL'),
      heading('Water after', 'mL'),
      heading('Volume', 'mL'),
      heading('Density', 'g/mL'),
    ],
    rows,
    read: [1, 2, 3],
    difference: { end: 3, start: 2, target: 4 },
    quotient: { over: 1, under: 4, target: 5 },
  };
};

const burette: Making = (random, heading, count) => {
  const each = 3 + 4 * random.uniform();
  let at = written(random, 0.1, 2, 2);
  const rows = Array.from({ length: count }, (_, i) => {
    const end = (Number(at) + each + 0.06 * (2 * random.uniform() - 1)).toFixed(2);
    const row = [String(i + 1), at, end, less(end, at)];
    at = end;
    return row;
  });
  return {
    ...NONE,
    headings: ['Delivery', heading('Start', 'mL'), heading('End', 'mL'), heading('Delivered', 'mL')],
    rows,
    read: [1, 2],
    difference: { end: 2, start: 1, target: 3 },
    isRunning: true,
    foot: random.uniform() < 0.5 ? ['Mean', '', '', meanOf(rows.map((row) => row[3]!))] : null,
    mean: 3,
  };
};

const vessel: Making = (random, heading, count) => {
  const empty = written(random, 30, 60, 2);
  const rows = Array.from({ length: count }, (_, i) => {
    const full = (Number(empty) + 20 + 5 * random.uniform()).toFixed(2);
    return [`fill ${i + 1}`, i === 0 ? empty : '', full, less(full, empty)];
  });
  return {
    ...NONE,
    headings: ['Fill', heading('Empty beaker', 'g'), heading('Full beaker', 'g'), heading('Mass of water', 'g')],
    rows,
    read: [2],
    isRepeated: false,
    difference: { end: 2, start: 1, target: 3 },
  };
};

const densities: Making = (random, heading, count) => {
  const rows = Array.from({ length: count }, () => {
    const accepted = written(random, 1.1, 9, 2);
    const off = (random.uniform() < 0.5 ? -1 : 1) * (0.12 + 0.6 * random.uniform());
    const measured = (Number(accepted) + off).toFixed(2);
    return [
      random.pick(['bronze nail', 'slate tile', 'tin ingot', 'brass bush', 'acrylic rod']),
      measured,
      accepted,
      percentError(measured, accepted) ?? '',
    ];
  });
  if (rows.some((row) => row[3] === '')) return null;
  return {
    ...NONE,
    headings: [
      'Piece',
      heading('Measured density', 'g/cm³'),
      heading('Accepted density', 'g/cm³'),
      'Percent error (%)',
    ],
    rows,
    read: [1, 2],
    isRepeated: false,
    percent: 3,
  };
};

const sheets: Making = (random, heading, count) => {
  const rows = Array.from({ length: count }, (_, i) => {
    const [length, width] = [written(random, 11, 29, 2), written(random, 4, 9.9, 2)];
    return [`sheet ${i + 1}`, length, width, product(length, width) ?? ''];
  });
  if (rows.some((row) => row[3] === '')) return null;
  return {
    ...NONE,
    headings: ['Sheet', heading('Length', 'cm'), heading('Width', 'cm'), heading('Area', 'cm²')],
    rows,
    read: [1, 2],
    isRepeated: false,
  };
};

const positions: Making = (random, heading, count) => {
  const rows = Array.from({ length: count }, (_, i) => {
    const size = 8 + 20 * random.uniform();
    const readings = Array.from({ length: 3 }, () => about(random, size, 0.05, 2));
    return [`rod ${i + 1}`, ...readings, meanOf(readings)];
  });
  return {
    ...NONE,
    headings: ['Rod', ...[1, 2, 3].map((k) => heading(`Reading ${k}`, 'mm')), heading('Mean', 'mm')],
    rows,
    read: [1, 2, 3],
    isRepeated: false,
    mean: 4,
  };
};

const MAKINGS: readonly [Making, ...Making[]] = [displacement, burette, vessel, densities, sheets, positions];

/** How a fault is planted; null where the table has no place for it. */
type Planting = (draft: Draft, random: Random) => TableToRead['planted'][number] | null;

const somewhere = (random: Random, draft: Draft): number => random.below(draft.rows.length);
const decimalsOf = (text: string): number => (text.split('.')[1] ?? '').length;

function offBy(random: Random, text: string): string {
  const last = 10 ** -decimalsOf(text);
  const steps = random.pick([2, 3, 4, 5, 6, 7, 8, 10, 20, 30, 100]);
  return (Number(text) + (random.uniform() < 0.5 ? -1 : 1) * steps * last).toFixed(decimalsOf(text));
}

function wrongValue(kind: TableFault, column: (draft: Draft) => number | null): Planting {
  return (draft, random) => {
    const target = column(draft);
    if (target === null) return null;
    const row = somewhere(random, draft);
    const right = draft.rows[row]![target]!;
    const wrong = offBy(random, right);
    // Less than nothing, or with its digits in another order, it would be another fault.
    const digits = (text: string): string => Array.from(text.replace(/\D/g, '')).sort().join('');
    if (Number(wrong) <= 0 !== Number(right) <= 0 || digits(wrong) === digits(right)) return null;
    draft.rows[row]![target] = wrong;
    return { kind, cells: [[row + 1, target]] };
  };
}

const PLANTINGS: Readonly<Record<string, Planting>> = {
  'unit-missing': (draft, random) => {
    const column = random.pick(draft.read as [number, ...number[]]);
    draft.headings[column] = draft.headings[column]!.replace(/\s*[([/,].*$/, '');
    return { kind: 'unit-missing', cells: [[0, column]] };
  },
  'uneven-decimals': (draft, random) => {
    const column = random.pick(draft.read as [number, ...number[]]);
    const row = draft.rows.findIndex((cells) => /\.\d*0$/.test(cells[column]!));
    if (row < 0 || draft.rows.length < 4) return null;
    draft.rows[row]![column] = draft.rows[row]![column]!.replace(/\.?0$/, '');
    return { kind: 'uneven-decimals', cells: [[row + 1, column]] };
  },
  'wrong-difference': wrongValue('wrong-difference', ({ difference }) => difference?.target ?? null),
  'wrong-quotient': wrongValue('wrong-quotient', (draft) => draft.quotient?.target ?? null),
  'wrong-percent': wrongValue('wrong-percent', ({ percent }) => percent),
  'wrong-mean': (draft, random) => {
    if (draft.mean === null) return null;
    if (draft.foot) {
      draft.foot[draft.mean] = offBy(random, draft.foot[draft.mean]!);
      return { kind: 'wrong-mean', cells: [[draft.rows.length + 1, draft.mean]] };
    }
    return draft.isRunning ? null : wrongValue('wrong-mean', () => draft.mean)(draft, random);
  },
  exchanged: (draft, random) => {
    const { difference } = draft;
    if (!difference || !draft.read.includes(difference.start)) return null;
    const row = somewhere(random, draft);
    const cells = draft.rows[row]!;
    [cells[difference.start], cells[difference.end]] = [cells[difference.end]!, cells[difference.start]!];
    return {
      kind: 'exchanged',
      cells: [
        [row + 1, difference.start],
        [row + 1, difference.end],
      ],
    };
  },
  'not-continued': (draft, random) => {
    const { difference } = draft;
    if (!difference || !draft.isRunning || draft.rows.length < 4) return null;
    const row = 1 + random.below(draft.rows.length - 1);
    const cells = draft.rows[row]!;
    cells[difference.start] = (Number(cells[difference.start]) + random.pick([-0.3, -0.2, 0.1, 0.2, 0.4])).toFixed(2);
    cells[difference.target] = less(cells[difference.end]!, cells[difference.start]!);
    if (draft.foot) draft.foot[draft.mean!] = meanOf(draft.rows.map((one) => one[draft.mean!]!));
    return { kind: 'not-continued', cells: [[row + 1, difference.start]] };
  },
  'copied-row': (draft, random) => {
    if (draft.isRunning || draft.read.length < 2 || draft.rows.length < 5) return null;
    const [from, to] = [0, 1 + random.below(draft.rows.length - 1)];
    draft.rows[to] = [draft.rows[to]![0]!, ...draft.rows[from]!.slice(1)];
    return { kind: 'copied-row', cells: draft.rows[to].map((_, column) => [to + 1, column] as const) };
  },
  'digits-exchanged': (draft, random) => {
    const { difference } = draft;
    if (!difference || !draft.read.includes(difference.end)) return null;
    const column = draft.read.includes(difference.start) && random.uniform() < 0.5 ? difference.start : difference.end;
    const row = somewhere(random, draft);
    const right = draft.rows[row]![column]!;
    const digits = Array.from(right);
    const at = digits.length - (decimalsOf(right) === 1 ? 3 : 2);
    const next = digits[at + 1] === '.' ? at + 2 : at + 1;
    if (digits[at] === digits[next]) return null;
    [digits[at], digits[next]] = [digits[next]!, digits[at]!];
    draft.rows[row]![column] = digits.join('');
    return { kind: 'digits-exchanged', cells: [[row + 1, column]] };
  },
  'zero-lost': (draft) => {
    const target = draft.difference?.target ?? draft.mean;
    if (target === null) return null;
    const row = draft.rows.findIndex((cells) => /\.\d*0$/.test(cells[target]!));
    if (row < 0) return null;
    draft.rows[row]![target] = draft.rows[row]![target]!.replace(/\.?0$/, '');
    return { kind: 'zero-lost', cells: [[row + 1, target]] };
  },
  'too-many-digits': (draft, random) => {
    const target = draft.quotient?.target ?? null;
    if (target === null) return null;
    const row = somewhere(random, draft);
    const [over, under] = [draft.quotient!.over, draft.quotient!.under].map((column) =>
      Number(draft.rows[row]![column]),
    );
    draft.rows[row]![target] = (over! / under!).toFixed(decimalsOf(draft.rows[row]![target]!) + 1 + random.below(4));
    return { kind: 'too-many-digits', cells: [[row + 1, target]] };
  },
  outlier: (draft, random) => {
    // One repeat that was read on the wrong label: everything in its row follows from it.
    const { quotient: by } = draft;
    if (!by || !draft.isRepeated || draft.rows.length < 6) return null;
    const row = somewhere(random, draft);
    const cells = draft.rows[row]!;
    cells[by.over] = (Number(cells[by.over]) + random.pick([-5, 5, 3])).toFixed(2);
    const density = quotient(cells[by.over]!, cells[by.under]!);
    if (density === null) return null;
    cells[by.target] = density;
    return { kind: 'outlier', cells: [[row + 1, by.over]] };
  },
  impossible: (draft, random) => {
    const { quotient: by } = draft;
    if (!by) return null;
    const row = somewhere(random, draft);
    const cells = draft.rows[row]!;
    cells[by.over] = `-${cells[by.over]!}`;
    const density = quotient(cells[by.over]!, cells[by.under]!);
    if (density === null) return null;
    cells[by.target] = density;
    return {
      kind: 'impossible',
      cells: [
        [row + 1, by.over],
        [row + 1, by.target],
      ],
    };
  },
};

export const PLANTED_KINDS = Object.keys(PLANTINGS);

/** The table as it would be pasted: with a comma, turned, or under a title. */
function pasted({ headings, rows, foot }: Draft, random: Random, planted: TableToRead['planted']): TableToRead {
  const comma = random.uniform() < 0.3;
  const [isTurned, hasTitle] = [foot === null && random.uniform() < 0.25, random.uniform() < 0.2];
  const mark = (text: string): string => (comma && /^-?\d+\.\d+$/.test(text) ? text.replace('.', ',') : text);
  const lines = [headings, ...rows, ...(foot ? [foot] : [])].map((row) => row.map(mark));
  const laid = isTurned ? headings.map((_, column) => lines.map((row) => row[column]!)) : lines;
  const table = hasTitle ? [['Group 4, harbour kit'], ...laid] : laid;
  return {
    table: table.map((row) => [...row]),
    planted: planted.map(({ kind, cells }) => ({
      kind,
      cells: cells.map(([row, column]) => {
        const [r, c] = isTurned ? [column, row] : [row, column];
        return [r + (hasTitle ? 1 : 0), c] as const;
      }),
    })),
  };
}

function drawnDraft(random: Random): Draft {
  for (;;) {
    const draft = random.pick(MAKINGS)(random, headingForm(random), 4 + random.below(5));
    if (draft) return draft;
  }
}

export function cleanTable(random: Random): string[][] {
  return pasted(drawnDraft(random), random, []).table;
}

/**
 * A table with faults of different kinds in different rows.
 * @throws RangeError where no table of so many has room for all of them.
 */
export function faultyTable(random: Random, kinds: readonly string[], chances = 2000): TableToRead {
  for (let chance = 0; chance < chances; chance += 1) {
    const draft = drawnDraft(random);
    const planted: TableToRead['planted'][number][] = [];
    const fits = kinds.every((kind) => {
      const before = JSON.stringify(draft.rows);
      const one = PLANTINGS[kind]!(draft, random);
      if (!one) return false;
      planted.push(one);
      return JSON.stringify(draft.rows) !== before || one.kind === 'unit-missing' || one.kind === 'wrong-mean';
    });
    const rows = planted.flatMap(({ cells }) => [...new Set(cells.map(([row]) => row))]);
    if (fits && new Set(rows).size === rows.length) return pasted(draft, random, planted);
  }
  throw new RangeError(`kinds: no table has room for ${kinds.join(', ')}.`);
}
