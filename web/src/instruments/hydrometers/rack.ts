import { instrumentById, instrumentIds, type Picture } from '@green-beam/core';

/** The hydrometer that is in the liquid, the lightest being 0; null while there is none. */
export type Float = number | null;

const HYDROMETERS = instrumentIds().filter((id) => instrumentById(id).family === 'hydrometers');

/** How many hydrometers stand in the rack, and the spans of density they are for, the lightest first. */
export const FLOATS = HYDROMETERS.length;
export const RACK = HYDROMETERS.map((id) => instrumentById(id).range);

/** Place of a picture’s own hydrometer among them all, the lightest being 0. */
export function rightFloat({ instrumentId }: Picture): number {
  return HYDROMETERS.indexOf(instrumentId);
}
