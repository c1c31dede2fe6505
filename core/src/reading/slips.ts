import type { Instrument } from '../instruments/instrument.ts';
import { familyOf, FAMILY_SLIPS } from './families.ts';
import { COUNTING_SLIPS } from './slips/counting.ts';
import { DIGITS_SLIPS } from './slips/digits.ts';
import { EYE_LEVEL_SLIPS } from './slips/eye-level.ts';
import { FORM_SLIPS } from './slips/form.ts';
import type { Slip } from './slips/slip.ts';
import { ZERO_SLIPS } from './slips/zero.ts';

/** What is the same of a slip on every tool; each family tells it in its own words. */
export type KnownSlip = Pick<Slip, 'id' | 'name' | 'baseRate' | 'stage' | 'needsTheTool'>;

/** Slips made on every tool: of the hand that writes, and of the record. */
const ANYWHERE: readonly Slip[] = [...DIGITS_SLIPS, ...FORM_SLIPS];

/** Slips in the order of the stages of reading at which they happen. */
const STAGES: readonly Slip['stage'][] = ['sight', 'count', 'correction', 'digits', 'form'];

function unique(slips: readonly KnownSlip[]): KnownSlip[] {
  return slips.filter(({ id }, i) => slips.findIndex((one) => one.id === id) === i);
}

/** Every reading slip once, stage by stage: those of many families first. Drawing of items and the class board go by this list. */
export const SLIPS: readonly KnownSlip[] = unique([
  ...EYE_LEVEL_SLIPS,
  ...COUNTING_SLIPS,
  ...ZERO_SLIPS,
  ...ANYWHERE,
  ...FAMILY_SLIPS,
]).sort((a, b) => STAGES.indexOf(a.stage) - STAGES.indexOf(b.stage));

const BY_ID: ReadonlyMap<string, KnownSlip> = new Map(SLIPS.map((slip) => [slip.id, slip]));

/** No slip has this id. */
export class UnknownSlipError extends Error {
  override readonly name = 'UnknownSlipError';
  constructor(readonly offending: string) {
    super(`aim: “${offending}” is not a slip known here.`);
  }
}

/** @throws UnknownSlipError naming the id. */
export function slipById(id: string): KnownSlip {
  const slip = BY_ID.get(id);
  if (!slip) throw new UnknownSlipError(id);
  return slip;
}

/** A slip as it is made on a tool; null where it cannot be made. */
export function slipOn(tool: Pick<Instrument, 'family'>, id: string): Slip | null {
  const named = (slip: Slip): boolean => slip.id === id;
  return familyOf(tool).slips.find(named) ?? ANYWHERE.find(named) ?? null;
}

/**
 * Whether a slip can be made on paper. Of the reading slips, those that need a tool to move or an eye off the level cannot; a slip in an
 * exercise is made on paper as anywhere.
 */
export function shownOnPaper(slipId: string): boolean {
  return !(BY_ID.get(slipId)?.needsTheTool ?? false);
}
