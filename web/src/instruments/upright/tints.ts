const TINTS: Readonly<Record<string, string>> = {
  'lamp oil': '#b08a3c',
  naphtha: '#a8a58a',
  'spirit and water': '#8fa8a6',
  'calcium brine': '#5d86a0',
  glycerol: '#6f8f9c',
  'glycerol and water': '#6f8f9c',
  'slate slurry': '#5d6a6e',
};
const WATER = '#2f7ea8';

/** The colour a liquid is drawn in; those not listed look like water. */
export function tintOf(liquid: string): string {
  return TINTS[liquid] ?? WATER;
}
