import { instrumentOf, readingTask, type ReadingTask } from './reading-task.ts';
import type { Situation } from './situation.ts';

/** What was done with a tool up to the moment of Enter, as far as it changes what is read. */
export interface Operation {
  /** Final height of the eye above the mark, in mm. */
  readonly eyeHeight: number;
  /** Milliseconds since the bulb was lowered into the liquid; null while it still hangs in the air. */
  readonly inLiquidFor?: number | null;
}

/** Time constant of a spirit thermometer in a stirred liquid, shortened so that waiting matters and stays short, in ms. */
export const THREAD_TIME = 2500;
/** Nearer to rest than this many divisions, nobody can see the thread move. */
const AT_REST = 0.04;

/** Where a thread stands, as a part of its way from the start to rest: Newton's law of cooling. */
export function partOfTheWay(inLiquidFor: number): number {
  return 1 - Math.exp(-Math.max(0, inLiquidFor) / THREAD_TIME);
}

/** A thermometer's situation once its bulb has been in the liquid for a while. */
function warmed(situation: Situation, inLiquidFor: number, division: number): Situation {
  const { shown, settled = true, zeroError = 0, value, ...rest } = situation;
  if (settled || shown === undefined) return situation;
  const resting = value + zeroError;
  const present = shown + (resting - shown) * partOfTheWay(inLiquidFor);
  const still = { ...rest, value, ...(situation.zeroError === undefined ? {} : { zeroError }) };
  return Math.abs(present - resting) < AT_REST * division ? still : { ...still, settled: false, shown: Number(present.toFixed(4)) };
}

/** The same reading as it stands after what was done: the eye moved, the bulb in the liquid for a while. */
export function asOperated(task: ReadingTask, { eyeHeight, inLiquidFor = null }: Operation): ReadingTask {
  const instrument = instrumentOf(task);
  const moved = instrument.reads === 'display' ? task.situation : { ...task.situation, eyeHeight };
  return readingTask(task.instrumentId, inLiquidFor === null ? moved : warmed(moved, inLiquidFor, instrument.division), task.rules);
}
