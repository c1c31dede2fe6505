import { instrumentById } from '../instruments/catalogue.ts';
import type { Instrument } from '../instruments/instrument.ts';
import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import { checkSituation, type Situation } from './situation.ts';

/** One reading to be taken: a tool, what is really there, and the rules it is judged by. Plain data, safe to store. */
export interface ReadingTask {
  readonly instrumentId: string;
  readonly situation: Situation;
  readonly rules: HouseRules;
}

/**
 * Sets up one reading.
 * @param situation in the instrument's unit; lengths that concern the eye in mm.
 * @throws UnknownInstrumentError, SituationError or HouseRuleError, each naming the field.
 */
export function readingTask(instrumentId: string, situation: Situation, rules?: Partial<HouseRules>): ReadingTask {
  const instrument = instrumentById(instrumentId);
  return { instrumentId, situation: checkSituation(instrument, situation), rules: completeRules(rules) };
}

/** The catalogue entry a task is about. */
export function instrumentOf(task: ReadingTask): Instrument {
  return instrumentById(task.instrumentId);
}
