import type { Hydrometer } from '../../instruments/instrument.ts';
import { wallHeight } from '../scale/meniscus.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { belowTheTop, type Margins } from '../column/column-picture.ts';
import type { Curved } from '../column/meniscus-slips.ts';
import { indicationFrom, type AnySituation, type Posed } from '../indication/indication.ts';
import { resolutionOf, type Resolution } from '../indication/resolution.ts';
import { checkEye, checkFlag } from '../indication/situation-error.ts';
import type { Geometry } from '../scale/geometry.ts';
import { onScale, type ScaleIndication } from '../scale/scale-indication.ts';
import { GRADUATION_WORDS } from '../scale/words.ts';

/** A hydrometer in a liquid; its value is the liquid’s density. */
export interface HydrometerSituation extends AnySituation {
  readonly eyeHeight?: number;
  readonly liquid?: string;
  /** True while the right hydrometer is still to be found. */
  readonly untried?: boolean;
}

export const HYDROMETER_FIELDS = ['eyeHeight', 'liquid', 'untried'] as const;

/** @throws SituationError */
export function checkHydrometer(_: Hydrometer, situation: HydrometerSituation): void {
  checkFlag('untried', situation.untried);
  checkEye(situation);
}

export type HydrometerIndication = ScaleIndication<Hydrometer, HydrometerSituation> & Curved;

/** Stem length for one g/mL of 1 ÷ density: the scale's length over the span of reciprocals. */
function lengthPerReciprocal({ scale: { from, to }, body: { length } }: Hydrometer): number {
  return length / (1 / from - 1 / to);
}

export const HYDROMETER_GEOMETRY: Geometry<Hydrometer> = {
  along: (tool, value) => lengthPerReciprocal(tool) * (1 / value - 1 / tool.scale.to),
  valueAt: (tool, length) => 1 / (length / lengthPerReciprocal(tool) + 1 / tool.scale.to),
  gapAt: ({ body }) => body.stemRadius,
};

export const HYDROMETER_MARGINS: Margins = { above: 14, below: 92 };

export function hydrometerResolution(
  { division, skill }: Hydrometer,
  { estimate, estimateByFamily }: HouseRules,
): Resolution {
  return resolutionOf(division, estimateByFamily[skill] ?? estimate);
}

export function hydrometerIndication(posed: Posed<Hydrometer, HydrometerSituation>): HydrometerIndication {
  const { tool, situation, rules } = posed;
  const indication = indicationFrom(posed, {
    resolution: hydrometerResolution(tool, rules),
    mark: situation.value,
    subtracted: 0,
    graduation: tool.scale,
    words: GRADUATION_WORDS,
  });
  return {
    ...onScale(indication, {
      geometry: HYDROMETER_GEOMETRY,
      positionOf: belowTheTop(HYDROMETER_GEOMETRY, tool, HYDROMETER_MARGINS),
    }),
    // A class that reads at the top of the climb has nothing else to read.
    edge: rules.hydrometerMark === 'liquid-level' ? wallHeight('wetting', tool.body.stemRadius) : 0,
  };
}
