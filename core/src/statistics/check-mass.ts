import { instrumentById } from '../instruments/catalogue.ts';

/** A check or a note on a tool cannot be; `field` names what is wrong. */
export class CheckError extends Error {
  override readonly name = 'CheckError';
  constructor(
    readonly field: 'nominal' | 'reading' | 'zeroError',
    reason: string,
  ) {
    super(`${field}: ${reason}`);
  }
}

/** A standard mass laid on a balance, and what the balance showed, in its unit. */
export interface MassCheck {
  readonly nominal: number;
  readonly reading: number;
}

/**
 * The error a check shows: what was read less what should have been.
 * @throws CheckError naming the field; UnknownInstrumentError.
 */
export function checkError(instrumentId: string, { nominal, reading }: MassCheck): number {
  const { range, unit, name, skill } = instrumentById(instrumentId);
  if (skill !== 'digital-balances' && skill !== 'beam-balances')
    throw new CheckError('nominal', `a ${name} is not checked with masses.`);
  if (!Number.isFinite(nominal) || nominal <= 0) throw new CheckError('nominal', `${nominal} ${unit} is no mass.`);
  if (nominal > range[1])
    throw new CheckError('nominal', `${nominal} ${unit} is more than the ${name} takes, ${range[1]} ${unit}.`);
  if (!Number.isFinite(reading)) throw new CheckError('reading', `${reading} is not a number.`);
  // Nobody’s balance is off by half; that is a slip of the pen.
  if (Math.abs(reading - nominal) > nominal / 2)
    throw new CheckError('reading', `${reading} ${unit} is far from ${nominal} ${unit}: look at it once more.`);
  return Number((reading - nominal).toFixed(9));
}

/** A tool that is off by more than this many divisions is not used. */
const MOST_DIVISIONS = 40;

/** @throws CheckError when a tool cannot have such a zero error; UnknownInstrumentError. */
export function checkZeroError(instrumentId: string, zeroError: number): number {
  const { division, unit, name } = instrumentById(instrumentId);
  if (!Number.isFinite(zeroError)) throw new CheckError('zeroError', 'that is not a number.');
  if (Math.abs(zeroError) > MOST_DIVISIONS * division)
    throw new CheckError('zeroError', `a ${name} that is off by ${zeroError} ${unit} is not used; have it mended.`);
  return zeroError;
}

/** Tools that can show something at true zero, and so have a zero error. */
export function hasZeroError(instrumentId: string): boolean {
  return ['thermometers', 'calipers', 'micrometers', 'beam-balances', 'digital-balances'].includes(
    instrumentById(instrumentId).skill,
  );
}
