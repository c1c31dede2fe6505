import { shortened } from '../numbers/written-number.ts';
import { BEAKERS } from './beakers.ts';
import { BEAM_BALANCES } from './beam-balances.ts';
import { BURETTES } from './burettes.ts';
import { CALIPERS, DIGITAL_CALIPER } from './calipers.ts';
import { THE_CLOCK } from './clocks.ts';
import { CYLINDERS } from './cylinders.ts';
import { DIGITAL_BALANCES } from './digital-balances.ts';
import { HYDROMETERS } from './hydrometers.ts';
import type { Instrument } from './instrument.ts';
import { MICROMETERS } from './micrometers.ts';
import { RULERS } from './rulers.ts';
import { THERMOMETERS } from './thermometers.ts';
import { VOLUMETRIC } from './volumetric.ts';

/** No instrument has this id. */
export class UnknownInstrumentError extends Error {
  override readonly name = 'UnknownInstrumentError';
  constructor(readonly offending: string) {
    super(`instrumentId: “${shortened(offending)}” is not in the catalogue.`);
  }
}

/** Every instrument, a family per file. */
const FAMILIES: readonly (readonly Instrument[])[] = [
  RULERS,
  CYLINDERS,
  BEAKERS,
  BURETTES,
  VOLUMETRIC,
  THERMOMETERS,
  HYDROMETERS,
  CALIPERS,
  [DIGITAL_CALIPER],
  MICROMETERS,
  BEAM_BALANCES,
  DIGITAL_BALANCES,
  [THE_CLOCK],
];
const CATALOGUE: ReadonlyMap<string, Instrument> = new Map(
  FAMILIES.flat().map((instrument) => [instrument.id, instrument]),
);

/** The ids of all instruments, in the order of the catalogue. */
export function instrumentIds(): string[] {
  return [...CATALOGUE.keys()];
}

/** @throws UnknownInstrumentError naming the id. */
export function instrumentById(id: string): Instrument {
  const instrument = CATALOGUE.get(id);
  if (!instrument) throw new UnknownInstrumentError(id);
  return instrument;
}
