import type { FamilyId, Instrument } from '../instruments/instrument.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import type { Random } from '../simulation/random.ts';
import type { Action, Remark } from './actions.ts';
import type { Aimed } from './drawing/aimed.ts';
import type { AnySituation, Indication, Posed } from './indication/indication.ts';
import type { Resolution } from './indication/resolution.ts';
import type { RevealStep } from './picture/reveal-step.ts';
import type { Slip } from './slips/slip.ts';

/**
 * Everything that is true of one family of tools alone. The general rooms go by this interface and never ask which family it is.
 * T is the tool, S its situation, R what it indicates, B the tool on the bench, P its picture.
 */
export interface Family<
  T = Instrument,
  S = AnySituation,
  R extends Indication<T, S> = Indication<T, S>,
  B = unknown,
  P = unknown,
> {
  readonly id: FamilyId;
  /** The slips that can be made on it alone or with others like it; those of the hand that writes are made on every tool. */
  readonly slips: readonly Slip<R>[];
  /** Fields a situation on this tool may have besides `value` and `ask`. */
  fields(tool: T): readonly string[];
  /** Throws a SituationError where a situation cannot be on this tool; fields and the bounds of `value` are checked already. */
  check(tool: T, situation: S): void;
  /** How far a class reads this tool. */
  resolution(tool: T, rules: HouseRules): Resolution;
  /** What the tool indicates in a situation, and the right answer that follows from it. */
  indicates(posed: Posed<T, S>): R;

  /** Draws a situation so that the slips aimed at can be made in it. */
  draw(tool: T, aimed: Aimed): S;
  /** The situation as careful hands leave it: what was to be laid, put on or put right has been. */
  laid(situation: S): S;
  /** The situation as a printed picture shows it: seen from the level, with everything at rest. */
  onPaper(situation: S): S;
  /** One plain reading from the level for the front of the room, with nothing to be done or taken off; at a value, of a thing of such a size. */
  plain(tool: T, situation: S, set: { readonly value: number; readonly random: Random } | null): S;

  /** The tool on the bench before anything is done with it. */
  begin(posed: Posed<T, S>): B;
  /** The tool after something was done with it. */
  handle(bench: B, action: Action): B;
  /** The tool so many ms after it was first seen, nothing further having been done. */
  waits(bench: B, at: number): B;
  /** What is seen of the tool as it stands now, from an eye so many mm off the level: positions in drawing units only. */
  shows(bench: B, eyeHeight: number): P;
  /** The situation as it stands to be read now, from an eye so many mm off the level. */
  stands(bench: B, eyeHeight: number): S;
  /** What is to be said of how the tool was handled so far. */
  remarks(bench: B): Remark[];

  /** A description in words a reading can be made from, by the picture alone. */
  describe(picture: P): string;
  /** Whether a printed picture takes the whole width of a sheet: what lies, or two readings side by side. */
  fillsWidth(picture: P): boolean;

  /** The question, in the words of a bench. */
  question(indication: R): string;
  /** Hints in the reading order; they name what to do and never a number of this picture. */
  hints(indication: R): string[];
  /** How the right answer is come by, up to the unit. */
  steps(indication: R): RevealStep[];
  /** What to beware of with this tool and what it is used on, in the order of gravity. */
  cautions(indication: R): string[];
}
