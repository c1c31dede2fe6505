import { completeRules, diagnose, expectedReading, pictureOf, SituationError } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { DEMONSTRATED, demonstrationOf, slipShown, slipsToShow } from './demonstration.ts';

const rules = completeRules();
const IDS = DEMONSTRATED.map(({ id }) => id);

describe('what is shown at the front of the room', () => {
  it.each(IDS)('%s: is one reading from a level eye, with nothing left to be done', (id) => {
    for (let seed = 0; seed < 25; seed += 1) {
      const task = demonstrationOf(id, seed, null, rules);
      const picture = pictureOf(task);
      // A pipette is shown as it stands at its ring.
      expect([null, 'pipette']).toContain(picture.handled);
      if ('eye' in picture) expect(picture.eye.height).toBe(0);
      const { text, unit } = expectedReading(task);
      expect(diagnose(task, `${text} ${unit}`).verdict).toBe('sound');
    }
  });

  it('is the value that was set, or refused by name', () => {
    expect(expectedReading(demonstrationOf('cylinder-50', 1, 32.6, rules)).text).toBe('32.6');
    expect(() => demonstrationOf('cylinder-50', 1, 61, rules)).toThrow(SituationError);
  });

  it.each(['cylinder-50', 'burette-25', 'thermometer-degree', 'ruler-inch'])('%s: every slip that is offered has a name, a reason and a number that diagnosis knows', (id) => {
    const task = demonstrationOf(id, 5, null, rules);
    const slips = slipsToShow(task);
    expect(slips.length).toBeGreaterThan(4);
    for (const slip of slips) {
      const shown = slipShown(task, slip)!;
      expect(shown.why).toMatch(/\w{3}.*\.$/);
      expect(diagnose(task, shown.written).verdict, `${slip}: ${shown.written}`).not.toBe('unreadable');
    }
  });
});
