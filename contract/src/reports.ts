import { MOST_POINTS, SEEN, type Address, type Proposal, type SeenCriterion } from '@green-beam/core';
import { addressShape } from './address.ts';
import { array, boolean, lazy, mixed, number, object, string, type InferType } from './yup.ts';

const id = string().uuid('That is not an id.').required();

export const SCALES = ['points', 'letters', 'comments'] as const;
export type Scale = (typeof SCALES)[number];

/** What reports of a class are marked by. */
export const rubricChange = object({
  scale: string<Scale>().oneOf(SCALES, 'Marks are points, letters, or comments only.').required('Say how you mark.'),
  criteria: array()
    .of(
      object({
        id: string()
          .matches(/^[a-z][a-z0-9-]{0,39}$/, 'An id is a letter, then letters, digits and hyphens.')
          .required(),
        name: string().trim().max(60, 'A name has at most 60 characters.').required('Name each criterion.'),
        /** What the program sees of it, and proposes points for. */
        sees: string<SeenCriterion>().oneOf(SEEN, 'The program does not see that.').nullable().default(null),
      }),
    )
    .min(1, 'Keep at least one criterion.')
    .max(12, 'At most 12 criteria.')
    .test(
      'different',
      'Two criteria have the same id.',
      (list) => new Set(list?.map((one) => one.id)).size === list?.length,
    )
    .required('Name the criteria.'),
});
export type Rubric = InferType<typeof rubricChange>;
export type Criterion = Rubric['criteria'][number];

/** What a class is marked by that has decided nothing else. */
export const USUAL_RUBRIC: Rubric = {
  scale: 'points',
  criteria: [
    { id: 'readings', name: 'Readings', sees: 'readings' },
    { id: 'digits', name: 'Digits', sees: 'digits' },
    { id: 'calculation', name: 'Calculation', sees: 'calculation' },
    { id: 'judgement', name: 'Judgement', sees: null },
    { id: 'conclusion', name: 'Conclusion', sees: null },
  ],
};

/** Points from 0 to 4 as letters. */
export const LETTERS = ['E', 'D', 'C', 'B', 'A'] as const;

const comment = object({
  id,
  /** The cell, the answer or the part of the report it is about; null for the whole. */
  at: lazy((value: unknown) => (value == null ? mixed().nullable().default(null) : addressShape(value))),
  /** The beginning of the paragraph it is about; null where it is about the whole of it. */
  quote: string().trim().max(120, 'A quotation has at most 120 characters.').nullable().default(null),
  text: string().trim().max(2000, 'A comment has at most 2000 characters.').required('Write the comment.'),
});
export interface ReportComment {
  readonly id: string;
  readonly at: Address | null;
  readonly quote?: string | null;
  readonly text: string;
}

/** How a report is marked so far. */
export interface Marking {
  /** By the id of the criterion, from 0 to 4; what is not decided is not there. */
  readonly points: Readonly<Record<string, number>>;
  readonly comments: readonly ReportComment[];
  /** Whether the teacher is through with it. */
  readonly isDone: boolean;
}

export const NOT_MARKED: Marking = { points: {}, comments: [], isDone: false };

export const markingChange = object({
  number: number().integer().min(1).required('Say which report is marked.'),
  points: mixed<Record<string, number>>()
    .test(
      'points',
      `Points are whole numbers from 0 to ${MOST_POINTS}.`,
      (value) =>
        typeof value === 'object' &&
        !Array.isArray(value) &&
        Object.entries(value).length <= 12 &&
        Object.entries(value).every(
          ([name, points]) => name.length <= 40 && Number.isInteger(points) && points >= 0 && points <= MOST_POINTS,
        ),
    )
    .required('Say how many points.'),
  comments: array().of(comment.required()).max(100, 'At most 100 comments.').required(),
  isDone: boolean().required('Say whether it is marked.'),
});
export interface MarkingChange extends Marking {
  readonly number: number;
}

export const returning = object({
  reports: array()
    .of(object({ runId: id, author: string().max(60).required(), number: number().integer().min(1).required() }))
    .min(1, 'Choose at least one report.')
    .max(500, 'At most 500 reports at once.')
    .required('Choose the reports.'),
  /** When the marks are seen; null for now. */
  at: string().datetime('That is no date and time.').nullable().default(null),
  /** Whether students may improve them and hand in again. */
  mayImprove: boolean().required('Say whether they may improve their report.'),
});
export type Returning = InferType<typeof returning>;

/** A report that was handed in, as the list of them shows it. */
export interface ReportInQueue {
  readonly runId: string;
  /** A student’s id, or `group`. */
  readonly author: string;
  readonly number: number;
  /** Who has written it. */
  readonly label: string;
  /** Who else is in the group. */
  readonly partners: readonly string[];
  readonly protocolId: string;
  readonly title: string;
  readonly specimen: string;
  readonly handedInAt: string;
  readonly isLate: boolean;
  /** Null while nobody has looked. */
  readonly proposal: Proposal | null;
  readonly marking: Marking;
  readonly returnedAt: string | null;
  /** False for one that came back and is gone on with: its mark is kept. */
  readonly isInForce: boolean;
}

export interface ReportQueue {
  readonly rubric: Rubric;
  readonly reports: readonly ReportInQueue[];
  /** The commonest first. */
  readonly comments: readonly string[];
}

/** A report that has come back to its author. */
export interface ReturnedReport {
  readonly number: number;
  readonly returnedAt: string;
  readonly mayImprove: boolean;
  readonly rubric: Rubric;
  readonly marking: Marking;
}

/** Who hands in: themselves, at the same screen. */
export const handingIn = object({ personId: string().uuid('That is not an id.').nullable().default(null) });
export type HandingIn = InferType<typeof handingIn>;

/** What was handed in on a page, and is in force. */
export interface HandInShown {
  readonly author: string;
  readonly number: number;
  readonly at: string;
  /** Its author may go on with it: no teacher has opened it yet, or it came back to be improved. */
  readonly mayTakeBack: boolean;
}
