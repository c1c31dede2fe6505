import { PITCH, THIMBLE_DIVISION } from '../instruments/micrometers.ts';
import type { Micrometer, VernierCaliper } from '../instruments/instrument.ts';
import type { Vernier } from '../scales/vernier.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';

/** A caliper as it stands to be read. */
export interface CaliperReading {
  readonly tool: VernierCaliper;
  /** Where the vernier's zero stands on the main scale, in mm: the opening and what the tool is off by. */
  readonly position: number;
}

/** A micrometer as it stands to be read. */
export interface MicrometerReading {
  readonly tool: Micrometer;
  readonly position: number;
}

/** The caliper of a task; null for any other tool. */
export function caliperReadingOf(task: ReadingTask): CaliperReading | null {
  const tool = instrumentOf(task);
  const { value, zeroError = 0 } = task.situation;
  return tool.reads === 'vernier' ? { tool, position: value + zeroError } : null;
}

/** The micrometer of a task; null for any other tool. */
export function micrometerReadingOf(task: ReadingTask): MicrometerReading | null {
  const tool = instrumentOf(task);
  const { value, zeroError = 0 } = task.situation;
  return tool.reads === 'thimble' ? { tool, position: value + zeroError } : null;
}

/** A position of a micrometer taken apart: the half millimetres uncovered on the sleeve, and the thimble's divisions beyond them. */
export function onThimble(position: number): { readonly sleeve: number; readonly divisions: number } {
  const sleeve = Math.floor(position / PITCH + 1e-9) * PITCH;
  return { sleeve, divisions: (position - sleeve) / THIMBLE_DIVISION };
}

/** The vernier on a micrometer's sleeve: ten lines over nine thimble divisions. */
export const SLEEVE_VERNIER: Vernier = { lines: 10, spans: 9, main: THIMBLE_DIVISION };

/** Depth in mm between a caliper's main scale and the vernier beside it: what an eye to one side makes of it is seen in the least counts. */
export const VERNIER_GAP = 0.3;
