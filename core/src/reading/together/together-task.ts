import type { HouseRules } from '../../rules/house-rules.ts';
import { plainTask } from '../demonstration.ts';
import { expectedReading } from '../expected-reading.ts';
import { isEstimate } from '../indication/resolution.ts';
import { indicationOf, type ReadingTask } from '../reading-task.ts';

/** A mark is left alone by so much of a division to either side. */
const CLEAR_OF_MARKS = 0.2;
/** So many are drawn at most; of a tool that is estimated on, more than half stand well. */
const DRAWN = 60;

/**
 * Whether what is read stands so near a mark that many would take it for the mark itself: then a room agrees on the digit that is to
 * scatter, or splits over the one before. Never where no digit is estimated.
 */
export function standsOnMark(task: ReadingTask): boolean {
  const { mark, resolution } = indicationOf(task);
  if (mark === null || !isEstimate(resolution.lastDigit)) return false;
  const divisions = mark / resolution.division;
  return Math.abs(divisions - Math.round(divisions)) < CLEAR_OF_MARKS - 1e-9;
}

/**
 * One plain reading for a whole room, from the level and with nothing to be done; what is drawn stands well between two marks.
 * @param value what the tool is to stand at, in its unit; null for a drawn one.
 * @throws UnknownInstrumentError, SituationError or HouseRuleError, each naming the field.
 */
export function togetherTask(instrumentId: string, seed: number, value: number | null, rules: HouseRules): ReadingTask {
  let task = plainTask(instrumentId, seed, value, rules);
  if (value !== null) return task;
  for (let more = 1; more < DRAWN && standsOnMark(task); more += 1)
    task = plainTask(instrumentId, (seed + more) % 2 ** 32, null, rules);
  return task;
}

/** What a room’s readings are measured against. */
export interface RoomAnswer {
  /** What is right to write before it is rounded, in the unit. */
  readonly value: number;
  /** As it is written on this tool by the class’s rules. */
  readonly text: string;
  readonly unit: string;
  /** The tool’s smallest division, in the unit. */
  readonly division: number;
}

export function roomAnswer(task: ReadingTask): RoomAnswer {
  const { answer, resolution } = indicationOf(task);
  const { text, unit } = expectedReading(task);
  return { value: answer, text, unit, division: resolution.division };
}
