import type { FamilyId, Instrument } from '../instruments/instrument.ts';
import { familyOf, type SituationOf } from './families.ts';
import type { AnySituation } from './indication/indication.ts';
import { checkChoice, checkNumber, SituationError } from './indication/situation-error.ts';
import { withArticle } from './words/article.ts';

/** What stands on the bench when a reading is taken; the tool says of which family it is. */
export type Situation = { [F in FamilyId]: SituationOf<F> }[FamilyId];

const EVERYWHERE = ['value', 'ask'];

/** What somebody else has written: it may have any field. */
type Given = AnySituation & { readonly [field: string]: unknown };

/**
 * Checks a situation against the instrument it is to be read on.
 * @throws SituationError naming the field.
 */
export function checkSituation(instrument: Instrument, situation: AnySituation): void {
  const family = familyOf(instrument);
  const given = situation as Given;
  const fields = [...EVERYWHERE, ...family.fields(instrument)];
  const foreign = Object.keys(given).find((field) => given[field] !== undefined && !fields.includes(field));
  // A zero error of nothing is true of every tool.
  if (foreign !== undefined && !(foreign === 'zeroError' && given[foreign] === 0))
    throw new SituationError(foreign, `${withArticle(instrument.name)} has no such thing.`);
  const [least, most] = instrument.range;
  checkNumber('value', situation.value, least, most, instrument.unit);
  checkChoice('ask', situation.ask, ['corrected', 'observed', 'delivered']);
  if (situation.ask === 'delivered' && given['from'] === undefined)
    throw new SituationError('from', 'a difference needs the mark it starts from.');
  family.check(instrument, situation);
}
