import type { DeliveringTube } from '../../instruments/instrument.ts';
import type { Action, Remark } from '../actions.ts';
import { columnPicture, type LiquidColumnPicture } from '../column/column-picture.ts';
import { describeColumn } from '../column/describe-column.ts';
import { surfaceHint, surfaceProfile } from '../column/surface.ts';
import type { Family } from '../family.ts';
import type { Posed } from '../indication/indication.ts';
import { inDrawing } from '../picture/picture-parts.ts';
import { LEVEL_HINT, scaleHints } from '../scale/scale-hints.ts';
import { scaleSteps } from '../scale/scale-steps.ts';
import { cautionsWith, NOT_BY_MOUTH } from '../words/cautions.ts';
import {
  BURETTE_FIELDS,
  BURETTE_MARGINS,
  buretteIndication,
  buretteResolution,
  checkBurette,
  type BuretteIndication,
  type BuretteSituation,
} from './burette-indication.ts';
import { BURETTE_SLIPS } from './burette-slips.ts';
import { drawBurette } from './draw-burette.ts';

/** A burette on the bench: what still is in it that should not be, and whether it has been let run. */
interface BuretteOnBench {
  readonly posed: Posed<DeliveringTube, BuretteSituation>;
  readonly left: BuretteSituation['left'] | null;
  readonly drained: boolean;
}

function handled(bench: BuretteOnBench, { kind }: Action): BuretteOnBench {
  if (kind === 'clear-top') return bench.left === 'funnel' ? { ...bench, left: null } : bench;
  if (kind === 'free-tip') return bench.left === 'bubble' ? { ...bench, left: null } : bench;
  if (kind === 'drain' || kind === 'refill') return { ...bench, drained: kind === 'drain' };
  return bench;
}

function burettePicture({ posed, left, drained }: BuretteOnBench, eyeHeight: number): LiquidColumnPicture {
  const indication = buretteIndication(posed);
  const { tool, situation, rules, positionOf } = indication;
  const { bore, wall, kind } = tool.body;
  const { from } = situation;
  return columnPicture(indication, eyeHeight, {
    vessel: kind,
    bore: inDrawing(bore),
    wall,
    floorY: positionOf(tool.scale.to) + 15,
    below: BURETTE_MARGINS[kind].below,
    profile: surfaceProfile(situation, rules, bore / 2),
    startY: from === undefined ? null : drained ? inDrawing(positionOf(situation.value)) : inDrawing(positionOf(from)),
    handled: from === undefined ? null : 'tap',
    left: left ?? null,
    ...(situation.liquid === undefined ? {} : { liquid: situation.liquid }),
    opaque: situation.opaque ?? false,
  });
}

const REMARKS: Readonly<Record<NonNullable<BuretteSituation['left']>, Remark>> = {
  funnel: {
    id: 'funnel-left',
    text: 'The funnel was still in the burette. Drops keep running in from it and raise the level. Take it out before you read the start.',
  },
  bubble: {
    id: 'bubble-left',
    text: 'There was an air bubble in the tip. Liquid takes its place and counts as delivered. Run the tip free before you read the start.',
  },
};

/** Burettes and graduated pipettes, whose numbers grow downward. */
export const BURETTES_FAMILY: Family<
  DeliveringTube,
  BuretteSituation,
  BuretteIndication,
  BuretteOnBench,
  LiquidColumnPicture
> = {
  id: 'burettes',
  slips: BURETTE_SLIPS,
  fields: () => BURETTE_FIELDS,
  check: checkBurette,
  resolution: buretteResolution,
  indicates: buretteIndication,
  draw: drawBurette,
  laid: (situation) => situation,
  onPaper: ({ left: _, ...situation }) =>
    situation.eyeHeight === undefined ? situation : { ...situation, eyeHeight: 0 },
  plain: (_tool, { left: _left, from: _from, ...situation }, set) => ({
    ...situation,
    ...(situation.eyeHeight === undefined ? {} : { eyeHeight: 0 }),
    ...(set && { value: set.value }),
  }),
  begin: (posed) => ({ posed, left: posed.situation.left ?? null, drained: false }),
  handle: handled,
  waits: (bench) => bench,
  shows: burettePicture,
  stands: ({ posed: { situation } }, eyeHeight) => ({ ...situation, eyeHeight }),
  remarks: ({ left }) => (left ? [REMARKS[left]] : []),
  describe: (picture) => describeColumn(picture, picture.surfaceY),
  fillsWidth: (picture) => picture.handled === 'tap',
  question: ({ tool, situation, asked }) => {
    const called = tool.body.kind === 'burette' ? 'burette' : 'pipette';
    return asked === 'delivered'
      ? `How much ${situation.liquid ?? 'liquid'} has run out of the ${called}?`
      : `What does the ${called} read?`;
  },
  hints: (indication) => scaleHints(indication, [LEVEL_HINT, surfaceHint(indication.situation, indication.rules)]),
  steps: (indication) => scaleSteps(indication),
  cautions: ({ tool, situation }) =>
    cautionsWith(situation.liquid, tool.body.kind === 'graduated-pipette' ? [NOT_BY_MOUTH] : []),
};
