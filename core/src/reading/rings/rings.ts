import type { RingTool } from '../../instruments/instrument.ts';
import type { ActionKind } from '../actions.ts';
import type { LiquidColumnPicture } from '../column/column-picture.ts';
import { LIQUIDS } from '../column/liquids.ts';
import { surfaceProfile } from '../column/surface.ts';
import { drawnEye, type Aimed } from '../drawing/aimed.ts';
import type { Family } from '../family.ts';
import { indicationFrom, type Indication, type Posed } from '../indication/indication.ts';
import { resolutionOf } from '../indication/resolution.ts';
import { expectedFrom } from '../indication/written.ts';
import { revealStep, type RevealStep } from '../picture/reveal-step.ts';
import { checkLiquid, LIQUID_FIELDS, type LiquidSituation } from '../scale/scale-checks.ts';
import { EYE_DISTANCE } from '../scale/scale-indication.ts';
import { cautionsWith, NOT_BY_MOUTH } from '../words/cautions.ts';
import { pipetteRemarks, UNFILLED, type Filling } from './pipette-remarks.ts';

type RingIndication = Indication<RingTool, LiquidSituation>;

/** A tool with a ring on the bench, and what has been done since a pipette was filled last. */
interface RingOnBench {
  readonly posed: Posed<RingTool, LiquidSituation>;
  readonly filling: Filling;
}

/** Bare glass above and below the ring, in mm. */
const PIPETTE = { above: 60, below: 240 };
const FLASK = { above: 60, below: 130 };

const WORDS = {
  digit: 'The ring’s volume is known to its last decimal. With fewer digits your number says less than the tool does.',
  zero: 'The maker set the ring exactly, so the zeros after the point are known. Write them.',
};

function ringIndication(posed: Posed<RingTool, LiquidSituation>): RingIndication {
  return indicationFrom(posed, {
    resolution: resolutionOf(posed.tool.division, 'known'),
    // What stands on a ring is the marked volume, whatever it holds in truth.
    mark: null,
    subtracted: 0,
    answer: posed.tool.volume,
    words: WORDS,
  });
}

function drawRing({ volume, tolerance }: RingTool, aimed: Aimed): LiquidSituation {
  return {
    value: Number((volume + tolerance.a * (2 * aimed.random.uniform() - 1)).toFixed(4)),
    eyeHeight: drawnEye(aimed),
    surface: 'wetting',
    liquid: aimed.random.pick(LIQUIDS),
  };
}

/** A neck with its one ring, drawn as a column with a single unnumbered line. */
function ringPicture({ posed, filling }: RingOnBench, eyeHeight: number): LiquidColumnPicture {
  const { tool, situation, rules } = posed;
  const delivers = tool.made === 'to-deliver';
  const { above, below } = delivers ? PIPETTE : FLASK;
  const startY = filling.above === null ? above + below - 2 : above - filling.above;
  return {
    kind: 'liquid-column',
    vessel: delivers ? 'volumetric-pipette' : 'volumetric-flask',
    instrumentId: tool.id,
    unitMark: tool.unit,
    bore: tool.bore,
    wall: tool.wall,
    height: above + below,
    floorY: above + below,
    outline: [],
    marks: [{ y: above, rank: 'long', label: null }],
    secondMarks: [],
    scaleSide: 'near',
    liquid: situation.liquid ?? 'water',
    opaque: situation.opaque ?? false,
    // Where a ring has been set, the surface lies on it; what the tool then holds is its maker’s doing.
    surfaceY: above,
    profile: surfaceProfile(situation, rules, tool.bore / 2),
    // A pipette is empty at first.
    startY: delivers ? startY : null,
    handled: delivers ? 'pipette' : null,
    left: null,
    note: `Marked ${tool.volume} mL, ±${tool.tolerance.b} mL, made to ${delivers ? 'deliver' : 'contain'}.`,
    eye: { height: eyeHeight, distance: EYE_DISTANCE, gap: tool.bore / 2 + tool.wall },
  };
}

/** What each action makes of a filling. */
const AFTER: Readonly<Partial<Record<ActionKind, (filling: Filling, to: number | null) => Filling>>> = {
  fill: (_, above) => ({ ...UNFILLED, filled: true, above }),
  'let-down': (filling, above) => ({ ...filling, above }),
  wipe: (filling) => ({ ...filling, wiped: true }),
  deliver: (filling) => ({ ...filling, delivered: true }),
  drained: (filling) => ({ ...filling, drained: true }),
  'take-away': (filling) => ({ ...filling, takenAway: true }),
  blow: (filling) => ({ ...filling, blown: true }),
};

function ringSteps(indication: RingIndication): RevealStep[] {
  const { volume, tolerance, made, unit } = indication.tool;
  const { text } = expectedFrom(indication);
  return [
    revealStep(
      'label',
      `The ring marks one volume: ${volume} ${unit}, made to ${made === 'to-deliver' ? 'deliver' : 'contain'}`,
    ),
    revealStep(
      'estimate',
      `Its maker answers for ±${tolerance.b} ${unit}, so the digits go on to there: ${text}`,
      text,
    ),
  ];
}

/** Where the surface stands to the ring, in words. @param apparentY where it seems to stand, in drawing units. */
export function describeRing({ marks }: LiquidColumnPicture, apparentY: number): string {
  const above = (marks[0]?.y ?? 0) - apparentY;
  return `The surface lies ${Math.abs(above) < 0.3 ? 'on the ring' : above > 0 ? 'above the ring' : 'below the ring'}.`;
}

/** Volumetric pipettes and flasks: one ring, one volume. */
export const RINGS_FAMILY: Family<RingTool, LiquidSituation, RingIndication, RingOnBench, LiquidColumnPicture> = {
  id: 'rings',
  slips: [],
  fields: () => LIQUID_FIELDS,
  check: (_, situation) => checkLiquid(situation),
  resolution: ({ division }) => resolutionOf(division, 'known'),
  indicates: ringIndication,
  draw: drawRing,
  laid: (situation) => situation,
  onPaper: (situation) => (situation.eyeHeight === undefined ? situation : { ...situation, eyeHeight: 0 }),
  plain: (_, situation, set) => ({
    ...situation,
    ...(situation.eyeHeight === undefined ? {} : { eyeHeight: 0 }),
    ...(set && { value: set.value }),
  }),
  begin: (posed) => ({ posed, filling: UNFILLED }),
  handle: (bench, { kind, to }) => ({ ...bench, filling: AFTER[kind]?.(bench.filling, to) ?? bench.filling }),
  waits: (bench) => bench,
  shows: ringPicture,
  stands: ({ posed: { situation } }, eyeHeight) => ({ ...situation, eyeHeight }),
  remarks: ({ posed: { tool }, filling }) => (tool.made === 'to-deliver' ? pipetteRemarks(tool, filling) : []),
  describe: (picture) => describeRing(picture, picture.surfaceY),
  fillsWidth: () => false,
  question: ({ tool, situation: { liquid = 'liquid' } }) =>
    tool.made === 'to-deliver'
      ? `How much ${liquid} does this pipette deliver from its ring?`
      : `How much ${liquid} does this flask hold up to its ring?`,
  hints: () => [
    'The ring marks one volume. There is nothing to count.',
    'Look how well that volume is known. That decides the decimals.',
    'Add the unit.',
  ],
  steps: ringSteps,
  cautions: ({ tool, situation }) => cautionsWith(situation.liquid, tool.made === 'to-deliver' ? [NOT_BY_MOUTH] : []),
};
