import { describe, expect, it } from 'vitest';
import { instrumentById, instrumentIds } from '../../instruments/catalogue.ts';
import { DEFAULT_RULES } from '../../rules/house-rules.ts';
import { seededRandom } from '../../simulation/random.ts';
import { asLaid } from '../bench.ts';
import { readingTask } from '../reading-task.ts';
import { slipById, slipOn, SLIPS } from '../slips.ts';
import { drawSituation, slipsOn } from './draw-task.ts';
import { predictedEntries } from './predictions.ts';

/**
 * Slips that are made on a tool and are not aimed at there: what they lead to is no further off than an estimate can be, or something else
 * leads to the same. Whoever makes one is still told it where it shows.
 */
const NOT_AIMED_AT: Readonly<Record<string, readonly string[]>> = {
  'eye-aside': ['ruler-half-centimetre', 'caliper-twentieth'],
  'label-above': ['ruler-decimetre', 'beaker-50', 'beaker-100', 'beaker-250', 'beaker-500', 'conical-flask-250'],
  'marks-counted': [
    'ruler-decimetre',
    'beaker-50',
    'beaker-100',
    'beaker-250',
    'beaker-500',
    'conical-flask-250',
    'graduated-pipette-10',
  ],
  'meniscus-low': ['cylinder-50', 'cylinder-1000'],
  'division-miscounted': ['beaker-100', 'beaker-250', 'beaker-500', 'conical-flask-250'],
  // A number of two or three digits, and a number that is known beforehand.
  transposed: [
    'beaker-250',
    'beaker-500',
    'conical-flask-250',
    'volumetric-pipette-10',
    'volumetric-pipette-25',
    'volumetric-flask-100',
    'volumetric-flask-250',
    'hydrometer-1100',
  ],
  // The last digit of a ring’s volume is a zero.
  'dropped-digit': ['volumetric-pipette-10', 'volumetric-pipette-25', 'volumetric-flask-100', 'volumetric-flask-250'],
};

/** Whether a slip shows on any of some drawn items. */
function canShow(tool: string, slip: string): boolean {
  const random = seededRandom(5);
  return Array.from({ length: 40 }).some(() => {
    const situation = drawSituation(instrumentById(tool), random, [slip], DEFAULT_RULES);
    return predictedEntries(asLaid(readingTask(tool, situation)), slipById(slip)).length > 0;
  });
}

describe('slips that are not aimed at', () => {
  it('are these, on these tools', () => {
    const found = SLIPS.flatMap(({ id }): [string, string[]][] => {
      const tools = instrumentIds().filter(
        (tool) => slipOn(instrumentById(tool), id) !== null && !slipsOn(tool).includes(id) && canShow(tool, id),
      );
      return tools.length > 0 ? [[id, tools]] : [];
    });
    expect(Object.fromEntries(found)).toEqual(NOT_AIMED_AT);
  });
});
