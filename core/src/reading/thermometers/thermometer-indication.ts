import type { Thermometer } from '../../instruments/instrument.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import { belowTheTop, type Margins } from '../column/column-picture.ts';
import { askedIn } from '../indication/asked.ts';
import { indicationFrom, withoutDust, type AnySituation, type Posed } from '../indication/indication.ts';
import { resolutionOf, type Resolution } from '../indication/resolution.ts';
import { checkChoice, checkEye, checkFlag, checkNumber } from '../indication/situation-error.ts';
import { checkShown } from '../indication/shown.ts';
import { evenly, type Geometry } from '../scale/geometry.ts';
import { onScale, type ScaleIndication, type ScaleSide } from '../scale/scale-indication.ts';
import { GRADUATION_WORDS } from '../scale/words.ts';

interface Bath extends AnySituation {
  /** What the tool shows at true zero. */
  readonly zeroError?: number;
  readonly eyeHeight?: number;
  readonly scaleSide?: ScaleSide;
  /** What is in the bath. */
  readonly liquid?: string;
}

/** While the thread still moves, `shown` is where it stands. */
export type ThermometerSituation = Bath &
  ({ readonly settled?: true; readonly shown?: undefined } | { readonly settled: false; readonly shown: number });

export const THERMOMETER_FIELDS = ['zeroError', 'eyeHeight', 'scaleSide', 'settled', 'shown', 'liquid'] as const;

/** A thermometer that is off by more than this many divisions is not used. */
const MOST_OFF = 10;

/** @throws SituationError */
export function checkThermometer(tool: Thermometer, situation: ThermometerSituation): void {
  const { range, division, unit } = tool;
  const [least, most] = range;
  const { value, zeroError = 0 } = situation;
  checkChoice('scaleSide', situation.scaleSide, ['near', 'far']);
  checkFlag('settled', situation.settled);
  checkEye(situation);
  checkNumber('zeroError', zeroError, -MOST_OFF * division, MOST_OFF * division, unit);
  checkNumber('zeroError', value + zeroError, least, most, unit);
  checkShown(situation, least, most, unit);
}

/** A thermometer as it stands: the mark is where its thread comes to rest. */
export type ThermometerIndication = ScaleIndication<Thermometer, ThermometerSituation>;

const THERMOMETER_GEOMETRY: Geometry<Thermometer> = {
  along: ({ body, scale }, value) => evenly(body.perUnit).along(scale, value),
  valueAt: ({ body, scale }, length) => evenly(body.perUnit).valueAt(scale, length),
  gapAt: ({ body }) => body.gap,
};

export const THERMOMETER_MARGINS: Margins = { above: 24, below: 42 };

export function thermometerResolution(
  { division, skill }: Thermometer,
  { estimate, estimateByFamily }: HouseRules,
): Resolution {
  return resolutionOf(division, estimateByFamily[skill] ?? estimate);
}

export function thermometerIndication(posed: Posed<Thermometer, ThermometerSituation>): ThermometerIndication {
  const { tool, situation, rules } = posed;
  const { value, zeroError = 0, shown } = situation;
  const indication = indicationFrom(posed, {
    resolution: thermometerResolution(tool, rules),
    mark: value + zeroError,
    subtracted: askedIn(situation) === 'corrected' ? withoutDust(zeroError) : 0,
    graduation: tool.scale,
    words: GRADUATION_WORDS,
  });
  return onScale(indication, {
    geometry: THERMOMETER_GEOMETRY,
    positionOf: belowTheTop(THERMOMETER_GEOMETRY, tool, THERMOMETER_MARGINS),
    ...(situation.settled === false ? { present: shown } : {}),
  });
}
