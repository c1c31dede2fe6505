const TINTS: Readonly<Record<string, string>> = {
  'slate tile': '#5f6b70',
  'ebony peg': '#3b302b',
  'acrylic rod': '#b9d3d6',
  'bronze deck nail': '#a8743d',
  'brass bush': '#c49a3f',
  'nickel washer': '#b4babd',
  'basalt pebble': '#4b5154',
  'cork bung': '#c49a6c',
  'beeswax nightlight': '#dcb35a',
  'tin ballast ingot': '#a9b0b3',
  'glass net-float': '#7fb0a2',
};

/** The colour a thing of the kit is drawn in. */
export function thingTint(name: string): string {
  // Several are spoken of by their number: “5 nickel washers”.
  return Object.entries(TINTS).find(([thing]) => name.includes(thing))?.[1] ?? '#5f6b70';
}
