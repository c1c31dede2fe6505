import type { Instrument } from '../instruments/instrument.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { familyOf } from './families.ts';
import type { Resolution } from './indication/resolution.ts';
import { expectedFrom, type ExpectedReading } from './indication/written.ts';
import { indicationOf, type ReadingTask } from './reading-task.ts';

/**
 * What a careful observer with a level eye would write, in the class's unit and by its house rules, and the band about the true
 * value that is accepted (with a decimal point, whatever mark the class writes).
 * @example expectedReading(readingTask('cylinder-50', { value: 46 })).text // '46.0'
 * @example expectedReading(readingTask('burette-50', { value: 24.38, from: 1.12 })).text // '23.26'
 */
export function expectedReading(task: ReadingTask): ExpectedReading {
  return expectedFrom(indicationOf(task));
}

/** The finest step a class reads an instrument to, and the place it is written to. */
export function readingStep(instrument: Instrument, rules: HouseRules): Resolution {
  return familyOf(instrument).resolution(instrument, rules);
}
