import {
  instrumentIds,
  explainSlips,
  instrumentById,
  predictedEntries,
  slipById,
  slipsOn,
  type PathPiece,
  type ReadingTask,
} from '@green-beam/core';

/** Tools that can be read aloud: every one of the bench. */
export const DEMONSTRATED = instrumentIds().map(instrumentById);

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
