import { shortened } from '../numbers/written-number.ts';
import { CYLINDERS } from './cylinders.ts';
import { DIGITAL_BALANCES } from './digital-balances.ts';
import type { Instrument } from './instrument.ts';

/** No instrument has this id. */
export class UnknownInstrumentError extends Error {
  override readonly name = 'UnknownInstrumentError';
  constructor(readonly offending: string) {
    super(`instrumentId: “${shortened(offending)}” is not in the catalogue.`);
  }
}

/** Every instrument, a family per file. */
const CATALOGUE: ReadonlyMap<string, Instrument> = new Map([...CYLINDERS, ...DIGITAL_BALANCES].map((instrument) => [instrument.id, instrument]));

/** The ids of all instruments, in the order of the catalogue. */
export function instrumentIds(): string[] {
  return [...CATALOGUE.keys()];
}

/** @throws UnknownInstrumentError naming the id. */
export function instrumentById(id: string): Instrument {
  const instrument = CATALOGUE.get(id);
  if (!instrument) throw new UnknownInstrumentError(String(id));
  return instrument;
}
