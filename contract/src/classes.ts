import { array, boolean, mixed, object, string, type InferType } from './yup.ts';

export interface ClassSummary {
  readonly id: string;
  readonly name: string;
  readonly archived: boolean;
  readonly students: number;
}

export interface ClassDetails extends ClassSummary {
  readonly code: string;
  readonly codeOpen: boolean;
  /** When it will be deleted, being archived; null while the school keeps it. */
  readonly deletedOn: string | null;
  readonly rulesName: string;
  readonly roster: readonly {
    readonly id: string;
    readonly firstName: string;
    readonly lastName: string;
    readonly label: string;
    /** None yet, a first one that was handed out, or one they chose. */
    readonly pin: 'none' | 'first' | 'own';
    /** Too many wrong PINs were tried for this name. */
    readonly locked: boolean;
    readonly archived: boolean;
  }[];
  readonly teachers: readonly {
    readonly id: string;
    readonly name: string;
    readonly email: string;
    /** Made the class: the other teachers do not remove them. */
    readonly founder: boolean;
  }[];
}

const className = string().trim().max(60, 'A class name has at most 60 characters.');

export const newClass = object({
  /** Made by the browser, so that what is sent twice is made once. */
  id: string().uuid('That is not an id.').required(),
  name: className.required('Give the class a name.'),
});
export type NewClass = InferType<typeof newClass>;

export const classChange = object({
  name: className.min(1, 'Give the class a name.').optional(),
  codeOpen: boolean().optional(),
  archived: boolean().optional(),
}).noUnknown();
export type ClassChange = InferType<typeof classChange>;

/** Whom to give first PINs. */
export const firstPins = object({
  studentIds: array()
    .of(string().uuid('That is not an id.').required())
    .min(1, 'Say who gets a first PIN.')
    .max(200, 'A class has at most 200 students.')
    .required(),
});
export type FirstPins = InferType<typeof firstPins>;

/** A PIN that works once: with it, a student chooses one of their own. */
export interface FirstPin {
  readonly id: string;
  readonly name: string;
  readonly pin: string;
}

/** A new school year of a class: what the new one is called, and who goes on in it. */
export const newYear = object({
  id: string().uuid('That is not an id.').required(),
  name: className.required('Give the new class a name.'),
  studentIds: array().of(string().uuid('That is not an id.').required()).max(400).required('Say who goes on.'),
});
export type NewYear = InferType<typeof newYear>;

/** A student who is put away can neither sign in nor be seen among the others; nothing is lost. */
export const studentChange = object({ archived: boolean().required('Say whether the student is removed.') });
export type StudentChange = InferType<typeof studentChange>;

export const rosterRow = object({
  /** Made by the browser, so that a list that is sent twice adds everybody once. */
  id: string().uuid('That is not an id.').required('The id of this row is missing.'),
  firstName: string()
    .trim()
    .max(60, 'The first name has more than 60 characters.')
    .required('The first name is missing.'),
  lastName: string().trim().max(60, 'The last name has more than 60 characters.').default(''),
});
export type RosterRow = InferType<typeof rosterRow>;

/** Rows are checked one by one on the server, so that each error names its row. */
export const rosterImport = object({
  rows: array()
    .of(mixed<object>().required())
    .min(1, 'The list is empty.')
    .max(200, 'A class has at most 200 students.')
    .required(),
});
export type RosterImport = { rows: RosterRow[] };

export interface RosterResult {
  readonly added: number;
  readonly errors: readonly { readonly row: number; readonly field: string; readonly message: string }[];
}

export const coTeacher = object({
  email: string()
    .trim()
    .lowercase()
    .email('Write the whole e-mail address.')
    .required('Write the e-mail address of a teacher of your school.'),
});
export type CoTeacher = InferType<typeof coTeacher>;

/** One student's row of the class board. */
export interface BoardRow {
  readonly id: string;
  readonly label: string;
  readonly skills: readonly BoardCell[];
  readonly lately: Lately;
}

/** What a student is doing this lesson. */
export interface Lately {
  /** When the last entry came; null before the first. */
  readonly lastSeen: string | null;
  /** A slip found in each of the last entries; null when there is none three times in a row. */
  readonly stuckOn: { readonly slip: string; readonly times: number } | null;
  /** Whether the round worked last has items left. */
  readonly underWay: boolean;
}

export interface BoardCell {
  readonly skill: string;
  readonly readings: number;
  /** Right at the first try. */
  readonly sound: number;
  readonly lastSeen: string;
  /** Slips found, most frequent first. */
  readonly slips: readonly { readonly id: string; readonly count: number; readonly lastSeen: string }[];
}

/** A class’s practice week by week. */
export interface OverTime {
  /** First days of the weeks that are shown, Mondays, the oldest first: `2026-11-23`. */
  readonly weeks: readonly string[];
  readonly students: readonly { readonly id: string; readonly label: string }[];
  /** What each student has practised in each week. */
  readonly practised: readonly PractisedInWeek[];
  /** How often each slip was made in each week, and by how many. */
  readonly slips: readonly SlipInWeek[];
}

export interface PractisedInWeek {
  readonly personId: string;
  readonly skill: string;
  /** Index of the week. */
  readonly week: number;
  readonly readings: number;
  /** Right at the first try. */
  readonly sound: number;
  /** Of those that were timed, in ms. */
  readonly timeTaken: number;
  readonly timed: number;
}

export interface SlipInWeek {
  readonly slip: string;
  readonly skill: string;
  readonly week: number;
  readonly made: number;
  readonly students: number;
}

/** What the event stream of a class tells of: an attempt, a laboratory, other rules, a round set or taken back, who comes in, what is read together and how many have. */
export const LIVE_KINDS = ['attempt', 'run', 'rules', 'set-round', 'lesson', 'together', 'together-answer'] as const;
export type LiveKind = (typeof LIVE_KINDS)[number];

/** What the event stream of a class says: ids, and nothing of anybody; the page asks again for what it shows. */
export interface LiveEvent {
  readonly kind: LiveKind;
  /** Of rules, their version. */
  readonly id: string;
  /** Of an answer to what is read together, how many there were then: the wall shows it before it has asked. */
  readonly count?: number;
}
