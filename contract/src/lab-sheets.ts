import { boolean, mixed, number, object, string, type InferType } from './yup.ts';

/** Where a lab sheet stands: not used yet, offered to classes, or no longer offered. */
export const LAB_SHEET_STATES = ['draft', 'in-use', 'retired'] as const;
export type LabSheetState = (typeof LAB_SHEET_STATES)[number];

/** The largest lab sheet, in characters of its JSON. */
export const LARGEST_LAB_SHEET = 250_000;

/** What somebody is writing: JSON that may still lack something. */
export type LabSheetDraft = Readonly<Record<string, unknown>>;

/** A laboratory that a teacher of the school has written, in a list. */
export interface LabSheetSummary {
  readonly id: string;
  readonly title: string;
  readonly state: LabSheetState;
  /** The version in use; null before the first. */
  readonly version: number | null;
  /** Whether something was written that is not in use yet. */
  readonly hasChanges: boolean;
  /** Whether every class of the school can do it, not only those of its teacher. */
  readonly isShared: boolean;
  readonly isMine: boolean;
  /** Who wrote it; null for somebody who has left. */
  readonly by: string | null;
  readonly savedAt: string;
}

/** A lab sheet with all that is in it. */
export interface LabSheetPage extends LabSheetSummary {
  readonly draft: LabSheetDraft;
  /** Counts how often it was saved, so that nobody overwrites what they have not seen. */
  readonly revision: number;
  /** Put in use so far, the latest first. */
  readonly versions: readonly { readonly version: number; readonly at: string; readonly by: string | null }[];
}

/** Something that is wrong in a lab sheet, and where: `quantities[3].formula`. */
export interface LabSheetFault {
  readonly path: string;
  readonly reason: string;
}

const draft = mixed<LabSheetDraft>()
  .test(
    'object',
    'A lab sheet is an object.',
    (value: unknown) => typeof value === 'object' && value !== null && !Array.isArray(value),
  )
  .test(
    'size',
    'That is too large for a lab sheet.',
    (value) => JSON.stringify(value ?? {}).length <= LARGEST_LAB_SHEET,
  )
  .required('The lab sheet is missing.');

const revision = number()
  .integer('That is no revision.')
  .min(1, 'That is no revision.')
  .required('Say which revision was seen.');

export const newLabSheet = object({
  /** Made by the browser, so that what is sent twice is kept once. */
  id: string()
    .matches(/^own-[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/, 'That is not an id.')
    .required(),
  draft,
});
export type NewLabSheet = InferType<typeof newLabSheet>;

export const labSheetDraft = object({ draft, revision });
export type LabSheetDraftChange = InferType<typeof labSheetDraft>;

/** What is put in use is what was seen last. */
export const labSheetUse = object({ revision });
export type LabSheetUse = InferType<typeof labSheetUse>;

export const labSheetChange = object({ isShared: boolean(), isRetired: boolean() });
export type LabSheetChange = InferType<typeof labSheetChange>;
