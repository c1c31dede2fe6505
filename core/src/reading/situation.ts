import type { GraduatedCylinder, Instrument } from '../instruments/instrument.ts';
import type { Surface } from '../instruments/meniscus.ts';

export type ScaleSide = 'near' | 'far';

/** What stands on the bench when a reading is taken. */
export interface Situation {
  /** True quantity in the instrument's unit. */
  readonly value: number;
  /** What the tool shows at true zero; only for tools that can be zeroed. */
  readonly zeroError?: number;
  /** Height of the eye above the mark that is read, in mm. */
  readonly eyeHeight?: number;
  readonly surface?: Surface;
  /** Which wall carries the scale, seen from the eye. */
  readonly scaleSide?: ScaleSide;
  /** True when the tool carries a second, descending scale. */
  readonly secondScale?: boolean;
  /** What is in the glass, for the question's wording. */
  readonly liquid?: string;
  readonly ask?: 'corrected' | 'observed';
}

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

/** The eye can be this far above or below the mark, in mm. */
export const EYE_REACH = 150;

function checkNumber(field: string, value: unknown, least: number, most: number, unit: string): void {
  if (typeof value !== 'number' || !Number.isFinite(value)) throw new SituationError(field, `${String(value)} is not a finite number.`);
  if (value < least || value > most) throw new SituationError(field, `${value} ${unit} is outside ${least} to ${most} ${unit}.`);
}

function checkChoice(field: string, value: unknown, choices: readonly unknown[]): void {
  if (value !== undefined && !choices.includes(value)) throw new SituationError(field, `“${String(value)}” is not one of ${choices.join(', ')}.`);
}

function checkLiquidColumn(cylinder: GraduatedCylinder, situation: Situation): void {
  checkChoice('surface', situation.surface, ['wetting', 'domed', 'flat']);
  checkChoice('scaleSide', situation.scaleSide, ['near', 'far']);
  checkChoice('secondScale', situation.secondScale, [true, false]);
  if (situation.eyeHeight !== undefined) checkNumber('eyeHeight', situation.eyeHeight, -EYE_REACH, EYE_REACH, 'mm');
  if (situation.secondScale && !cylinder.mayHaveSecondScale) throw new SituationError('secondScale', `a ${cylinder.name} has one scale.`);
}

const FIELDS: Record<Instrument['reads'], readonly (keyof Situation)[]> = {
  'liquid-column': ['value', 'zeroError', 'ask', 'eyeHeight', 'surface', 'scaleSide', 'secondScale', 'liquid'],
  display: ['value', 'zeroError', 'ask'],
};

/**
 * Checks a situation against the instrument it is to be read on.
 * @throws SituationError naming the field.
 */
export function checkSituation(instrument: Instrument, situation: Situation): Situation {
  const foreign = Object.entries(situation).find(([field, value]) => value !== undefined && !FIELDS[instrument.reads].some((known) => known === field));
  if (foreign) throw new SituationError(foreign[0], `a ${instrument.name} has no such thing.`);
  checkNumber('value', situation.value, instrument.range[0], instrument.range[1], instrument.unit);
  checkChoice('ask', situation.ask, ['corrected', 'observed']);
  if (situation.zeroError !== undefined && situation.zeroError !== 0) throw new SituationError('zeroError', `a ${instrument.name} is read here without a zero error.`);
  if (instrument.reads === 'liquid-column') checkLiquidColumn(instrument, situation);
  return situation;
}
