import {
  asOperated,
  diagnose,
  explainSlips,
  parseUnit,
  instrumentById,
  readingTask,
  readTogether,
  roomAnswer,
  SituationError,
  valueIn,
  writtenUnit,
  type Diagnosis,
  type HouseRules,
  type ReadingTask,
  type SlipExplained,
  UnitMismatchError,
} from '@green-beam/core';
import type { TogetherAnswerShown, TogetherDot } from '@green-beam/contract';
import type { TogetherAnswerRow, TogetherRow } from '../models/together.ts';
import { Refusal } from '../refusal.ts';

/** The reading as it is judged; null of a tool at the front as long as its type and value have not been said. */
export function taskOfRoom(row: TogetherRow, rules: HouseRules): ReadingTask | null {
  const { instrumentId, situation, value, unit } = row;
  if (instrumentId === null) return null;
  if (situation) return readingTask(instrumentId, situation, rules);
  if (value === null) return null;
  return readingTask(instrumentId, { value: valueIn(value, unit, instrumentById(instrumentId).unit) }, rules);
}

/** What a tool at the front shows, checked. @throws Refusal naming the field that cannot be. */
export function frontTask(instrumentId: string, value: number, unit: string, rules: HouseRules): ReadingTask {
  const tool = instrumentById(instrumentId);
  try {
    return readingTask(instrumentId, { value: valueIn(value, unit, tool.unit) }, rules);
  } catch (error) {
    if (error instanceof UnitMismatchError)
      throw new Refusal(
        400,
        `${tool.name} is not read in ${writtenUnit(parseUnit(unit))}. Choose another type of tool.`,
        'instrumentId',
      );
    if (error instanceof SituationError) throw new Refusal(400, error.message.replace(/^\w+: /, ''), 'value');
    throw error;
  }
}

/** Judges an entry from where the eye was left. Of a tool at the front nobody knows where it was, so it is taken as level. */
export function judged(task: ReadingTask, row: Pick<TogetherRow, 'kind'>, entry: string, eyeHeight: number): Diagnosis {
  return diagnose(row.kind === 'picture' ? asOperated(task, { eyeHeight }) : task, entry);
}

type Answered = Pick<TogetherAnswerRow, 'entry' | 'eyeHeight' | 'diagnosis'>;

/** The doubtful digit scatters: that is no slip that a dot is marked for. */
function isScatter({ verdict, slips }: Diagnosis): boolean {
  return verdict === 'sound' || verdict === 'record' || slips[0]?.ids.join() === 'estimate-off';
}

/**
 * Where an answer stands on the strip; null where it came too late to count. Before the true value is shown no dot says whether a slip is
 * behind it: those that say so would give away where the true value lies.
 */
export function dotOf(
  { unit, shownAt }: Pick<TogetherRow, 'unit' | 'shownAt'>,
  { entry, diagnosis }: Answered,
): TogetherDot | null {
  const read = entry === null ? '' : readTogether(entry, unit);
  if (typeof read === 'string') return null;
  return { value: read.value, place: read.place, sound: diagnosis === null || !shownAt ? null : isScatter(diagnosis) };
}

/** The likeliest slips behind an answer, in words. */
export function slipsBehind(
  task: ReadingTask | null,
  row: Pick<TogetherRow, 'kind'>,
  { eyeHeight, diagnosis }: Answered,
): readonly SlipExplained[] {
  const [first] = diagnosis?.slips ?? [];
  if (!task || !first) return [];
  return explainSlips(row.kind === 'picture' ? asOperated(task, { eyeHeight }) : task, first);
}

/** What the readings are measured against; null as long as it has not been shown. */
export function answerShown(row: TogetherRow, task: ReadingTask | null): TogetherAnswerShown | null {
  if (!row.shownAt) return null;
  if (row.kind === 'picture' && task) {
    const { value, text } = roomAnswer(task);
    return { value, text };
  }
  return row.value === null ? null : { value: row.value, text: String(row.value) };
}
