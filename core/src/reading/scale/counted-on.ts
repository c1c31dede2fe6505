import type { LinearScale } from '../../scales/linear-scale.ts';

/** A tool on which marks are counted. */
export interface CountedOn {
  /**
   * The scale on which a point is counted, and what the other scales of the tool show already: of a beam balance the sliding rider’s, with
   * the notched riders’ sum. Null where nothing can be counted as it stands.
   */
  readonly countedOn: (seen: number) => { readonly scale: LinearScale; readonly base: number } | null;
}
