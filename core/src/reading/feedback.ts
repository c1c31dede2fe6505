import type { Diagnosis } from './diagnose.ts';
import { expectedReading } from './expected-reading.ts';
import { explainSlips, type SlipExplained } from './explain.ts';
import type { ReadingTask } from './reading-task.ts';
import type { Remark } from './remarks.ts';
import { revealOf, type RevealStep } from './reveal.ts';
import { slipById } from './slips/registry.ts';

/** Readable entries a task usually takes before the answer is shown. */
export const TRIES = 2;

/** A verdict, or that the student asked to be shown. */
export type Outcome = Diagnosis['verdict'] | 'shown';

/** Whether an outcome ends the work on a task that takes so many tries. */
export function closesTask(outcome: Outcome, tryNumber: number, tries = TRIES): boolean {
  if (outcome === 'sound' || outcome === 'shown') return true;
  return outcome !== 'unreadable' && tryNumber >= tries;
}

/** Other explanations are mentioned from this probability on. */
const WORTH_MENTIONING = 0.15;

/** What a student is told after an entry. */
export interface Feedback {
  readonly message: string | null;
  /** The likeliest finding, in words and on the picture. */
  readonly slips: readonly SlipExplained[];
  /** Names of other findings that fit the entry as well. */
  readonly alsoPossible: readonly string[];
  /** What is to be said about how the tool was handled. */
  readonly remarks: readonly Remark[];
  /** Only when the task is closed. */
  readonly answer: { readonly text: string; readonly unit: string; readonly reveal: readonly RevealStep[] } | null;
}

/**
 * Puts a diagnosis (null when the student asked to be shown) into what is told; the answer only when `closed`.
 * @param task as it stood at Enter. @param remarks on how the tool was handled, made on the task as it was set.
 */
export function feedbackOn(task: ReadingTask, diagnosis: Diagnosis | null, closed: boolean, remarks: readonly Remark[] = []): Feedback {
  const [first, ...others] = diagnosis?.slips ?? [];
  const { text, unit } = expectedReading(task);
  return {
    message: diagnosis?.message ?? null,
    slips: first ? explainSlips(task, first) : [],
    alsoPossible: others.filter((other) => other.probability > WORTH_MENTIONING).map((other) => other.ids.map((id) => slipById(id).name).join(' and ')),
    remarks: diagnosis?.verdict === 'unreadable' ? [] : remarks,
    answer: closed ? { text, unit, reveal: revealOf(task) } : null,
  };
}
