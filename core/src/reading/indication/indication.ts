import type { Instrument } from '../../instruments/instrument.ts';
import { withoutDustBeyond } from '../../numbers/rounding.ts';
import type { HouseRules } from '../../rules/house-rules.ts';
import type { LinearScale } from '../../scales/linear-scale.ts';
import { askedIn, type Asked } from './asked.ts';
import type { Resolution } from './resolution.ts';

/** What every situation says: the true quantity, and what is to be written. */
export interface AnySituation {
  /** True quantity in the instrument's unit; of a burette or pipette the mark its surface stands at. */
  readonly value: number;
  readonly ask?: Asked;
}

/** A tool, what is really there, and the rules of the class that reads it. */
export interface Posed<T = Instrument, S = AnySituation> {
  readonly tool: T;
  readonly situation: S;
  readonly rules: HouseRules;
}

/** Why every digit of a reading is written, in the words of a family: each one sentence. */
export interface LastDigitWords {
  readonly digit: string;
  readonly zero: string;
}

/**
 * What a tool indicates (JCGM 200:2012, 4.1), with all that follows from it for the right answer. Expected reading, acceptance and
 * diagnosis work on this alone, whatever the tool.
 */
export interface Indication<T = Instrument, S = AnySituation> extends Posed<T, S> {
  readonly asked: Asked;
  readonly resolution: Resolution;
  /** Where the mark that is read comes to rest, in the instrument's unit, before anything is taken off; null for a ring, which is only set. */
  readonly mark: number | null;
  /** What is taken off the reading before it is written: the zero error, a vessel, or the starting mark. */
  readonly subtracted: number;
  /** The number that is right to write, before it is rounded. */
  readonly answer: number;
  /** Whether what is taken off is read on the same scale, and so as far as the scale is read: a starting mark, a zero seen on the tool. */
  readonly subtractedIsRead: boolean;
  /** A difference of two readings has both readings' scatter. */
  readonly isDifference: boolean;
  /** False for a mean of two readings: it stands at no mark, and what was miscounted in either cannot be told from it. */
  readonly standsAtMark: boolean;
  /** The graduation a reading can stop at, where the tool has one. */
  readonly graduation: LinearScale | null;
  readonly words: LastDigitWords;
}

/** What a family knows of an indication; the rest follows. */
type Known = Pick<Indication, 'resolution' | 'mark' | 'subtracted' | 'words'> & {
  readonly answer?: number;
  readonly isDifference?: boolean;
  readonly subtractedIsRead?: boolean;
  readonly standsAtMark?: boolean;
  readonly graduation?: LinearScale;
};

/** A sum of decimals as it would be written: the binary digits of doubles leave dust beyond the ninth decimal. */
export function withoutDust(value: number): number {
  return withoutDustBeyond(value, 9);
}

/** Fills in what holds for most tools: the answer is the mark less what is taken off. */
export function indicationFrom<T, S extends AnySituation & { readonly from?: number }>(
  posed: Posed<T, S>,
  known: Known,
): Indication<T, S> {
  const { tool, situation, rules } = posed;
  const { resolution, mark, subtracted, words, answer, isDifference, subtractedIsRead, standsAtMark, graduation } =
    known;
  const asked = askedIn(situation);
  const isDelivered = asked === 'delivered';
  return {
    tool,
    situation,
    rules,
    asked,
    resolution,
    mark,
    subtracted,
    answer: answer ?? withoutDust(withoutDust(mark ?? 0) - subtracted),
    subtractedIsRead: subtractedIsRead ?? isDifference ?? isDelivered,
    isDifference: isDifference ?? isDelivered,
    standsAtMark: standsAtMark ?? true,
    graduation: graduation ?? null,
    words,
  };
}
