import {
  instrumentIds,
  drawTask,
  explainSlips,
  instrumentById,
  predictedEntries,
  readingTask,
  seededRandom,
  slipById,
  thingShowing,
  slipsOn,
  type HouseRules,
  type PathPiece,
  type ReadingTask,
  type Situation,
} from '@green-beam/core';

/** Tools that can be read aloud: every one of the bench. */
export const DEMONSTRATED = instrumentIds().map(instrumentById);

/** One reading, at a level eye: a drawn one, or one at a value that was set. */
export function demonstrationOf(toolId: string, seed: number, value: number | null, rules: HouseRules): ReadingTask {
  const { situation } = drawTask(toolId, { seed, rules });
  const single: Situation = {
    ...situation,
    eyeHeight: situation.eyeHeight === undefined ? undefined : 0,
    from: undefined,
    settled: undefined,
    shown: undefined,
    zeroError: undefined,
    loose: undefined,
    untried: undefined,
    left: undefined,
    container: undefined,
    empty: undefined,
    riders: undefined,
    spoilt: undefined,
    soft: undefined,
    grit: undefined,
    oval: undefined,
  };
  if (value === null) return readingTask(toolId, single, rules);
  // What was drawn for another size would not be of this one.
  const thing = thingShowing(instrumentById(toolId), value, seededRandom(seed));
  return readingTask(
    toolId,
    { ...single, value, count: undefined, use: undefined, under: undefined, ...(thing === undefined ? {} : { thing }) },
    rules,
  );
}

/** What a slip makes of a reading: its name, why, where it went wrong, and the number that comes out. */
export interface SlipShown {
  readonly name: string;
  readonly why: string;
  readonly path: readonly PathPiece[];
  readonly written: string;
}

/** Slips that can be shown on a tool: all but those that are only made over several readings. */
export function slipsToShow(task: ReadingTask): string[] {
  return slipsOn(task.instrumentId, task.rules).filter((id) => predictedEntries(task, slipById(id)).length > 0);
}

export function slipShown(task: ReadingTask, id: string): SlipShown | null {
  const [explained] = explainSlips(task, { ids: [id] });
  const [written] = predictedEntries(task, slipById(id));
  return explained && written !== undefined
    ? { name: explained.name, why: explained.why, path: explained.path, written }
    : null;
}
