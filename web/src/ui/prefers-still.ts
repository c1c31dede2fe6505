/** Whether this person has asked for less motion. */
export function prefersStill(): boolean {
  return window.matchMedia('(prefers-reduced-motion: reduce)').matches;
}
