import type { Progress, TooEven } from '@green-beam/core';
import { array, number, object, string, type InferType } from './yup.ts';

const id = string().uuid('That is not an id.').required();
const dueAt = string().datetime('That is no date and time.').nullable().default(null);

/** Where readings come from that a group does not take itself. */
export const GIVEN = ['drawn', 'copied'] as const;
export type Given = (typeof GIVEN)[number];

/** A group for which a laboratory is opened, by its run. */
export const newGroup = object({
  /** Made by the browser, so that what is sent twice is opened once. */
  runId: id,
  memberIds: array()
    .of(id)
    .min(1, 'There is nobody in this group.')
    .max(8, 'A group has at most eight people.')
    .required('Say who is in the group.'),
  /** Null where the group takes its readings itself. */
  given: string<Given>().oneOf(GIVEN, 'Readings are drawn, or copied from another page.').nullable().default(null),
  /** Of copied readings, the page they stand on. */
  from: string().uuid('That is not an id.').nullable().default(null),
  /** Of drawn readings, the example of the laboratory they lie about, from 0. */
  sample: number().integer('An example has a whole number.').min(0, 'An example has a number from 0.').default(0),
});
export type NewGroup = InferType<typeof newGroup>;

const groups = array()
  .of(newGroup.required())
  .min(1, 'Form at least one group.')
  .max(60, 'At most 60 groups.')
  .required('Form the groups.');

export const newOpening = object({
  id,
  protocolId: string().max(60).required('Choose a laboratory.'),
  specimen: string()
    .trim()
    .max(80, 'The name of the piece has more than 80 characters.')
    .required('Say what is measured.'),
  dueAt,
  groups,
});
export type NewOpening = InferType<typeof newOpening>;

export const moreGroups = object({ groups });
export type MoreGroups = InferType<typeof moreGroups>;

export const openingChange = object({
  dueAt: string().datetime('That is no date and time.').nullable(),
  excused: array().of(id).max(200).optional(),
});
export type OpeningChange = InferType<typeof openingChange>;

/** Who belongs to a group from now on. */
export const groupChange = object({ memberIds: array().of(id).max(8, 'A group has at most eight people.').required() });
export type GroupChange = InferType<typeof groupChange>;

export interface MemberAtWork {
  readonly id: string;
  readonly label: string;
  /** Of what is left to each student; null where the group calculates together or nothing is left to it. */
  readonly calculated: Progress | null;
  readonly handedInAt: string | null;
}

/** A group at its laboratory, as the class’s board shows it. */
export interface GroupAtWork {
  readonly runId: string;
  readonly specimen: string;
  readonly members: readonly MemberAtWork[];
  readonly given: Given | null;
  readonly readings: Progress;
  /** When something was last written; null where nothing has been. */
  readonly lastAt: string | null;
  readonly handedInAt: string | null;
  /** Groups with the same readings in every place, by their number on the board. */
  readonly alike: readonly number[];
  readonly tooEven: readonly TooEven[];
}

/** A laboratory that was opened for a class. */
export interface OpeningSummary {
  readonly id: string;
  readonly protocolId: string;
  readonly title: string;
  readonly specimen: string;
  readonly openedAt: string;
  readonly dueAt: string | null;
  /** Ids of who is in each group. */
  readonly groups: readonly (readonly string[])[];
}

/** The class at work on it. */
export interface OpeningBoard extends OpeningSummary {
  readonly atWork: readonly GroupAtWork[];
  /** Students who are in no group of it. */
  readonly without: readonly { readonly id: string; readonly label: string; readonly excused: boolean }[];
}
