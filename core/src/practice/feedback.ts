import type { Solution } from '../exercises/solution.ts';
import type { Diagnosis } from '../reading/judging/diagnose.ts';
import type { SlipExplained } from '../reading/judging/explain.ts';
import type { Remark } from '../reading/actions.ts';
import { revealOf } from '../reading/in-words.ts';
import type { RevealStep } from '../reading/picture/reveal-step.ts';
import { isExerciseTask, type PracticeTask } from './practice-task.ts';
import { answerTo, explainFinding, solutionTo } from './practice-words.ts';
import { practiceSlipById } from './slips.ts';

/** Other explanations are mentioned from this probability on. */
const WORTH_MENTIONING = 0.15;

/** The right answer, and how it is worked out: on the picture of a tool, or in a working. */
export interface ClosedAnswer {
  readonly text: string;
  readonly unit: string;
  readonly reveal: readonly RevealStep[];
  readonly solution: Solution | null;
}

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
  readonly answer: ClosedAnswer | null;
}

/**
 * Puts a diagnosis (null when the student asked to be shown) into what is told; the answer only when `closed`.
 * @param task as it stood at Enter. @param remarks on how the tool was handled, made on the task as it was set.
 */
export function feedbackOn(
  task: PracticeTask,
  diagnosis: Diagnosis | null,
  closed: boolean,
  remarks: readonly Remark[] = [],
): Feedback {
  const [first, ...others] = diagnosis?.slips ?? [];
  return {
    message: diagnosis?.message ?? null,
    slips: first ? explainFinding(task, first) : [],
    alsoPossible: others
      .filter((other) => other.probability > WORTH_MENTIONING)
      .map((other) => other.ids.map((id) => practiceSlipById(id).name).join(' and ')),
    remarks: diagnosis?.verdict === 'unreadable' ? [] : remarks,
    answer: closed
      ? { ...answerTo(task), reveal: isExerciseTask(task) ? [] : revealOf(task), solution: solutionTo(task) }
      : null,
  };
}
