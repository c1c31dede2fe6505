import { instrumentById } from '../instruments/catalogue.ts';
import type { FamilyId } from '../instruments/instrument.ts';
import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import type { Action, Remark } from './actions.ts';
import { familyOf, type PictureOf } from './families.ts';
import type { Family } from './family.ts';
import { posed, readingTask, type ReadingTask } from './reading-task.ts';
import { checkSituation, type Situation } from './situation.ts';

/** What may be shown of a tool before the answer. */
export type Picture = { [F in FamilyId]: PictureOf<F> }[FamilyId];

/** A tool on the bench: a value, which changes only by being handled or waited for. */
export interface OnBench {
  readonly instrumentId: string;
  /** The tool as its family keeps it. */
  readonly tool: unknown;
}

function familyById(instrumentId: string): Family {
  return familyOf(instrumentById(instrumentId));
}

/**
 * Puts a tool on the bench.
 * @throws UnknownInstrumentError, SituationError or HouseRuleError, each naming the field.
 */
export function begin(instrumentId: string, situation: Situation, rules?: Partial<HouseRules>): OnBench {
  const tool = instrumentById(instrumentId);
  checkSituation(tool, situation);
  return { instrumentId, tool: familyOf(tool).begin({ tool, situation, rules: completeRules(rules) }) };
}

/** The tool after something was done with it. */
export function handle({ instrumentId, tool }: OnBench, action: Action): OnBench {
  return { instrumentId, tool: familyById(instrumentId).handle(tool, action) };
}

/** The tool so many ms after it was put on the bench, nothing further having been done with it. */
export function wait({ instrumentId, tool }: OnBench, at: number): OnBench {
  return { instrumentId, tool: familyById(instrumentId).waits(tool, at) };
}

/**
 * What is seen of the tool as it stands now: positions in drawing units (mm of the real tool) and the printed numerals, and nothing from
 * which the answer could be had without looking.
 * @param eyeHeight how far off the level the eye is, in mm; of a tool that lies, how far aside, to the right.
 */
export function shows({ instrumentId, tool }: OnBench, eyeHeight = 0): Picture {
  return familyById(instrumentId).shows(tool, eyeHeight) as Picture;
}

/** What is to be said of how the tool was handled so far; it changes no verdict. */
function remarksAbout({ instrumentId, tool }: OnBench): Remark[] {
  return familyById(instrumentId).remarks(tool);
}

function benchOf(task: ReadingTask): OnBench {
  const given = posed(task);
  return { instrumentId: task.instrumentId, tool: familyOf(given.tool).begin(given) };
}

/** Where the eye starts, in mm off the level; 0 at tools that are read the same from anywhere. */
export function startingEye({ situation }: ReadingTask): number {
  return 'eyeHeight' in situation ? (situation.eyeHeight ?? 0) : 0;
}

/** The picture of a task before anything is done with its tool. */
export function pictureOf(task: ReadingTask): Picture {
  return shows(benchOf(task), startingEye(task));
}

/** How a reading was taken, as far as it changes what is read. */
export interface Operation {
  /** Final height of the eye above the mark, in mm. */
  readonly eyeHeight: number;
  /** What was done, in order. */
  readonly done?: readonly Action[];
  /** Milliseconds from the picture's appearance to Enter. */
  readonly at?: number;
}

/**
 * The same reading as it stands at Enter, after what was done: the eye moved, the bulb in the liquid for a while, the thing laid.
 * @throws SituationError when what was done cannot be: a thing laid beyond the ruler.
 */
export function asOperated(task: ReadingTask, { eyeHeight, done = [], at = 0 }: Operation): ReadingTask {
  const family = familyById(task.instrumentId);
  const { tool } = done.reduce(handle, benchOf(task));
  const situation = family.stands(family.waits(tool, at), eyeHeight);
  return readingTask(task.instrumentId, situation, task.rules);
}

/**
 * What is to be said about how a tool was handled up to Enter; nothing where nothing was to be noticed.
 * @param task as it was set, before anything was done.
 */
export function remarksOn(task: ReadingTask, done: readonly Action[]): Remark[] {
  return remarksAbout(done.reduce(handle, benchOf(task)));
}

/** The same reading once careful hands have laid, put on and put right what was to be; any other as it is. */
export function asLaid(task: ReadingTask): ReadingTask {
  const situation = familyById(task.instrumentId).laid(task.situation);
  return situation === task.situation ? task : readingTask(task.instrumentId, situation, task.rules);
}

/** The same reading as a printed picture shows it: seen from the level, with everything at rest. */
export function asOnPaper(task: ReadingTask): ReadingTask {
  const situation = familyById(task.instrumentId).onPaper(task.situation);
  return readingTask(task.instrumentId, situation, task.rules);
}

/** What is known of the tool on a picture, to stand beside it. */
export function noteOn(picture: Picture): string | null {
  return 'note' in picture ? picture.note : null;
}

/** Whether a picture takes the whole width of a sheet: what lies, or two readings side by side. */
export function needsWholeWidth(picture: Picture): boolean {
  return familyById(picture.instrumentId).fillsWidth(picture);
}

/** A description in words a reading can be made from, by the picture alone. */
export function describePicture(picture: Picture): string {
  return familyById(picture.instrumentId).describe(picture);
}
