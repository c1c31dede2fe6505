/** Everything that can be done with a tool on the bench before it is read. */
export const ACTION_KINDS = [
  'lower',
  'ground',
  'raise',
  'drain',
  'refill',
  'clear-top',
  'free-tip',
  'fill',
  'wipe',
  'let-down',
  'deliver',
  'drained',
  'take-away',
  'blow',
  'try',
  'lay',
  'put-vessel',
  'take-vessel',
  'put-thing',
  'take-thing',
  'rider-1',
  'rider-2',
  'rider-3',
  'rider-4',
  'screw',
  'switch-on',
  'tare',
  'shield',
  'centre',
  'dry',
  'clean',
  'hang-free',
  'slide',
  'turn',
  'click',
  'wipe-faces',
  'zero',
] as const;

export type ActionKind = (typeof ACTION_KINDS)[number];

/** Something done with a tool. */
export interface Action {
  readonly kind: ActionKind;
  /** Milliseconds since the tool was first seen. */
  readonly at: number;
  /**
   * Where it led: of a pipette filled or let down, how far the surface stands above the ring, in mm; of hydrometers tried, which one, the
   * lightest being 0; of a thing laid at a ruler, where it begins, in mm to the right of the ruler's physical end; of a rider, its place on
   * its beam in mm; of a zero screw, by how many g it turns what the empty balance shows; of a slide or a thimble, where it stands, in mm.
   */
  readonly to: number | null;
}

/** Something to say about how a tool was handled. It changes no verdict on the number, and is kept beside it. */
export interface Remark {
  readonly id: string;
  readonly text: string;
}
