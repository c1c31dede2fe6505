import type { Picture, SlipExplained, Verdict } from '@green-beam/core';
import { number, object, string, type InferType } from './yup.ts';

const id = string().uuid('That is not an id.').required();

/** Units that a tool at the front can be read in. */
export const FRONT_UNITS = [
  'mL',
  'cm³',
  'L',
  'mm',
  'cm',
  'm',
  'in',
  'g',
  'kg',
  '°C',
  's',
  'V',
  'A',
  'N',
  'Pa',
] as const;

/**
 * A reading that the whole class takes: of one picture, or of a real tool at the front; the same once more; or of another tool at the same
 * thing, to be laid over the one before.
 */
export const newTogether = object({
  /** Made by the browser, so that what is sent twice is begun once. */
  id,
  kind: string<'picture' | 'front' | 'again' | 'other-tool'>()
    .oneOf(['picture', 'front', 'again', 'other-tool'] as const, 'Choose a picture or a tool at the front.')
    .required('Choose a picture or a tool at the front.'),
  /** Of a picture. */
  instrumentId: string().max(60).nullable().default(null),
  /** What the picture’s tool stands at, in its unit; null for a drawn one. */
  value: number().typeError('The value is not a number.').nullable().default(null),
  /** What the tool at the front is called. */
  title: string().trim().max(60, 'The name of the tool has more than 60 characters.').default(''),
  unit: string<(typeof FRONT_UNITS)[number]>().oneOf(FRONT_UNITS, 'Choose one of the units.').nullable().default(null),
  /** The reading it is laid over. */
  over: string().uuid('That is not an id.').nullable().default(null),
});
export type NewTogether = InferType<typeof newTogether>;

/** What is true of a tool at the front: which tool it is, where it is one of the bench’s, and what it shows. */
export const togetherTruth = object({
  instrumentId: string().max(60).nullable().default(null),
  value: number().typeError('The value is not a number.').nullable().default(null),
});
export type TogetherTruth = InferType<typeof togetherTruth>;

export const togetherAnswer = object({
  personId: id,
  entry: string().max(80, 'A reading has at most 80 characters.').required('Type a number and its unit.'),
  /** Where the eye was left, in mm above the mark. */
  eyeHeight: number()
    .min(-150, 'The eye cannot be that low.')
    .max(150, 'The eye cannot be that high.')
    .required('The height of the eye is missing.'),
});
export type TogetherAnswer = InferType<typeof togetherAnswer>;

/** Whether an answer came in time. */
export interface TogetherTaken {
  readonly counts: boolean;
}

/** How far a reading of the whole class has come. */
export type TogetherState = 'reading' | 'stopped' | 'shown';

export interface TogetherRound {
  readonly id: string;
  /** The first of those that are laid over each other. */
  readonly seriesId: string;
  /** Which of them it is, from 1. */
  readonly number: number;
  readonly kind: 'picture' | 'front';
  readonly question: string;
  /** Null of a tool at the front whose type has not been said. */
  readonly instrumentId: string | null;
  readonly unit: string;
  /** The tool’s smallest division, in the unit; null where it is not known. */
  readonly division: number | null;
  readonly state: TogetherState;
  readonly startedAt: string;
}

/** A reading on the strip, nobody’s. */
export interface TogetherDot {
  /** In the round’s unit. */
  readonly value: number;
  readonly place: number;
  /** False where a slip is behind it, or nothing explains it; null before the true value is shown, and where nothing can be judged. */
  readonly sound: boolean | null;
}

/** What the readings are measured against; there once it is shown. */
export interface TogetherAnswerShown {
  readonly value: number;
  /** As it is written on this tool. */
  readonly text: string;
}

/** A reader at a screen, with the picture as they see it and what they have written. */
export interface TogetherReader {
  readonly personId: string;
  readonly name: string;
  readonly picture: Picture | null;
  /** What counts: the last before Stop. */
  readonly entry: string | null;
  /** What came after Stop: it is kept and does not count. */
  readonly late: string | null;
  /** Where the eye was when it was sent, in mm above the mark. */
  readonly eyeHeight: number | null;
  /** Where the own dot is. */
  readonly dot: TogetherDot | null;
  readonly verdict: Verdict | null;
  readonly slips: readonly SlipExplained[];
}

/** What is read together just now, for those at a screen. */
export interface TogetherNow {
  readonly round: TogetherRound;
  readonly cautions: readonly string[];
  readonly readers: readonly TogetherReader[];
  /** Everybody’s, in order of size; none while it is read. */
  readonly dots: readonly TogetherDot[];
  readonly answer: TogetherAnswerShown | null;
}

/** An answer as the teacher sees it. */
export interface TogetherAnswered {
  readonly personId: string;
  readonly label: string;
  readonly first: string;
  readonly entry: string;
  readonly late: string | null;
  readonly dot: TogetherDot | null;
  readonly verdict: Verdict | null;
  readonly slips: readonly SlipExplained[];
}

/** An earlier reading that this one is laid over, in this one’s unit. */
export interface TogetherBefore {
  readonly id: string;
  readonly number: number;
  readonly toolName: string;
  readonly dots: readonly TogetherDot[];
}

/** A reading of the whole class as its teacher sees it. */
export interface TogetherAtFront {
  readonly round: TogetherRound;
  readonly toolName: string;
  readonly picture: Picture | null;
  readonly cautions: readonly string[];
  /** With which the class signs in; null while it is closed. */
  readonly code: string | null;
  /** So near a mark that many will take it for the mark. */
  readonly onMark: boolean;
  readonly answered: number;
  readonly of: number;
  /** None while it is read: on the wall nobody is to copy. */
  readonly answers: readonly TogetherAnswered[];
  readonly answer: TogetherAnswerShown | null;
  readonly before: readonly TogetherBefore[];
  /** Another one of the class is begun, or it was put away: students do other work. */
  readonly over: boolean;
}

/** A line of the list of those that were read. */
export interface TogetherSummary {
  readonly round: TogetherRound;
  readonly toolName: string;
  readonly answered: number;
  readonly slips: readonly { readonly id: string; readonly count: number }[];
}
