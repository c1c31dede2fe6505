import type { GraduatedGlass } from '../../instruments/instrument.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { belowTheTop } from '../column/column-picture.ts';
import type { Curved } from '../column/meniscus-slips.ts';
import { edgeHeight } from '../column/surface.ts';
import { indicationFrom, type Posed } from '../indication/indication.ts';
import { resolutionOf, type Resolution } from '../indication/resolution.ts';
import { checkFlag, SituationError } from '../indication/situation-error.ts';
import { checkLiquid, LIQUID_FIELDS, type LiquidSituation } from '../scale/scale-checks.ts';
import { onScale, type ScaleIndication } from '../scale/scale-indication.ts';
import { GRADUATION_WORDS } from '../scale/words.ts';
import { GLASS_GEOMETRY, GLASS_MARGINS, innerRadius } from './glass-geometry.ts';

export interface GlassSituation extends LiquidSituation {
  /** True when the tool carries a second, descending scale. */
  readonly secondScale?: boolean;
}

/** Glassware with a liquid in it. */
export type GlassIndication = ScaleIndication<GraduatedGlass, GlassSituation> & Curved;

/** A straight cylinder may have a second scale. */
export function glassFields({ body }: GraduatedGlass): readonly string[] {
  return body.kind === 'cylinder' ? [...LIQUID_FIELDS, 'secondScale'] : LIQUID_FIELDS;
}

/** @throws SituationError */
export function checkGlass(tool: GraduatedGlass, situation: GlassSituation): void {
  checkFlag('secondScale', situation.secondScale);
  checkLiquid(situation);
  if (situation.secondScale && !tool.mayHaveSecondScale)
    throw new SituationError('secondScale', `a ${tool.name} has one scale.`);
}

/** Approximate marks are written to the unit. */
const TO_THE_UNIT = { step: 1, place: 0 };

export function glassResolution(
  { division, approximate, skill }: GraduatedGlass,
  { estimate, estimateByFamily }: HouseRules,
): Resolution {
  const lastDigit = estimateByFamily[skill] ?? estimate;
  const resolution = resolutionOf(division, lastDigit);
  return approximate && lastDigit === 'tenths' ? { ...resolution, ...TO_THE_UNIT } : resolution;
}

export function glassIndication(posed: Posed<GraduatedGlass, GlassSituation>): GlassIndication {
  const { tool, situation, rules } = posed;
  const { value } = situation;
  const indication = indicationFrom(posed, {
    resolution: glassResolution(tool, rules),
    mark: value,
    subtracted: 0,
    graduation: tool.scale,
    words: GRADUATION_WORDS,
  });
  const positionOf = belowTheTop(GLASS_GEOMETRY, tool, GLASS_MARGINS[tool.body.kind]);
  const radius = innerRadius(tool, GLASS_GEOMETRY.along(tool, value));
  return {
    ...onScale(indication, { geometry: GLASS_GEOMETRY, positionOf }),
    edge: edgeHeight(situation, rules, radius),
  };
}
