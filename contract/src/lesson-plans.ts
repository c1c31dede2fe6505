import type { LessonStep, PlannedStep } from '@green-beam/core';
import { array, boolean, number, mixed, object, string, type InferType } from './yup.ts';

const id = string().uuid('That is not an id.').required();

/** The most there can be of something in a plan. */
export const MOST_IN_PLAN = { groups: 40, steps: 58, stations: 6, minutes: 600 } as const;

const step = object({
  id: string().max(130).required('A step has no id.'),
  name: string().trim().max(80, 'The name of a step has more than 80 characters.').required('A step has no name.'),
  station: string().max(160).nullable().default(null),
  minutes: number()
    .typeError('The minutes of a step are not a number.')
    .integer('A step lasts whole minutes.')
    .min(1, 'A step lasts at least one minute.')
    .max(MOST_IN_PLAN.minutes, 'A step lasts at most 600 minutes.')
    .required('Say how many minutes a step lasts.'),
  attention: string<LessonStep['attention']>()
    .oneOf(['hands', 'waiting'] as const, 'A step is work for the hands, or waiting.')
    .required('Say whether a step is work for the hands, or waiting.'),
  after: array().of(string().max(130).required()).max(60).required('Say what a step comes after.'),
  follows: string().max(130).optional(),
  tools: array().of(string().max(60).required()).max(20).required('Say which tools a step needs.'),
  water: object({
    millilitres: number().min(1).max(5000).required('Say how much water it is.'),
    from: number().min(0).max(100).required('Say how warm the water is.'),
    to: number().min(0).max(100).required('Say how warm the water is to be.'),
  })
    .optional()
    .default(undefined),
});

const tool = object({
  kind: string().max(60).required('A tool has no kind.'),
  one: string().max(60).required('A tool has no name.'),
  many: string().max(60).required('A tool has no name.'),
  count: number()
    .typeError('How many tools there are is not a number.')
    .integer('There is a whole number of tools.')
    .min(1, 'There is at least one tool of each kind.')
    .max(200, 'There are at most 200 tools of a kind.')
    .nullable()
    .default(null),
  codes: array().of(string().max(40).required()).max(600).default([]),
});

const placed = object({
  group: number().integer().min(0).max(MOST_IN_PLAN.groups).required(),
  step: string().max(130).required(),
  start: number().integer().min(0, 'Nothing begins before the lesson.').max(6000).required(),
  end: number().integer().min(0).max(7000).required(),
  tools: mixed<PlannedStep['tools']>()
    .test(
      'tools',
      'The tools of a step are not what they should be.',
      (value: unknown) =>
        typeof value === 'object' &&
        value !== null &&
        !Array.isArray(value) &&
        Object.keys(value).length <= 20 &&
        Object.values(value).every((one) => Number.isInteger(one) && Number(one) >= 0 && Number(one) < 200),
    )
    .required(),
});

/** A lesson as a teacher plans it. */
export const planDraft = object({
  title: string().trim().max(80, 'The name of the plan has more than 80 characters.').required('Give the plan a name.'),
  /** Time of day. */
  begins: string()
    .matches(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write when the lesson begins, such as 10:00.')
    .required('Say when the lesson begins.'),
  minutes: number()
    .typeError('The minutes of the lesson are not a number.')
    .integer('The lesson lasts whole minutes.')
    .min(5, 'The lesson lasts at least 5 minutes.')
    .max(MOST_IN_PLAN.minutes, 'The lesson lasts at most 600 minutes.')
    .required('Say how long the lesson is.'),
  groups: number()
    .typeError('The number of groups is not a number.')
    .integer('There is a whole number of groups.')
    .min(1, 'There is at least one group.')
    .max(MOST_IN_PLAN.groups, 'There are at most 40 groups.')
    .required('Say how many groups there are.'),
  /** Ids of laboratories. */
  stations: array()
    .of(string().max(60).required())
    .min(1, 'Choose at least one laboratory.')
    .max(MOST_IN_PLAN.stations, 'At most 6 laboratories fit into one lesson.')
    .required('Choose a laboratory.'),
  /** What a hot plate gives to water, in W. */
  watts: number()
    .min(10, 'A hot plate gives at least 10 W.')
    .max(5000, 'A hot plate gives at most 5000 W.')
    .required('Say what a hot plate gives.'),
  steps: array()
    .of(step.required())
    .min(1, 'A lesson has at least one step.')
    .max(MOST_IN_PLAN.steps + 2, 'These are more steps than can be planned.')
    .required('The steps are missing.'),
  tools: array().of(tool.required()).max(60).required('The tools are missing.'),
  /** Who does what when; empty while nothing is planned. */
  placed: array()
    .of(placed.required())
    .max(MOST_IN_PLAN.groups * 60)
    .required('The plan is missing.'),
});
export type PlanDraft = InferType<typeof planDraft>;

const revision = number()
  .integer('That is no revision.')
  .min(1, 'That is no revision.')
  .required('Say which revision was seen.');

/** The id is made by the browser, so that what is sent twice is kept once. */
export const newPlan = object({ id, draft: planDraft.required('The plan is missing.') });
export type NewPlan = InferType<typeof newPlan>;

export const planChange = object({ revision, draft: planDraft.required('The plan is missing.') });
export type PlanChange = InferType<typeof planChange>;

/** Whether the lesson runs: from then on the wall says who does what now. */
export const planRun = object({
  runs: boolean().typeError('It runs, or it does not.').required('Say whether it runs.'),
});
export type PlanRun = InferType<typeof planRun>;

/** A plan, in a list. */
export interface PlanSummary {
  readonly id: string;
  readonly title: string;
  readonly begins: string;
  readonly groups: number;
  readonly savedAt: string;
  /** Since when the lesson runs; null where it does not. */
  readonly beganAt: string | null;
}

/** From the first to the last entry of a group in a step, in minutes from when the lesson began. */
export interface RealTime {
  readonly group: number;
  readonly step: string;
  readonly from: number;
  readonly to: number;
}

/** A plan with all that is in it. */
export interface PlanPage extends PlanSummary {
  readonly draft: PlanDraft;
  /** Counts how often it was saved, so that nobody overwrites what they have not seen. */
  readonly revision: number;
  /** How it went: empty before the lesson. */
  readonly real: readonly RealTime[];
}
