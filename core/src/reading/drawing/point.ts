import { multipleOf } from '../../scales/linear-scale.ts';
import { acceptanceBand } from '../indication/acceptance.ts';
import type { Resolution } from '../indication/resolution.ts';
import { sometimes, type Aimed } from './aimed.ts';

export function nearestMultiple(step: number, value: number): number {
  return multipleOf(step, Math.round(value / step));
}

/** The mark nearest to a point, of those within bounds. */
function markWithin(division: number, raw: number, least: number, most: number): number {
  const nearest = nearestMultiple(division, raw);
  if (nearest > most) return nearestMultiple(division, nearest - division);
  return nearest < least ? nearestMultiple(division, nearest + division) : nearest;
}

/**
 * A point on the scale to be read: on a mark where a written zero is aimed at; where a step is not much narrower than the accepted
 * band, on a step, since between two of them a careful reader would have too little room.
 */
export function drawnPoint(resolution: Resolution, aimed: Aimed, least: number, most: number): number {
  const { random, rules } = aimed;
  const raw = least + random.uniform() * (most - least);
  if (sometimes(aimed, 'trailing-zero-dropped', 0.1)) return markWithin(resolution.division, raw, least, most);
  const { step, lastDigit } = resolution;
  const coarse = lastDigit === 'tenths' && step > acceptanceBand(resolution, rules) / 3;
  return coarse ? Number((Math.round(raw / step) * step).toFixed(6)) : Number(raw.toFixed(6));
}

/** Part of a range that is drawn from: not quite to its ends. */
export function innerPart(
  [least, most]: readonly [number, number],
  from = 0.1,
  to = 0.92,
): readonly [least: number, most: number] {
  return [least + from * (most - least), least + to * (most - least)];
}
