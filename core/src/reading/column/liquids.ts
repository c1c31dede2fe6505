/** Liquids of the harbour kit that clear glass is filled with. */
export const LIQUIDS = ['water', 'brine', 'lamp oil', 'glycerol'] as const;
