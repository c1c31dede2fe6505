import type { JawsSituation, Use } from './jaws-situation.ts';

/** How a thing is held, in mm. */
export interface Held {
  readonly use: Use;
  /** Where slide or thimble stands on the thing turned by a right angle; null where it is as thick that way. */
  readonly turnedX: number | null;
  /** Where it stands at first, where it is brought to the thing by hand. */
  readonly startX: number;
  readonly soft: number;
  readonly grit: number;
}

/** A turn of the thimble shows a thousandth of a millimetre as a tenth of a division: positions are kept to a ten-thousandth. */
export function inDrawingFine(length: number): number {
  return Math.round(length * 10_000) / 10_000;
}

/** @param openBy what the tool is opened further than the thing, before it is brought to it. @param most how far the tool opens, in mm. */
export function heldAt(
  { value, zeroError = 0, use = 'outside', oval, soft = 0, grit = 0, loose = false }: JawsSituation,
  openBy: number,
  most: number,
): Held {
  const position = value + zeroError;
  const away =
    use === 'outside' ? Math.min(most, position + (oval ?? 0) + openBy) : Math.max(zeroError, position - openBy);
  return {
    use,
    turnedX: oval === undefined ? null : inDrawingFine(position - oval),
    startX: inDrawingFine(loose ? away : position + (oval ?? 0)),
    soft,
    grit,
  };
}
