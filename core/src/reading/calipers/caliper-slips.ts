import { lineAt, vernierDivision } from '../../scales/vernier.ts';
import { eyeAside } from '../slips/eye-level.ts';
import { labelOff } from '../slips/label-off.ts';
import { scattered, unscattered, type CountSlip, type Slip } from '../slips/slip.ts';
import { ZERO_SLIPS, zeroNegativeForwards, zeroNegativeMisread } from '../slips/zero.ts';
import {
  mainMarkAfter,
  vernierAt,
  vernierIgnored,
  vernierNeighbour,
  type VernierShown,
} from '../vernier/vernier-slips.ts';
import { asideShift, type CaliperIndication } from './caliper-indication.ts';

/** A caliper always has a vernier. */
function shownAt(indication: CaliperIndication, position: number): VernierShown {
  return vernierAt(indication, position) ?? { ...indication.vernier, main: position, line: 0 };
}

const vernierEdge: CountSlip<CaliperIndication> = {
  id: 'vernier-edge',
  stage: 'count',
  where: 'main scale',
  name: 'Read at the edge of the slide',
  baseRate: 0.12,
  why: () =>
    'Read the main scale at the vernier’s zero line. You read it at the edge of the slide, which comes before that line.',
  lookAt: () => 'the line marked 0 on the vernier',
  counted(indication, seen) {
    const before = Math.floor(seen - indication.tool.edge) - shownAt(indication, seen).main;
    return before < 0 ? [scattered(seen + before)] : [];
  },
};

const vernierCountAsTenths: CountSlip<CaliperIndication> = {
  id: 'vernier-count-as-tenths',
  stage: 'count',
  where: 'vernier',
  name: 'Line number written as the decimals',
  baseRate: 0.15,
  why: ({ tool }) =>
    `Multiply the number of the line that coincides by the least count, ${tool.division} mm. You wrote the number itself.`,
  lookAt: () => 'the least count of this vernier',
  counted(indication, seen) {
    const { vernier, main, line, least } = shownAt(indication, seen);
    if (vernier.lines === 10 || line === 0) return [];
    const hundredths = scattered(main + ((seen - main) / least) * 0.01, 0.6, 0.01);
    return line < 10 ? [hundredths, scattered(main + ((seen - main) / least) * 0.1, 0.4, 0.1)] : [hundredths];
  },
};

const vernierLabelAsCount: CountSlip<CaliperIndication> = {
  id: 'vernier-label-as-count',
  stage: 'count',
  where: 'vernier',
  name: 'Vernier label read as a line number',
  baseRate: 0.08,
  why: () => 'The labels on this vernier are five lines apart: label 3 and two more lines are line 17, not line 5.',
  lookAt: () => 'how many lines lie between two numbers of the vernier',
  counted(indication, seen) {
    const { vernier, line, least } = shownAt(indication, seen);
    if (indication.tool.numbers.every !== 5 || vernier.lines === 10 || line < 5) return [];
    const labels = Math.floor(line / 5);
    return [scattered(seen - labels * 4 * least)];
  },
};

const coincidenceOnMain: CountSlip<CaliperIndication> = {
  id: 'coincidence-on-main',
  stage: 'count',
  name: 'Main mark read where the lines coincide',
  baseRate: 0.08,
  why: () =>
    'Where the lines coincide, only the vernier’s line counts. The main mark there tells you nothing about the length.',
  lookAt: () => 'the vernier’s zero for the millimetres, its coinciding line for the rest',
  counted(indication, seen) {
    const { vernier, line } = shownAt(indication, seen);
    if (line === 0) return [];
    const mark = Math.round(lineAt(vernier, seen, line) / vernier.main);
    // Who takes the next line instead comes to another mark.
    const perLine = Math.round(vernierDivision(vernier) / vernier.main);
    const ways: readonly (readonly [further: number, part: number])[] = [
      [0, 0.7],
      [perLine, 0.15],
      [-perLine, 0.15],
    ];
    return ways.map(([further, part]) => unscattered((mark + further) * vernier.main, part));
  },
};

/** One main division lies between the far end of a vernier and its zero. */
const FAR = 1;

export const CALIPER_SLIPS: readonly Slip<CaliperIndication>[] = [
  eyeAside(asideShift),
  vernierEdge,
  mainMarkAfter,
  { ...labelOff, where: 'main scale' },
  vernierCountAsTenths,
  vernierLabelAsCount,
  vernierNeighbour,
  vernierIgnored,
  coincidenceOnMain,
  ...ZERO_SLIPS,
  zeroNegativeMisread(FAR),
  zeroNegativeForwards([FAR]),
];
