import { arrangementChange, newRunEvent } from './notebook.ts';
import type { LabSheetFault } from './lab-sheets.ts';
import { array, mixed, number, object, string, ValidationError, type InferType } from './yup.ts';

export const RUN_FILE = 'green-beam-run';
export const RUN_FILE_VERSION = 1;

/** The largest file of a run that is taken in, in characters. */
export const LARGEST_RUN_FILE = 2_000_000;

const anObject = (message: string) =>
  mixed<Readonly<Record<string, unknown>>>()
    .test('object', message, (value: unknown) => typeof value === 'object' && value !== null && !Array.isArray(value))
    .required(message);

/** Of anybody’s name, in characters. */
const LONGEST_NAME = 200;

/** A run with its whole history, as it is saved and taken in again. */
const runFile = object({
  format: string().oneOf([RUN_FILE], 'This is no saved laboratory.').required('This is no saved laboratory.'),
  version: number()
    .oneOf([RUN_FILE_VERSION], 'This file is of a version that is not known here.')
    .required('The version of the file is missing.'),
  specimen: string()
    .trim()
    .max(80, 'The name of the piece has more than 80 characters.')
    .required('Say what is measured.'),
  startedAt: string()
    .datetime('The time of the beginning is no date.')
    .required('The time of the beginning is missing.'),
  protocol: anObject('The laboratory is missing.'),
  arrangement: arrangementChange.required('Who calculates is missing.'),
  rules: object({
    name: string()
      .trim()
      .max(120, 'The name of the rules has more than 120 characters.')
      .required('The rules have no name.'),
    rules: anObject('The rules are missing.'),
  }).required('The rules are missing.'),
  /** Names by id, of everybody who wrote. */
  people: anObject('The names are missing.').test(
    'names',
    'The names are not a list of names.',
    (value?: Readonly<Record<string, unknown>>) =>
      Object.values(value ?? {}).every((one) => typeof one === 'string' && one.length <= LONGEST_NAME) &&
      Object.keys(value ?? {}).length <= 200,
  ),
  events: array()
    .of(newRunEvent.shape({ clockAhead: number().nullable().default(null) }).required())
    .max(5000, 'More than 5000 entries.')
    .required('The entries are missing.'),
});
export type RunFile = InferType<typeof runFile>;

/** A file of a run, or everything that is wrong with it, each with its path. */
export function readRunFile(json: unknown): RunFile | { readonly faults: readonly LabSheetFault[] } {
  try {
    return runFile.validateSync(json, { abortEarly: false });
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    const inner = error.inner.length > 0 ? error.inner : [error];
    // A date that is none fails several of its tests: each place is named once.
    const faults = new Map(inner.map(({ path = '', message }) => [path, { path, reason: message }]));
    return { faults: [...faults.values()] };
  }
}

export const runImport = object({
  /** Of the new page; made by the browser, so that what is sent twice is taken in once. */
  id: string().uuid('That is not an id.').required(),
  file: runFile.required('The file is missing.'),
});
export type RunImport = InferType<typeof runImport>;
