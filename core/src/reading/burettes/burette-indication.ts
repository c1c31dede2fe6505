import type { DeliveringTube } from '../../instruments/instrument.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { belowTheTop, type Margins } from '../column/column-picture.ts';
import type { Curved } from '../column/meniscus-slips.ts';
import { edgeHeight } from '../column/surface.ts';
import { askedIn } from '../indication/asked.ts';
import { indicationFrom, type Posed } from '../indication/indication.ts';
import { resolutionOf, type Resolution } from '../indication/resolution.ts';
import { checkChoice } from '../indication/situation-error.ts';
import { evenly, millimetresPerMillilitre, type Geometry } from '../scale/geometry.ts';
import { checkLiquid, checkStart, LIQUID_FIELDS, type LiquidSituation } from '../scale/scale-checks.ts';
import { onScale, type ScaleIndication } from '../scale/scale-indication.ts';
import { GRADUATION_WORDS } from '../scale/words.ts';

/** A tube as it stands; with a starting mark, what has run out of it since is asked for. */
export interface BuretteSituation extends LiquidSituation {
  /** Starting mark of a delivered volume. */
  readonly from?: number;
  /** What was left in a burette, for the student to notice: a funnel in its top, or a bubble of air in its tip. */
  readonly left?: 'funnel' | 'bubble';
}

export const BURETTE_FIELDS = [...LIQUID_FIELDS, 'from', 'left'] as const;

/** @throws SituationError */
export function checkBurette(tool: DeliveringTube, situation: BuretteSituation): void {
  checkChoice('left', situation.left, ['funnel', 'bubble']);
  checkLiquid(situation);
  checkStart(tool, situation.value, situation.from);
}

/** A burette or a graduated pipette with a liquid in it. */
export type BuretteIndication = ScaleIndication<DeliveringTube, BuretteSituation> & Curved;

const BURETTE_GEOMETRY: Geometry<DeliveringTube> = {
  along: ({ body, scale }, value) => evenly(millimetresPerMillilitre(body.bore)).along(scale, value),
  valueAt: ({ body, scale }, length) => evenly(millimetresPerMillilitre(body.bore)).valueAt(scale, length),
  gapAt: ({ body: { bore, wall } }) => bore / 2 + wall,
};

export const BURETTE_MARGINS: Readonly<Record<DeliveringTube['body']['kind'], Margins>> = {
  burette: { above: 30, below: 90 },
  'graduated-pipette': { above: 60, below: 40 },
};

/** A rule of its own says how far burettes are read. */
export function buretteResolution(
  { division, skill, body }: DeliveringTube,
  { burettePlace, estimate, estimateByFamily }: HouseRules,
): Resolution {
  if (body.kind === 'burette') return resolutionOf(division, burettePlace === 'half' ? 'half-division' : 'tenths');
  return resolutionOf(division, estimateByFamily[skill] ?? estimate);
}

export function buretteIndication(posed: Posed<DeliveringTube, BuretteSituation>): BuretteIndication {
  const { tool, situation, rules } = posed;
  const { value, from = 0 } = situation;
  const indication = indicationFrom(posed, {
    resolution: buretteResolution(tool, rules),
    mark: value,
    subtracted: askedIn(situation) === 'delivered' ? from : 0,
    graduation: tool.scale,
    words: GRADUATION_WORDS,
  });
  const positionOf = belowTheTop(BURETTE_GEOMETRY, tool, BURETTE_MARGINS[tool.body.kind]);
  return {
    ...onScale(indication, { geometry: BURETTE_GEOMETRY, positionOf }),
    edge: edgeHeight(situation, rules, tool.body.bore / 2),
  };
}
