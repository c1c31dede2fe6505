import { nextBeyond, type LinearScale } from '../../scales/linear-scale.ts';
import type { Indication } from '../indication/indication.ts';
import type { PathPiece } from '../picture/path.ts';
import type { CountedOn } from '../scale/counted-on.ts';
import type { ScaleIndication } from '../scale/scale-indication.ts';
import type { Counted } from './slip.ts';

/** What marks are counted on, and where they lie in the drawing. */
export type Marked = CountedOn & Pick<Indication, 'resolution'> & Partial<Pick<ScaleIndication, 'positionOf' | 'mark'>>;

/** What is counted on the scale that a point is counted on, what the other scales show being added. */
export function onItsScale(
  { countedOn }: CountedOn,
  seen: number,
  count: (scale: LinearScale, seen: number) => Counted[],
): Counted[] {
  const on = countedOn(seen);
  if (!on) return [];
  const counted = count(on.scale, seen - on.base);
  return on.base === 0 ? counted : counted.map((one) => ({ ...one, value: one.value + on.base }));
}

/** The graduation itself, for the words about it. */
export function scaleIn({ countedOn, mark }: Marked): LinearScale | null {
  return countedOn(mark ?? 0)?.scale ?? null;
}

type PointOn = (scale: LinearScale, value: number) => number;

/** A stretch of the scale that was counted wrongly; nothing where the drawing has no such places. */
export function spanOn({ countedOn, positionOf, mark }: Marked, from: PointOn, to: PointOn, text: string): PathPiece[] {
  const scale = mark === undefined ? undefined : countedOn(mark)?.scale;
  if (!scale || !positionOf || mark === undefined) return [];
  return [{ kind: 'span', fromY: positionOf(from(scale, mark)), toY: positionOf(to(scale, mark)), text }];
}

export const labelOver: PointOn = (scale, value) => nextBeyond(scale.labelEvery, value);
export const markOver: PointOn = (scale, value) => nextBeyond(scale.division, value);
export const itself: PointOn = (_, value) => value;
