const TINTS: Readonly<Record<string, string>> = { 'slate tile': '#5f6b70', 'ebony peg': '#3b302b', 'acrylic rod': '#b9d3d6', 'bronze deck nail': '#a8743d', 'brass bush': '#c49a3f', 'nickel washer': '#b4babd', 'basalt pebble': '#4b5154' };

/** The colour a thing of the kit is drawn in. */
export function thingTint(name: string): string {
  return TINTS[name] ?? '#5f6b70';
}
