/** A burette under somebody’s hands. */
export interface BuretteState {
  /** What still is in it. */
  readonly left: 'funnel' | 'bubble' | null;
  /** Drops fall from the tip. */
  readonly dripping: boolean;
}
