import { instrumentById } from '../instruments/catalogue.ts';
import type { FamilyId } from '../instruments/instrument.ts';
import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import { familyOf, type SituationOf } from './families.ts';
import type { Indication, Posed } from './indication/indication.ts';
import { checkSituation, type Situation } from './situation.ts';

/** One reading to be taken on a tool of one family. */
interface TaskOf<F extends FamilyId> {
  readonly family: F;
  readonly instrumentId: string;
  readonly situation: SituationOf<F>;
  readonly rules: HouseRules;
}

/** One reading to be taken: a tool, what is really there, and the rules it is judged by. Plain data, safe to store. */
export type ReadingTask = { [F in FamilyId]: TaskOf<F> }[FamilyId];

/**
 * Sets up one reading.
 * @param situation in the instrument's unit; lengths that concern the eye in mm.
 * @throws UnknownInstrumentError, SituationError or HouseRuleError, each naming the field.
 */
export function readingTask(instrumentId: string, situation: Situation, rules?: Partial<HouseRules>): ReadingTask {
  const instrument = instrumentById(instrumentId);
  checkSituation(instrument, situation);
  // What has been checked is of the tool's family.
  return { family: instrument.family, instrumentId, situation, rules: completeRules(rules) } as ReadingTask;
}

/** The same task in another situation of the same family, which has been checked already. */
export function inSituation(task: ReadingTask, situation: object): ReadingTask {
  return { ...task, situation } as ReadingTask;
}

/** A task with its tool looked up. */
export function posed({ instrumentId, situation, rules }: ReadingTask): Posed {
  return { tool: instrumentById(instrumentId), situation, rules };
}

/** Tasks never change, so what their tools indicate is worked out once for each. */
const INDICATIONS = new WeakMap<ReadingTask, Indication>();

/** What a task's tool indicates. */
export function indicationOf(task: ReadingTask): Indication {
  const known = INDICATIONS.get(task);
  if (known) return known;
  const given = posed(task);
  const indication = familyOf(given.tool).indicates(given);
  INDICATIONS.set(task, indication);
  return indication;
}
