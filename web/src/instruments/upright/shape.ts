/** The outline of a whole tool in mm, its axis at x = 0 and its top at y = 0. */
export interface Silhouette {
  /** The inside, closed: what a liquid can fill. */
  readonly inside: string;
  /** Solid parts beside it: rims, feet, taps. */
  readonly solid: string;
  /** Half the widest part, for fitting it into its place. */
  readonly halfWidth: number;
}

/** An upright shape from half widths at heights, top to bottom. */
export function shape(points: readonly (readonly [halfWidth: number, y: number])[]): string {
  const right = points.map(([x, y]) => `${x.toFixed(2)} ${y.toFixed(2)}`);
  const left = points.toReversed().map(([x, y]) => `${(-x).toFixed(2)} ${y.toFixed(2)}`);
  return `M${[...right, ...left].join('L')}Z`;
}
