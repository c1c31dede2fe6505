import type { Thermometer } from '../../instruments/instrument.ts';
import { drawnAsk, drawnEye, OVER_A_ZERO_ERROR, sometimes, sometimesAny, type Aimed } from '../drawing/aimed.ts';
import { drawnPoint, nearestMultiple } from '../drawing/point.ts';
import { thermometerResolution, type ThermometerSituation } from './thermometer-indication.ts';

/** How far thermometers are off, in divisions: further than an estimate can be, and either way. */
function drawnError(tool: Thermometer, { random }: Aimed): number {
  const divisions = 0.9 + random.uniform();
  return Number(((random.uniform() < 0.5 ? -1 : 1) * divisions * tool.division).toFixed(2));
}

/** Melting ice, or water that boils at some height above the sea, where the tool reaches it; null for any other bath. */
function fixedPoint({ range: [, most], division }: Thermometer, { random, any }: Aimed): number | null {
  const chance = random.uniform() / (any ? 0.4 : 1);
  if (chance < 0.3) return 0;
  // From 1600 m down to the sea water boils between 94.7 and 100.0 °C.
  return chance < 0.6 && most > 100 ? nearestMultiple(division / 10, 94.7 + 5.3 * random.uniform()) : null;
}

/** Ice in brine stands well below zero; a thermometer that ends a little below it has only been in slightly salty water with ice. */
function belowZero({ range: [least] }: Thermometer): {
  readonly between: readonly [number, number];
  readonly bath: string;
} {
  return least > -5
    ? { between: [0.85 * least, 0.1 * least], bath: 'slightly salty water and ice' }
    : { between: [0.85 * least, 0.3 * least], bath: 'brine and ice' };
}

/** What a student would call a bath of so many degrees. */
function bathAt(celsius: number): string {
  if (celsius === 0) return 'melting ice';
  if (celsius >= 94.6) return 'boiling water';
  if (celsius >= 55) return 'hot water';
  if (celsius >= 27) return 'warm water';
  return celsius < 15 ? 'cold water' : 'water as warm as the room';
}

export function drawThermometer(tool: Thermometer, aimed: Aimed): ThermometerSituation {
  const { random, at, rules } = aimed;
  const [least, most] = tool.range;
  const below = sometimes(aimed, 'sign-lost', 0.12);
  const isOff = sometimesAny(aimed, OVER_A_ZERO_ERROR, 0.2);
  const between = below ? belowZero(tool).between : ([Math.max(0, least) + 0.04 * most, 0.92 * most] as const);
  const drawnValue = drawnPoint(thermometerResolution(tool, rules), aimed, ...between);
  const room = Math.min(most, 18 + 6 * random.uniform());
  const fixed = below || isOff ? null : fixedPoint(tool, aimed);
  const value = fixed ?? drawnValue;
  const bath = {
    value,
    eyeHeight: drawnEye(aimed),
    liquid: below ? belowZero(tool).bath : bathAt(value),
    ...(isOff ? { zeroError: drawnError(tool, aimed), ...drawnAsk(aimed) } : {}),
  };
  return at('unsettled') ? { ...bath, settled: false, shown: Number(room.toFixed(2)) } : bath;
}
