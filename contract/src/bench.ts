import {
  ACTION_KINDS,
  type Feedback,
  type HouseRules,
  type ItemShown,
  type Outcome,
  type Remark,
  type SlipExplained,
} from '@green-beam/core';
import { array, mixed, number, object, string, type InferType } from './yup.ts';

/** Tools and kinds of exercises of a round; none named means the tools the class has met. */
export const newRound = object({
  subjectIds: array()
    .of(string().max(60).required())
    .max(80, 'Choose at most 80 tools and kinds of exercises.')
    .default([]),
  setRoundId: string().uuid('That is not a round.').nullable().default(null),
});
export type NewRound = InferType<typeof newRound>;

/** How far a reading has come. */
export type TaskState = 'open' | 'tried' | 'closed';

/** One reading or exercise as the browser may see it before the answer. */
export interface BenchTask {
  readonly id: string;
  readonly position: number;
  readonly question: string;
  readonly picture: ItemShown;
  readonly hints: readonly string[];
  /** What to beware of where such a tool or liquid is handled. */
  readonly cautions: readonly string[];
  readonly unit: string;
  /** Code of the tool of the cabinet this is; null for any such tool. */
  readonly toolCode: string | null;
  /** Entries it takes before the answer is shown. */
  readonly tries: number;
  readonly state: TaskState;
  /** Of a task that was closed before this page was opened: whether it went right at the first try. */
  readonly rightAtFirst: boolean;
}

export interface BenchRound {
  readonly id: string;
  /** Title of the set round it belongs to; null for one’s own practice. */
  readonly title: string | null;
  /** What it was drawn from; none for a mix of the tools the class has met. */
  readonly subjectIds: readonly string[];
  /** What it is judged by: the class’s rules when it was drawn, or a method of its own. */
  readonly rules: RulesShown;
  readonly tasks: readonly BenchTask[];
  /** Readings already taken, in divisions from the true value; only of closed tasks. */
  readonly strip: readonly StripMark[];
}

/** One tick of the record strip. */
export interface StripMark {
  readonly taskId: string;
  readonly tryNumber: number;
  readonly offBy: number;
  readonly sound: boolean;
}

const ACTIONS = ['eye', 'loupe', 'hint', 'described', ...ACTION_KINDS] as const;

/** Something the student did with the tool or asked for, in order, with milliseconds since the picture appeared. */
export const benchAction = object({
  kind: string<(typeof ACTIONS)[number]>().oneOf(ACTIONS).required(),
  at: number().min(0).max(86_400_000).required(),
  to: number().nullable().default(null),
});
export type BenchAction = InferType<typeof benchAction>;

const id = string().uuid('That is not an id.').required();

export const newAttempt = object({
  id,
  taskId: id,
  kind: string<'reading' | 'shown'>()
    .oneOf(['reading', 'shown'] as const)
    .required(),
  entry: string().max(20_000, 'The entry has more than 20 000 characters.').default(''),
  eyeHeight: number()
    .min(-150, 'The eye cannot be that low.')
    .max(150, 'The eye cannot be that high.')
    .required('The height of the eye is missing.'),
  actions: array().of(benchAction).max(400, 'More than 400 actions.').default([]),
  hints: number().integer().min(0).max(20).default(0),
  timeTaken: number().integer().min(0).max(86_400_000).required('The time taken is missing.'),
});
export type NewAttempt = InferType<typeof newAttempt>;

/** What the student learns from an attempt. The answer and the ticks of the strip are there only once the task is closed. */
export interface AttemptResult extends Feedback {
  readonly attemptId: string;
  readonly verdict: Outcome;
  readonly tryNumber: number;
  readonly closed: boolean;
  readonly strip: readonly StripMark[];
}

/** An attempt as the student's record and the teacher's page show it. */
export interface AttemptShown {
  readonly id: string;
  readonly taskId: string;
  readonly subjectId: string;
  readonly skill: string;
  readonly question: string;
  readonly entry: string;
  readonly verdict: Outcome;
  readonly slips: readonly SlipExplained[];
  readonly remarks: readonly Remark[];
  readonly expected: { readonly text: string; readonly unit: string } | null;
  readonly offBy: number | null;
  readonly tryNumber: number;
  readonly hints: number;
  /** In ms; null where it was read from paper. */
  readonly timeTaken: number | null;
  readonly eyeHeight: number;
  readonly picture: ItemShown;
  readonly at: string;
}

export interface AttemptPage {
  readonly attempts: readonly AttemptShown[];
  /** To be given as `before` for the next page; null on the last. */
  readonly next: string | null;
}

export interface SkillSummary {
  readonly skill: string;
  readonly readings: number;
  readonly sound: number;
  readonly slips: readonly { readonly id: string; readonly count: number }[];
}

export interface StudentRecord {
  readonly skills: readonly SkillSummary[];
  readonly page: AttemptPage;
}

/** Rules as a class states them, with the name of the preset they come from. */
export interface RulesShown {
  readonly name: string;
  readonly version: number;
  readonly rules: HouseRules;
}

/** A new version of a class’s rules; `after` is the version it was made from, so that nobody’s change is lost unseen. */
export const newRules = object({
  name: string().trim().max(60, 'The name has more than 60 characters.').required('Give these rules a name.'),
  rules: mixed<Partial<HouseRules>>(
    (value): value is Partial<HouseRules> => typeof value === 'object' && value !== null && !Array.isArray(value),
  ).required('The rules are missing.'),
  after: number().integer().min(1).required('Say which version these rules change.'),
});
export type NewRules = InferType<typeof newRules>;
