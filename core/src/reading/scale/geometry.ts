import type { LinearScale } from '../../scales/linear-scale.ts';

/** Where values stand along a tool with a graduation, in mm: what the shape of its body makes of them. */
export interface Geometry<T> {
  /**
   * Where a value stands: upward from the lowest mark of an upright tool whose numbers grow downward, upward from zero on other upright
   * ones, rightward from zero on a ruler.
   */
  along(tool: T, value: number): number;
  /** The value that stands at a place along the tool; inverse of `along`. */
  valueAt(tool: T, length: number): number;
  /** Depth of the reading mark behind (or before) the printed scale at a place along the tool. */
  gapAt(tool: T, length: number): number;
}

/** Length of scale that one millilitre takes in a straight tube, in mm: 1000 mm³ over the area of the bore. */
export function millimetresPerMillilitre(bore: number): number {
  return 1000 / (Math.PI * (bore / 2) ** 2);
}

/** Places on a scale whose marks lie evenly, so many mm for one unit. */
export function evenly(perUnit: number): {
  along(scale: LinearScale, value: number): number;
  valueAt(scale: LinearScale, length: number): number;
} {
  return {
    along: ({ direction, to }, value) => (direction === 'up' ? value : to - value) * perUnit,
    valueAt: ({ direction, to }, length) => (direction === 'up' ? length / perUnit : to - length / perUnit),
  };
}
