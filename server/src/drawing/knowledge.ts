import {
  isExerciseTask,
  NO_HABIT,
  practiceTask,
  PRIORS,
  updated,
  type Belief,
  type Domain,
  type HouseRules,
  type PracticeTask,
} from '@green-beam/core';
import type { Attempt, Task } from '../models/bench.ts';

/** A slip was a likely habit once it had this probability, and counts as cured below that one. */
const LIKELY = 0.5;
const CURED = 0.1;

/** A belief with the slips that were likely habits at some time. */
export interface Known {
  readonly belief: Belief;
  readonly onceLikely: readonly string[];
  readonly readings: number;
}

/** What is known of a student’s habits, at the tools and on paper. */
export type Knowledge = Readonly<Record<Domain, Known>>;

/** Habits are believed of apart, in each of these. */
export const DOMAINS: readonly Domain[] = ['reading', 'calculating'];

const nothing = (domain: Domain): Known => ({ belief: PRIORS[domain], onceLikely: [], readings: 0 });

export const NOTHING_KNOWN: Knowledge = { reading: nothing('reading'), calculating: nothing('calculating') };

/** Which of the two an item tells something of. */
function domainOf(task: PracticeTask): Domain {
  return isExerciseTask(task) ? 'calculating' : 'reading';
}

/** What is known after one more item: as the task was set, as it stood at Enter, and what was written. */
export function learned(knowledge: Knowledge, drawn: PracticeTask, read: PracticeTask, entry: string): Knowledge {
  const domain = domainOf(read);
  const { belief, onceLikely, readings } = knowledge[domain];
  const after = updated(belief, drawn, read, entry);
  const likely = Object.keys(after).filter((id) => id !== NO_HABIT && (after[id] ?? 0) >= LIKELY);
  return {
    ...knowledge,
    [domain]: { belief: after, onceLikely: [...new Set([...onceLikely, ...likely])], readings: readings + 1 },
  };
}

/** Slips to be looked at again: likely habits once, and not any more. */
export function toRevisit({ belief, onceLikely }: Known): string[] {
  return onceLikely.filter((id) => (belief[id] ?? 0) < CURED);
}

/** What somebody has written at their first try: the item as it was drawn, and as it stood at Enter. */
export interface FirstTry {
  readonly subjectId: string;
  readonly drawn: Task['situation'];
  readonly read: Attempt['situation'];
  readonly entry: string;
  readonly rules: HouseRules;
}

/** What is known after some first tries, the oldest first. */
export function learnedFrom(knowledge: Knowledge, tries: readonly FirstTry[]): Knowledge {
  return tries.reduce(
    (known, { subjectId, drawn, read, entry, rules }) =>
      learned(known, practiceTask(subjectId, drawn, rules), practiceTask(subjectId, read, rules), entry),
    knowledge,
  );
}
