import type { Ruler } from '../../instruments/instrument.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { askedIn } from '../indication/asked.ts';
import { indicationFrom, type Posed } from '../indication/indication.ts';
import { resolutionOf, type Resolution } from '../indication/resolution.ts';
import { evenly, type Geometry } from '../scale/geometry.ts';
import { onScale, type ScaleIndication } from '../scale/scale-indication.ts';
import { GRADUATION_WORDS } from '../scale/words.ts';
import type { RulerSituation } from './ruler-situation.ts';

/** A ruler with a thing at it: the mark that is read is where the thing ends. */
export type RulerIndication = ScaleIndication<Ruler, RulerSituation>;

export const RULER_GEOMETRY: Geometry<Ruler> = {
  along: ({ body, scale }, value) => evenly(body.perUnit).along(scale, value),
  valueAt: ({ body, scale }, length) => evenly(body.perUnit).valueAt(scale, length),
  gapAt: ({ body }) => body.gap,
};

export function rulerResolution({ division, skill }: Ruler, { estimate, estimateByFamily }: HouseRules): Resolution {
  return resolutionOf(division, estimateByFamily[skill] ?? estimate);
}

export function rulerIndication(posed: Posed<Ruler, RulerSituation>): RulerIndication {
  const { tool, situation, rules } = posed;
  const { value, from = 0, endOffset = 0 } = situation;
  const asked = askedIn(situation);
  const indication = indicationFrom(posed, {
    resolution: rulerResolution(tool, rules),
    mark: value + from,
    subtracted: asked === 'delivered' ? from : 0,
    answer: asked === 'observed' ? value + from : value,
    // What begins at the zero mark is read once.
    isDifference: asked === 'delivered' && from !== 0,
    graduation: tool.scale,
    words: GRADUATION_WORDS,
  });
  return onScale(indication, {
    geometry: RULER_GEOMETRY,
    positionOf: (at) => endOffset + RULER_GEOMETRY.along(tool, at),
  });
}
