import type { HouseRules, ItemShown } from '@green-beam/core';
import { array, object, string, type InferType } from './yup.ts';
import type { AttemptResult } from './bench.ts';
import { MOST_READINGS } from './set-rounds.ts';

/** One reading as it is printed, with what the key says of it. */
export interface PrintedReading {
  readonly question: string;
  readonly tool: string;
  readonly picture: ItemShown;
  readonly unit: string;
  readonly answer: { readonly text: string; readonly accepts: readonly [string, string] };
}

/** One student’s sheet. */
export interface PrintedSheet {
  readonly code: string;
  readonly student: string;
  readonly readings: readonly PrintedReading[];
}

/** A round on paper: a sheet for everybody, each with different readings. */
export interface PrintedRound {
  readonly title: string;
  readonly className: string;
  readonly dueAt: string | null;
  readonly rules: HouseRules;
  readonly sheets: readonly PrintedSheet[];
}

/** One reading of a sheet whose answers are typed in; the answer is there once one was taken. */
export interface SheetReading {
  readonly taskId: string;
  readonly question: string;
  readonly tool: string;
  readonly unit: string;
  readonly entry: string | null;
  readonly result: AttemptResult | null;
}

export interface SheetShown {
  readonly code: string;
  readonly title: string;
  readonly student: string;
  readonly readings: readonly SheetReading[];
}

const id = string().uuid('That is not an id.').required();

/** What stands on a sheet, typed in; what was left blank is left out. */
export const newSheetAnswers = object({
  answers: array()
    .of(
      object({
        id,
        taskId: id,
        entry: string().max(20_000, 'The entry has more than 20 000 characters.').required('The entry is missing.'),
      }),
    )
    .min(1, 'There is no answer yet.')
    .max(MOST_READINGS, `More than ${MOST_READINGS} answers.`)
    .required('The answers are missing.'),
});
export type NewSheetAnswers = InferType<typeof newSheetAnswers>;
