import { array, object, string, type InferType } from './yup.ts';

/** Most lines of a tape, characters of a line, and tapes of one person. */
export const MOST_LINES = 300;
const LONGEST_LINE = 2000;
export const MOST_TAPES = 200;

/** A tape as it was typed; unfinished lines as well. */
export const tapeChange = object({
  lines: array()
    .of(string().max(LONGEST_LINE, `A line has more than ${LONGEST_LINE} characters.`).defined())
    .min(1, 'A tape has at least one line.')
    .max(MOST_LINES, `A tape has at most ${MOST_LINES} lines.`)
    .required('The lines are missing.'),
});
export type TapeChange = InferType<typeof tapeChange>;

/** A tape of one’s own. */
export interface TapeShown {
  readonly id: string;
  readonly lines: readonly string[];
  readonly changedAt: string;
}
