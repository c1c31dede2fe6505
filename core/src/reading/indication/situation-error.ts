/** Something in a situation cannot be; `field` names it. */
export class SituationError extends Error {
  override readonly name = 'SituationError';
  constructor(
    readonly field: string,
    reason: string,
  ) {
    super(`${field}: ${reason}`);
  }
}

/** What stands where something else should, to be named in an error. */
function named(value: unknown): string {
  return typeof value === 'string' || typeof value === 'number' ? String(value) : JSON.stringify(value);
}

/** @throws SituationError where a value is no number between two bounds. */
export function checkNumber(field: string, value: unknown, least: number, most: number, unit: string): void {
  if (typeof value !== 'number' || !Number.isFinite(value))
    throw new SituationError(field, `${named(value)} is not a finite number.`);
  if (value < least || value > most)
    throw new SituationError(field, `${value} ${unit} is outside ${least} to ${most} ${unit}.`);
}

/** @throws SituationError where a value is given and none of the choices. */
export function checkChoice(field: string, value: unknown, choices: readonly unknown[]): void {
  if (value !== undefined && !choices.includes(value))
    throw new SituationError(field, `“${named(value)}” is not one of ${choices.join(', ')}.`);
}

/** @throws SituationError where something is given and neither true nor false. */
export function checkFlag(field: string, value: unknown): void {
  checkChoice(field, value, [true, false]);
}

/** The eye can be this far above or below the mark, in mm. */
export const EYE_REACH = 150;

/** @throws SituationError where the eye is out of reach. */
export function checkEye({ eyeHeight }: { readonly eyeHeight?: number }): void {
  if (eyeHeight !== undefined) checkNumber('eyeHeight', eyeHeight, -EYE_REACH, EYE_REACH, 'mm');
}
