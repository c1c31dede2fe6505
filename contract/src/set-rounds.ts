import { array, boolean, lazy, number, object, string, type InferType } from './yup.ts';

/** Most readings and tries a round can have. */
export const MOST_READINGS = 30;
export const MOST_TRIES = 3;

/** A table with faults that are to be found: what its teacher has answered where it does not decide itself, and which findings are none. */
const handedTable = object({
  cells: array()
    .of(
      array()
        .of(string().defined().max(120, 'A cell of the table has more than 120 characters.'))
        .max(60)
        .required('A row of the table is missing.'),
    )
    .min(2, 'The table has at least one row of values.')
    .max(60, 'The table has at most 60 rows.')
    .required('The table is missing.'),
  answers: lazy((value: unknown) =>
    object(
      Object.fromEntries(
        Object.keys(typeof value === 'object' && value !== null ? value : {})
          .slice(0, 20)
          .map((id) => [id, string().max(60).required()]),
      ),
    ),
  ),
  left: array().of(string().max(60).required()).max(500).default([]),
});

/** A round as a teacher sets it. No tools named means all of them; no aims means finding out; no students means the whole class. */
export const newSetRound = object({
  title: string().trim().max(80, 'The title has more than 80 characters.').required('Give the practice set a title.'),
  subjectIds: array().of(string().max(60).required()).max(80).default([]),
  /** Tools of the cabinet that are to be used, with the errors they have; none named means any tool of the kinds chosen. */
  toolIds: array().of(string().uuid('That is not a tool of this class.').required()).max(60).default([]),
  length: number()
    .integer('Write a whole number of items.')
    .min(1, 'A practice set has at least one item.')
    .max(MOST_READINGS, `A practice set has at most ${MOST_READINGS} items.`)
    .required('Say how many items.'),
  aims: array().of(string().max(60).required()).max(20).default([]),
  tries: number()
    .integer('Write a whole number of tries.')
    .min(1, 'There is at least one try.')
    .max(MOST_TRIES, `There are at most ${MOST_TRIES} tries.`)
    .default(2),
  hints: boolean().default(true),
  dueAt: string()
    .nullable()
    .default(null)
    .test(
      'date',
      'That is not a date.',
      (value: string | null | undefined) => value === null || value === undefined || !Number.isNaN(Date.parse(value)),
    ),
  studentIds: array().of(string().uuid('That is not a student.').required()).max(200).nullable().default(null),
  /** Id of a method this round is read by; none means the class’s own rules. */
  preset: string().max(60).nullable().default(null),
  /** A table whose faults everybody is to find; then nothing else is drawn. */
  table: handedTable.nullable().default(null),
  /** Printed and read from paper, with one try and no hints, rather than on the bench. */
  onPaper: boolean().default(false),
});
export type NewSetRound = InferType<typeof newSetRound>;

/** How far one student has come in a set round. */
export interface SetRoundProgress {
  readonly studentId: string;
  readonly label: string;
  readonly done: number;
  readonly rightAtFirst: number;
  readonly finishedAt: string | null;
  /** Code of the printed sheet; null until it is printed, and for rounds read on the bench. */
  readonly sheetCode: string | null;
}

/** A set round as its class sees it; a student sees only their own progress. */
export interface SetRoundShown {
  readonly id: string;
  readonly title: string;
  readonly subjectIds: readonly string[];
  /** Where it is worked. */
  readonly place: 'bench' | 'numbers';
  /** Codes of the tools of the cabinet that are used. */
  readonly toolCodes: readonly string[];
  readonly length: number;
  readonly aims: readonly string[];
  readonly tries: number;
  readonly hints: boolean;
  readonly dueAt: string | null;
  readonly rulesName: string | null;
  readonly onPaper: boolean;
  readonly withdrawn: boolean;
  readonly setAt: string;
  readonly progress: readonly SetRoundProgress[];
}
