const TINTS: Readonly<Record<string, string>> = { 'lamp oil': '#b08a3c', glycerol: '#6f8f9c' };
const WATER = '#2f7ea8';

/** The colour a liquid is drawn in; those not listed look like water. */
export function tintOf(liquid: string): string {
  return TINTS[liquid] ?? WATER;
}
