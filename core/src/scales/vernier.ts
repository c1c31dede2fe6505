/** A vernier: lines numbered from 0, so many of them over so many divisions of the main scale it slides along. */
export interface Vernier {
  readonly lines: number;
  /** Main divisions over which the lines are spread. */
  readonly spans: number;
  /** One main division, in the instrument's unit. */
  readonly main: number;
}

/** Distance between two neighbouring lines, in the instrument's unit. */
export function vernierDivision({ lines, spans, main }: Vernier): number {
  return (spans * main) / lines;
}

/**
 * The least count: the whole main divisions next above one vernier division, less that division.
 * @example leastCount({ lines: 20, spans: 39, main: 1 }) // 0.05, two main divisions less 1.95
 */
export function leastCount(vernier: Vernier): number {
  const division = vernierDivision(vernier);
  return Number((Math.ceil(division / vernier.main - 1e-9) * vernier.main - division).toFixed(6));
}

/** What a main scale and a vernier show together. */
export interface VernierReading {
  /** The last main mark at or before the vernier's zero. */
  readonly main: number;
  /** Number of the line that lies on a main mark, or nearest to one. */
  readonly line: number;
}

/**
 * Takes a position of the vernier's zero apart into the main mark passed and the line that coincides; before the main zero the mark
 * passed is the one before it, and lines count on from there.
 */
export function vernierReading(vernier: Vernier, position: number): VernierReading {
  const count = Math.round(position / leastCount(vernier));
  const perMain = Math.round(vernier.main / leastCount(vernier));
  const marks = Math.floor(count / perMain);
  return { main: Number((marks * vernier.main).toFixed(6)), line: count - marks * perMain };
}

/** Where a line of the vernier stands on the main scale, when its zero stands at a position. */
export function lineAt(vernier: Vernier, position: number, line: number): number {
  return position + line * vernierDivision(vernier);
}
