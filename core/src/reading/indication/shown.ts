import { checkNumber, SituationError } from './situation-error.ts';

/** @throws SituationError where what is shown at present is off the scale, or is shown by something at rest. */
export function checkShown(
  { shown, settled = true }: { readonly shown?: number; readonly settled?: boolean },
  least: number,
  most: number,
  unit: string,
): void {
  if (shown === undefined) return;
  checkNumber('shown', shown, least, most, unit);
  if (settled) throw new SituationError('shown', 'what has come to rest shows where it rests.');
}
