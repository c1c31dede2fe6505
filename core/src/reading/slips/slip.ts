import type { Indication } from '../indication/indication.ts';
import type { PathPiece } from '../picture/path.ts';

/** What is the same of a slip on every tool. */
export interface SlipIdentity {
  readonly id: string;
  readonly name: string;
  /** How often it is made on readings on which it can be made, for each one that is read carefully, before anything is known of the student. */
  readonly baseRate: number;
}

interface Described<R> extends SlipIdentity {
  /** True where only who has the tool in hand can make it: a printed picture is seen from the level, with everything at rest. */
  readonly needsTheTool?: true;
  /** One sentence on why it gives a wrong reading. */
  why(indication: R): string;
  /** What to look at on the picture. */
  lookAt(indication: R): string;
  /** Where it went wrong on the picture, in drawing units; most slips of the record have nothing to show. */
  path?(indication: R): PathPiece[];
}

/** The eye sees the mark beside another point of the scale. */
export interface SightSlip<R = Indication> extends Described<R> {
  readonly stage: 'sight';
  /** Shift of the apparent reading in the instrument's unit, away from where the mark comes to rest; null where the slip cannot be made. */
  shift(indication: R): number | null;
}

/** How the digit beyond the last mark is estimated: carefully, further off than a class accepts, or not at all. */
export type Estimated = 'carefully' | 'badly' | 'not';

/** A number that counting can come to. */
export interface Counted {
  readonly value: number;
  readonly estimated: Estimated;
  /** The part of those who make the slip who come to this number. */
  readonly part: number;
  /** What a division is taken for, in the instrument's unit, where it is taken for something else: it decides the digits written. */
  readonly division?: number;
  /** Power of ten of the last digit, where the slip decides how far is written. */
  readonly place?: number;
}

/** A number counted from which the digit beyond is estimated as carefully as ever. */
export function scattered(value: number, part = 1, division?: number): Counted {
  return { value, estimated: 'carefully', part, ...(division === undefined ? {} : { division }) };
}

/** A number counted to which nothing is estimated. */
export function unscattered(value: number, part = 1): Counted {
  return { value, estimated: 'not', part };
}

/** The point seen is right, and is turned into a wrong number. */
export interface CountSlip<R = Indication> extends Described<R> {
  readonly stage: 'count';
  /** The part of a tool it is made on, where a tool has several that are counted apart. */
  readonly where?: string;
  /** True where it can be made twice on one reading. */
  readonly twice?: true;
  /** @param seen the point seen, in the instrument's unit. Empty where the slip cannot be made. */
  counted(indication: R, seen: number): Counted[];
}

/** The reading is right, and what is to be taken off it is not. */
export interface CorrectionSlip<R = Indication> extends Described<R> {
  readonly stage: 'correction';
  /**
   * The numbers that come out instead of the corrected one, each with the part of those who make the slip who come to it.
   * @param reading the mark read, in the instrument's unit. Empty where the slip cannot be made.
   */
  corrected(indication: R, reading: number): { readonly value: number; readonly part: number }[];
}

/** The number is right in the head, and its digits come out wrong. */
export interface DigitsSlip<R = Indication> extends Described<R> {
  readonly stage: 'digits';
  /**
   * The numbers that can have been meant by somebody who wrote these digits, each with the part of such slips it stands for, and
   * whether the place of the last digit written still tells how far was read.
   */
  meant(written: string): { readonly value: number; readonly placeTells: boolean; readonly part: number }[];
  /** What comes out for a number meant; the first is the likeliest. */
  garbled(meant: string): string[];
}

/** The number is right as far as it goes; its last digits or its unit are not as they should be. */
export interface FormSlip<R = Indication> extends Described<R> {
  readonly stage: 'form';
  /** What comes out for a reading written rightly, with its unit; null where the slip cannot be made on it. */
  misrecorded(text: string, unit: string, indication: R): string | null;
}

/** A slip that can be made on what such an indication shows. */
export type Slip<R = Indication> = SightSlip<R> | CountSlip<R> | CorrectionSlip<R> | DigitsSlip<R> | FormSlip<R>;
