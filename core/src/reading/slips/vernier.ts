import { lineAt, vernierDivision, vernierReading, type Vernier } from '../../scales/vernier.ts';
import { caliperReadingOf, micrometerReadingOf, SLEEVE_VERNIER } from '../slide-reading.ts';
import type { ReadingTask } from '../reading-task.ts';
import type { CountSlip, Counted } from './slip.ts';

/** The vernier that is read on a task, and the main mark and line it shows for a position; null where there is none. */
function shown(
  task: ReadingTask,
  position: number,
): {
  readonly vernier: Vernier;
  readonly main: number;
  readonly line: number;
  readonly least: number;
  readonly edge: number | null;
} | null {
  const caliper = caliperReadingOf(task);
  if (caliper)
    return {
      vernier: caliper.tool.vernier,
      ...vernierReading(caliper.tool.vernier, position),
      least: caliper.tool.division,
      edge: caliper.tool.edge,
    };
  const micrometer = micrometerReadingOf(task);
  if (!micrometer || micrometer.tool.sleeveLines === 0) return null;
  return {
    vernier: SLEEVE_VERNIER,
    ...vernierReading(SLEEVE_VERNIER, position),
    least: micrometer.tool.division,
    edge: null,
  };
}

const scattered = (value: number, part = 1, division?: number): Counted => ({
  value,
  scatter: true,
  part,
  ...(division === undefined ? {} : { division }),
});
const certain = (value: number, part = 1): Counted => ({ value, scatter: false, part });

export const vernierEdge: CountSlip = {
  id: 'vernier-edge',
  stage: 'count',
  name: 'Read at the edge of the slide',
  baseRate: 0.12,
  why: () =>
    'The main scale is read at the vernier’s own zero line. The slide begins before it, and so does not stand for the length.',
  lookAt: () => 'the line marked 0 on the vernier',
  counted(task, seen) {
    const read = shown(task, seen);
    if (!read || read.edge === null) return [];
    const before = Math.floor(seen - read.edge) - read.main;
    return before < 0 ? [scattered(seen + before)] : [];
  },
};

export const mainMarkAfter: CountSlip = {
  id: 'main-mark-after',
  stage: 'count',
  name: 'The main mark after the zero',
  baseRate: 0.08,
  why: () => 'The main reading is the last mark at or before the zero; the mark after it is not reached yet.',
  lookAt: () => 'the last main mark that has been passed',
  counted: (task, seen) => (caliperReadingOf(task) || micrometerReadingOf(task) ? [scattered(seen + 1)] : []),
};

export const vernierCountAsTenths: CountSlip = {
  id: 'vernier-count-as-tenths',
  stage: 'count',
  name: 'The line’s number taken for the decimal',
  baseRate: 0.15,
  why: (task) =>
    `The line that coincides is counted, and its number is multiplied by the least count, ${caliperReadingOf(task)?.tool.division ?? ''} mm.`,
  lookAt: () => 'the least count of this vernier',
  counted(task, seen) {
    const read = shown(task, seen);
    if (!read || read.edge === null || read.vernier.lines === 10 || read.line === 0) return [];
    const hundredths = scattered(read.main + ((seen - read.main) / read.least) * 0.01, 0.6, 0.01);
    return read.line < 10
      ? [hundredths, scattered(read.main + ((seen - read.main) / read.least) * 0.1, 0.4, 0.1)]
      : [hundredths];
  },
};

export const vernierLabelAsCount: CountSlip = {
  id: 'vernier-label-as-count',
  stage: 'count',
  name: 'The vernier’s label taken for a line',
  baseRate: 0.08,
  why: () => 'The numbers on this vernier stand five lines apart: label 3 and two lines are line 17, not line 5.',
  lookAt: () => 'how many lines lie between two numbers of the vernier',
  counted(task, seen) {
    const read = shown(task, seen);
    const caliper = caliperReadingOf(task);
    if (!read || caliper?.tool.numbers.every !== 5 || read.vernier.lines === 10 || read.line < 5) return [];
    const labels = Math.floor(read.line / 5);
    return [scattered(seen - labels * 4 * read.least)];
  },
};

export const vernierNeighbour: CountSlip = {
  id: 'vernier-neighbour',
  stage: 'count',
  name: 'A line near the one that coincides',
  baseRate: 0.1,
  why: () =>
    'One line lies on a main mark; those beside it are off a little more with every line, to one side and to the other.',
  lookAt: () => 'the lines on both sides: they leave it in opposite directions',
  counted(task, seen) {
    const read = shown(task, seen);
    // Two or three lines off, and a little scatter about that.
    return read ? [2.5, -2.5].map((lines) => scattered(seen + lines * read.least, 0.5)) : [];
  },
};

export const vernierIgnored: CountSlip = {
  id: 'vernier-ignored',
  stage: 'count',
  name: 'The vernier was not read',
  baseRate: 0.3,
  why: () => 'You wrote what the main scale shows. The vernier gives what lies beyond that mark.',
  lookAt: () => 'the vernier’s line that coincides',
  counted(task, seen) {
    const read = shown(task, seen);
    if (!read) return [];
    const place = Math.round(Math.log10(read.vernier.main));
    return [
      { ...certain(Number((Math.floor(seen / read.vernier.main + 1e-9) * read.vernier.main).toFixed(6))), place },
    ];
  },
};

export const coincidenceOnMain: CountSlip = {
  id: 'coincidence-on-main',
  stage: 'count',
  name: 'The main mark at the coincidence',
  baseRate: 0.08,
  why: () => 'Where the lines coincide, the vernier’s number counts. The main mark there says nothing of the length.',
  lookAt: () => 'the vernier’s zero for the millimetres, its coinciding line for the rest',
  counted(task, seen) {
    const read = shown(task, seen);
    if (!read || read.edge === null || read.line === 0) return [];
    const mark = Math.round(lineAt(read.vernier, seen, read.line) / read.vernier.main);
    // Who takes the next line instead comes to another mark.
    const perLine = Math.round(vernierDivision(read.vernier) / read.vernier.main);
    return (
      [
        [0, 0.7],
        [perLine, 0.15],
        [-perLine, 0.15],
      ] as const
    ).map(([further, part]) => certain((mark + further) * read.vernier.main, part));
  },
};
