import type { PathPiece } from '../path.ts';
import type { ReadingTask } from '../reading-task.ts';

interface Described {
  readonly id: string;
  readonly name: string;
  /** How often it is made, among readings on which it can be made, before anything is known of the student. */
  readonly baseRate: number;
  /** One sentence on why it gives a wrong reading. */
  why(task: ReadingTask): string;
  /** What to look at on the picture. */
  lookAt(task: ReadingTask): string;
  /** Where it went wrong on the picture, in drawing units; most slips of the record have nothing to show. */
  path?(task: ReadingTask): PathPiece[];
}

/** The eye sees the mark beside another point of the scale. */
export interface SightSlip extends Described {
  readonly stage: 'sight';
  /** Shift of the apparent reading in the instrument's unit, away from where the mark comes to rest; null where the slip cannot be made. */
  shift(task: ReadingTask): number | null;
}

/** A number that counting can come to; with `scatter` the estimated digit varies as a careful one does. */
export interface Counted {
  readonly value: number;
  readonly scatter: boolean;
  /** The part of those who make the slip who come to this number. */
  readonly part: number;
  /** What a division is taken for, in the instrument's unit, where it is taken for something else: it decides the digits written. */
  readonly division?: number;
  /** Power of ten of the last digit, where the slip decides how far is written. */
  readonly place?: number;
}

/** The point seen is right, and is turned into a wrong number. */
export interface CountSlip extends Described {
  readonly stage: 'count';
  /** @param seen the point seen, in the instrument's unit. Empty where the slip cannot be made. */
  counted(task: ReadingTask, seen: number): Counted[];
}

/** The reading is right, and what is to be taken off it is not. */
export interface CorrectionSlip extends Described {
  readonly stage: 'correction';
  /**
   * The numbers that come out instead of the corrected one, each with the part of those who make the slip who come to it.
   * @param reading the mark read, in the instrument's unit. Empty where the slip cannot be made.
   */
  corrected(task: ReadingTask, reading: number): { readonly value: number; readonly part: number }[];
}

/** The number is right in the head, and its digits come out wrong. */
export interface DigitsSlip extends Described {
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
export interface FormSlip extends Described {
  readonly stage: 'form';
  appliesTo(task: ReadingTask): boolean;
  /** What comes out for a reading written rightly, with its unit; null where the slip cannot be made on it. */
  misrecorded(text: string, unit: string, task: ReadingTask): string | null;
}

export type Slip = SightSlip | CountSlip | CorrectionSlip | DigitsSlip | FormSlip;
