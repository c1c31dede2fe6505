import {
  REVEALS,
  type Address,
  type Alike,
  type Arrangement,
  type HouseRules,
  type Protocol,
  type RunEvent,
} from '@green-beam/core';
import { addressInRequest } from './address.ts';
import type { HandInShown, ReturnedReport } from './reports.ts';
import { array, boolean, object, string, type InferType } from './yup.ts';

/** Characters of a part of a report, with its markup. */
const LONGEST_REPORT = 40_000;

const id = string().uuid('That is not an id.').required();

/** A laboratory that can be begun. */
export interface LaboratoryShown {
  readonly id: string;
  readonly title: string;
  /** What it is done with in the sample world. */
  readonly setting: string;
  readonly purpose: string;
  /** Whether a teacher of the school has written it. */
  readonly isOwn: boolean;
  /** All its steps together. */
  readonly minutes: number;
  /** What is decided for this class where it is begun. */
  readonly arrangement: Arrangement;
  /** The computed quantities that can be left to the student. */
  readonly canBeLeft: readonly { readonly id: string; readonly name: string }[];
}

/** What a teacher decides of a laboratory for a class. */
export const arrangementChange = object({
  byStudent: array()
    .of(string().max(60).required())
    .max(200, 'More than 200 quantities.')
    .required('Say what students calculate.'),
  ownWork: string()
    .oneOf(['each-student', 'group'] as const, 'It belongs to each student, or to the group.')
    .required('Say whom calculations belong to.'),
  reveals: string()
    .oneOf([...REVEALS], 'That is no time to show it.')
    .required('Say when the accepted value is shown.'),
  sums: string()
    .oneOf(['page', 'student'] as const, 'The page adds up, or the student.')
    .required('Say who adds up the parts of a reading.'),
});
export type ArrangementChange = InferType<typeof arrangementChange>;

export const newRun = object({
  /** Made by the browser, so that what is sent twice is begun once. */
  id,
  protocolId: string().max(60).required('Choose a laboratory.'),
  specimen: string()
    .trim()
    .max(80, 'The name of the piece has more than 80 characters.')
    .required('Say what you measure.'),
  memberIds: array().of(id).max(8, 'A group has at most eight people.').default([]),
});
export type NewRun = InferType<typeof newRun>;

/** Who joins a group: somebody who has signed in, or entered the PIN, at the same screen. */
export const joining = object({ personId: id });
export type Joining = InferType<typeof joining>;

export interface RunSummary {
  readonly id: string;
  readonly protocolId: string;
  readonly title: string;
  readonly specimen: string;
  readonly members: readonly string[];
  /** Who was asked to join, and has not yet. */
  readonly asked: readonly string[];
  readonly startedAt: string;
  readonly handedInAt: string | null;
  /** For a student, whether their report has come back. */
  readonly isBack: boolean;
  /** Until when it is to be handed in, where a teacher has said so. */
  readonly dueAt: string | null;
  /** The opening for the class that it belongs to; null where a group began it by itself. */
  readonly openingId: string | null;
  /** Whether its readings were given, and stay as they are. */
  readonly isGiven: boolean;
}

/** Another group’s run whose readings are the same in every place. */
export interface AlikeRun extends Alike {
  readonly specimen: string;
  readonly members: readonly string[];
}

/** Everything a notebook page shows; the table itself is folded from the log by core. */
export interface RunPage extends RunSummary {
  readonly protocol: Protocol;
  /** As it was when the run was begun. */
  readonly arrangement: Arrangement;
  readonly rules: HouseRules;
  readonly rulesName: string;
  /** Names and initials by person id, for members and for anybody who wrote in the log. */
  readonly people: Readonly<Record<string, { readonly label: string; readonly initials: string }>>;
  /** Ids of those who have joined the group. */
  readonly group: readonly string[];
  /** The log, without what partners have calculated and answered for themselves as long as it is not handed in. */
  readonly events: readonly RunEvent[];
  /** The class’s present rules where a teacher could have this page go on by them; else null. */
  readonly newerRules: string | null;
  /** Changes of the rules since it was begun, oldest first: by whom, when, and to which. */
  readonly rulesChanges: readonly { readonly by: string; readonly at: string; readonly name: string }[];
  /** Whether the results are shown by the methods that are not the class’s too. */
  readonly showsMethods: boolean;
  /** For a teacher, whether the group sees them; null for who cannot change that. */
  readonly sharesMethods: boolean | null;
  /** For a teacher, other runs of the class with the same readings; empty for everybody else. */
  readonly alike: readonly AlikeRun[];
  readonly mayWrite: boolean;
  /** What is handed in, by whom. */
  readonly handIns: readonly HandInShown[];
  /** What has come back to those who look, the latest of each author. */
  readonly returned: readonly (ReturnedReport & { readonly author: string })[];
  /** Whether the reader’s group is to talk with another about their results. */
  readonly isPaired: boolean;
  /** A teacher may hand it back to the group to go on with. */
  readonly mayGiveBack: boolean;
}

export const newRunEvent = object({
  id,
  address: addressInRequest,
  text: string()
    .default('')
    .when('address', {
      is: (address: { kind?: unknown } | undefined) => address?.kind === 'report',
      then: (text) => text.max(LONGEST_REPORT, 'That is too long: a part of a report has at most five pages.'),
      otherwise: (text) => text.max(4000, 'More than 4000 characters.'),
    }),
  replaces: string().uuid('That is not an id.').nullable().default(null),
  reason: string().trim().max(300, 'The reason has more than 300 characters.').nullable().default(null),
  person: id,
  deviceTime: string().datetime('The time of the device is not a date.').required('The time of the device is missing.'),
});
export type NewRunEvent = Omit<InferType<typeof newRunEvent>, 'address'> & { readonly address: Address };

export const newRunEvents = object({
  events: array().of(newRunEvent.required()).min(1).max(100, 'More than 100 entries at once.').required(),
});
export interface NewRunEvents {
  readonly events: readonly NewRunEvent[];
}

/** Whether a group is to see its results by the methods that are not the class’s. */
export const methodsSharing = object({ shared: boolean().required('Say whether the group sees them.') });
export type MethodsSharing = InferType<typeof methodsSharing>;

/** The events as stored, each with its place in the server's order. */
export interface StoredRunEvents {
  readonly events: readonly RunEvent[];
}
