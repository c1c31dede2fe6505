import { instrumentById } from '../instruments/catalogue.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { seededRandom } from '../simulation/random.ts';
import { drawTask } from './drawing/draw-task.ts';
import { familyOf } from './families.ts';
import { readingTask, type ReadingTask } from './reading-task.ts';

/** Whether a tool can be shown at a value of one’s choice: a ring stands for one volume alone. */
export function hasScale(instrumentId: string, rules: HouseRules): boolean {
  const tool = instrumentById(instrumentId);
  return familyOf(tool).resolution(tool, rules).lastDigit !== 'known';
}

/**
 * One plain reading from a level eye for the front of the room, with nothing to be done and nothing to be taken off.
 * @param value what the tool is to stand at, in its unit; null for a drawn one.
 * @throws UnknownInstrumentError, SituationError or HouseRuleError, each naming the field.
 */
export function plainTask(instrumentId: string, seed: number, value: number | null, rules: HouseRules): ReadingTask {
  const tool = instrumentById(instrumentId);
  const { situation } = drawTask(instrumentId, { seed, rules });
  // What was drawn for another size would not be of this one.
  const set = value === null ? null : { value, random: seededRandom(seed) };
  return readingTask(instrumentId, familyOf(tool).plain(tool, situation, set), rules);
}
