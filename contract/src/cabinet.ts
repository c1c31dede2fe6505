import { array, mixed, number, object, string, type InferType } from './yup.ts';

export const TOOL_STATES = ['fit', 'watch', 'out-of-use'] as const;
export type ToolState = (typeof TOOL_STATES)[number];

export const TOOL_KINDS = ['real', 'simulated'] as const;
export type ToolKind = (typeof TOOL_KINDS)[number];

const code = string()
  .trim()
  .max(20, 'The code has more than 20 characters.')
  .matches(/^[\p{L}\p{N}][\p{L}\p{N} ._-]*$/u, {
    message: 'A code has letters, digits, spaces, dots and hyphens only.',
    excludeEmptyString: true,
  });
const keeper = string().trim().max(60, 'The keeper’s name has more than 60 characters.');
const tolerance = number()
  .typeError('The tolerance is not a number.')
  .positive('The tolerance is above zero.')
  .nullable();
const state = string<ToolState>().oneOf(TOOL_STATES, 'The state is fit, watch or out-of-use.');
const kind = string<ToolKind>().oneOf(TOOL_KINDS, 'A tool is real or simulated.');

/** One tool of a class’s cabinet. Without a tolerance of its own it has its maker’s. */
export const newTool = object({
  code: code.required('Write the code that is on the tool.'),
  instrumentId: string().max(60).required('Say what kind of tool it is.'),
  kind: kind.default('real'),
  keeper: keeper.default(''),
  tolerance: tolerance.default(null),
  state: state.default('fit'),
});
export type NewTool = InferType<typeof newTool>;

/** A change of a tool; `after` is the version it was made from, so that nobody’s change is lost unseen. */
export const toolChange = object({
  code: code.min(1, 'Write the code that is on the tool.').optional(),
  keeper: keeper.optional(),
  tolerance: tolerance.optional(),
  state: state.optional(),
  after: number().integer().min(1).required('Say which version this changes.'),
});
export type ToolChange = InferType<typeof toolChange>;

const id = string().uuid('That is not an id.').required();

/** What was found about a tool on some day: its zero error, or what it showed for a standard mass. Notes are added, never changed. */
export const newToolNote = object({
  id,
  kind: string<'zero' | 'check'>()
    .oneOf(['zero', 'check'] as const)
    .required('Say what was found.'),
  reading: number().typeError('The reading is not a number.').required('Write what it showed.'),
  nominal: number().typeError('The standard mass is not a number.').nullable().default(null),
  remark: string().trim().max(200, 'The remark has more than 200 characters.').default(''),
});
export type NewToolNote = InferType<typeof newToolNote>;

/** A row of a list of tools, checked on the server, so that each error names its row. */
export const toolRow = newTool.shape({
  zeroError: number().typeError('The zero error is not a number.').nullable().default(null),
});
export type ToolRow = InferType<typeof toolRow>;

export const toolImport = object({
  rows: array()
    .of(mixed<object>().required())
    .min(1, 'The list is empty.')
    .max(300, 'A list has at most 300 tools.')
    .required(),
});

export interface ToolNote {
  readonly id: string;
  readonly kind: 'zero' | 'check';
  readonly reading: number;
  readonly nominal: number | null;
  readonly remark: string;
  readonly by: string;
  readonly at: string;
}

export interface ToolShown {
  readonly id: string;
  readonly code: string;
  readonly instrumentId: string;
  readonly kind: ToolKind;
  readonly keeper: string;
  readonly tolerance: number | null;
  readonly state: ToolState;
  readonly version: number;
  readonly changedBy: string;
  readonly changedAt: string;
  /** By the latest note; null where none was ever made. */
  readonly zeroError: number | null;
  /** Newest first. */
  readonly notes: readonly ToolNote[];
}

/** A tool as those see it who may only use it. */
export type ToolChoice = Pick<ToolShown, 'id' | 'code' | 'instrumentId' | 'zeroError'>;

export interface ToolImportResult {
  readonly added: number;
  readonly errors: readonly { readonly row: number; readonly field: string; readonly message: string }[];
}
