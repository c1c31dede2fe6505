import { CAPILLARY_LENGTH, wallHeight } from '../scale/meniscus.ts';
import type { Hydrometer } from '../../instruments/instrument.ts';
import { columnPicture, topmost, type LiquidColumnPicture } from '../column/column-picture.ts';
import { describeColumn } from '../column/describe-column.ts';
import { edgeShift, liquidAtStart, MENISCUS_EDGE, wallPath } from '../column/meniscus-slips.ts';
import { drawnEye, type Aimed } from '../drawing/aimed.ts';
import { drawnPoint, innerPart } from '../drawing/point.ts';
import type { Family } from '../family.ts';
import type { Posed } from '../indication/indication.ts';
import { inDrawing } from '../picture/picture-parts.ts';
import { LEVEL_HINT, scaleHints } from '../scale/scale-hints.ts';
import { scaleSteps } from '../scale/scale-steps.ts';
import { COUNTING_SLIPS } from '../slips/counting.ts';
import { EYE_LEVEL_SLIPS } from '../slips/eye-level.ts';
import type { SightSlip } from '../slips/slip.ts';
import { BROKEN, cautionsWith } from '../words/cautions.ts';
import {
  checkHydrometer,
  HYDROMETER_FIELDS,
  HYDROMETER_GEOMETRY,
  HYDROMETER_MARGINS,
  hydrometerIndication,
  hydrometerResolution,
  type HydrometerIndication,
  type HydrometerSituation,
} from './hydrometer-indication.ts';

/** A rack of hydrometers beside a liquid: which one was tried first, and which is in it, the lightest being 0. */
interface HydrometerOnBench {
  readonly posed: Posed<Hydrometer, HydrometerSituation>;
  readonly triedFirst: number | null;
}

/** What floats a hydrometer, by the lightest density of its span. */
const FLOATED: Readonly<Record<string, string>> = {
  '0.7': 'naphtha',
  '0.8': 'spirit and water',
  '0.9': 'spirit and water',
  '1': 'brine',
  '1.1': 'glycerol and water',
  '1.2': 'calcium brine',
};

function drawHydrometer(tool: Hydrometer, aimed: Aimed): HydrometerSituation {
  return {
    value: drawnPoint(hydrometerResolution(tool, aimed.rules), aimed, ...innerPart(tool.range, 0.06, 0.94)),
    eyeHeight: drawnEye(aimed),
    liquid: FLOATED[tool.range[0]] ?? 'brine',
    ...(aimed.random.uniform() < 0.35 ? { untried: true } : {}),
  };
}

const topOfClimb: SightSlip<HydrometerIndication> = {
  ...MENISCUS_EDGE,
  why: (indication) =>
    `${liquidAtStart(indication)} climbs the stem. This class reads at the level of the liquid around it. The top of the climb always reads too little.`,
  lookAt: () => 'the level surface of the liquid, away from the stem',
  shift: (indication) => (indication.edge > 0 ? edgeShift(indication) : null),
  path: (indication) => wallPath(indication, 'the stem'),
};

/** Height of the surface outside a stem as a part of the climb: a decaying Bessel function’s usual approximation, e^(−d ÷ a)·√(R ÷ (R + d)). */
function outsideStem(distance: number, radius: number): number {
  return Math.exp(-distance / CAPILLARY_LENGTH) * Math.sqrt(radius / (radius + distance));
}

/** Outside a stem the surface is highest at the glass and level further out: [distance from the stem, height]. */
function climbProfile({ tool, rules }: HydrometerIndication): [number, number][] {
  const { stemRadius } = tool.body;
  const climb = wallHeight('wetting', stemRadius);
  const below = rules.hydrometerMark === 'meniscus-top' ? climb : 0;
  return Array.from({ length: 25 }, (_, i): [number, number] => [
    inDrawing(i * 0.5),
    inDrawing(climb * outsideStem(i * 0.5, stemRadius) - below),
  ]);
}

function hydrometerPicture(indication: HydrometerIndication, eyeHeight: number): LiquidColumnPicture {
  const { tool, situation } = indication;
  const { above, below } = HYDROMETER_MARGINS;
  return columnPicture(indication, eyeHeight, {
    vessel: 'hydrometer',
    bore: 2 * tool.body.stemRadius,
    wall: 0,
    floorY: above + topmost(HYDROMETER_GEOMETRY, tool) + below,
    below: 0,
    profile: climbProfile(indication),
    handled: situation.untried ? 'try' : null,
    ...(situation.liquid === undefined ? {} : { liquid: situation.liquid }),
  });
}

/** Hydrometers, which float in what they measure; numbers grow downward. */
export const HYDROMETERS_FAMILY: Family<
  Hydrometer,
  HydrometerSituation,
  HydrometerIndication,
  HydrometerOnBench,
  LiquidColumnPicture
> = {
  id: 'hydrometers',
  slips: [...EYE_LEVEL_SLIPS, topOfClimb, ...COUNTING_SLIPS],
  fields: () => HYDROMETER_FIELDS,
  check: checkHydrometer,
  resolution: hydrometerResolution,
  indicates: hydrometerIndication,
  draw: drawHydrometer,
  laid: (situation) => situation,
  onPaper: ({ untried: _, ...situation }) =>
    situation.eyeHeight === undefined ? situation : { ...situation, eyeHeight: 0 },
  plain: (_tool, { untried: _untried, ...situation }, set) => ({
    ...situation,
    ...(situation.eyeHeight === undefined ? {} : { eyeHeight: 0 }),
    ...(set && { value: set.value }),
  }),
  begin: (posed) => ({ posed, triedFirst: null }),
  handle: (bench, { kind, to }) =>
    kind === 'try' && bench.triedFirst === null ? { ...bench, triedFirst: to ?? 0 } : bench,
  waits: (bench) => bench,
  shows: ({ posed }, eyeHeight) => hydrometerPicture(hydrometerIndication(posed), eyeHeight),
  stands: ({ posed: { situation } }, eyeHeight) => ({ ...situation, eyeHeight }),
  remarks: ({ triedFirst }) =>
    triedFirst === null || triedFirst === 0
      ? []
      : [
          {
            id: 'heavy-first',
            text: 'You did not begin with the lightest range. In a light liquid a heavy hydrometer drops to the bottom and may break. Begin with the lightest, and go up.',
          },
        ],
  describe: (picture) => describeColumn(picture, picture.surfaceY),
  fillsWidth: () => false,
  question: ({ situation }) => `How dense is the ${situation.liquid ?? 'liquid'}?`,
  hints: (indication) =>
    scaleHints(indication, [
      LEVEL_HINT,
      indication.rules.hydrometerMark === 'meniscus-top'
        ? 'Look at the top of the climb on the stem: this class reads there.'
        : 'Look along the level surface, not up the climb on the stem.',
    ]),
  steps: (indication) => scaleSteps(indication),
  cautions: ({ situation }) => cautionsWith(situation.liquid, [BROKEN]),
};
