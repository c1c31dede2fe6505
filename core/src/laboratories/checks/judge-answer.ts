import { UnreadableEntryError } from '../../reading/judging/entry.ts';
import { parseEntry } from '../../reading/judging/parse-entry.ts';
import { parseUnit } from '../../units/unit.ts';
import { numberOf } from '../engine/cell.ts';
import type { WorkedNumbers } from '../engine/evaluate.ts';
import { resultIn } from '../run/result-in.ts';
import type { Place } from '../protocol/protocol.ts';

/** How an answer that is a number stands to the run’s own. */
export type AnswerVerdict =
  /** What it asks for is not there yet. */
  'open' | 'agrees' | 'differs' | 'unit-missing' | 'unit-wrong' | 'unreadable';

/** Two standard uncertainties: as far as a number may be off that is the same within what is known of it. */
const WITHIN = 2;

/**
 * Judges an answer against the run’s own number: it agrees within twice its standard uncertainty, and half of the last place it is
 * written to.
 * @param text as it was typed, with its unit.
 */
export function judgeAnswer(run: WorkedNumbers, { quantity: id, at = {} }: Place, text: string): AnswerVerdict {
  const quantity = run.setting.layout.quantities.get(id);
  const number = numberOf(run.cellAt(id, at));
  if (!quantity || quantity.kind === 'observed' || !number) return 'open';
  try {
    const entry = parseEntry(resultIn(text), parseUnit(quantity.unit));
    if (entry.unit === 'wrong') return 'unit-wrong';
    const off = Math.abs(entry.value - number.value.toNumber());
    const allowed = WITHIN * (run.standardAt(id, at) ?? 0) + 0.5 * 10 ** entry.place;
    if (off > allowed * (1 + 1e-9)) return 'differs';
    return entry.unit === 'missing' && quantity.unit !== '' ? 'unit-missing' : 'agrees';
  } catch (error) {
    if (error instanceof UnreadableEntryError) return 'unreadable';
    throw error;
  }
}
