import { EXERCISE_SLIPS } from '../exercises/slips/registry.ts';
import { SLIPS, UnknownSlipError } from '../reading/slips.ts';

/** What is the same of a slip wherever it is made. */
export interface PracticeSlip {
  readonly id: string;
  readonly name: string;
  readonly baseRate: number;
}

/** Every slip, of reading and of calculating: a few can be made in both, and are one habit. */
export const PRACTICE_SLIPS: readonly PracticeSlip[] = [
  ...SLIPS,
  ...EXERCISE_SLIPS.filter(({ id }) => !SLIPS.some((slip) => slip.id === id)),
];

const BY_ID: ReadonlyMap<string, PracticeSlip> = new Map(PRACTICE_SLIPS.map((slip) => [slip.id, slip]));

/** @throws UnknownSlipError naming the id. */
export function practiceSlipById(id: string): PracticeSlip {
  const slip = BY_ID.get(id);
  if (!slip) throw new UnknownSlipError(id);
  return slip;
}
