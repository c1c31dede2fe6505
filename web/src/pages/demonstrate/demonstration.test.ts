import { completeRules, diagnose, expectedReading, pictureOf, plainTask, SituationError } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { DEMONSTRATED, slipShown, slipsToShow } from './demonstration.ts';

const rules = completeRules();
const IDS = DEMONSTRATED.map(({ id }) => id);

describe('what is shown at the front of the room', () => {
  it.each(IDS)('%s: is one reading from a level eye, with nothing left to be done', (id) => {
    for (let seed = 0; seed < 25; seed += 1) {
      const task = plainTask(id, seed, null, rules);
      const picture = pictureOf(task);
      // A pipette is shown as it stands at its ring.
      expect([null, 'pipette']).toContain(picture.handled);
      if ('eye' in picture) expect(picture.eye.height).toBe(0);
      const { text, unit } = expectedReading(task);
      expect(diagnose(task, `${text} ${unit}`).verdict).toBe('sound');
    }
  });

  it('is the value that was set, or refused by name', () => {
    expect(expectedReading(plainTask('cylinder-50', 1, 32.6, rules)).text).toBe('32.6');
    expect(() => plainTask('cylinder-50', 1, 61, rules)).toThrow(SituationError);
  });

  it.each<[string, number, RegExp]>([
    ['beam-balance-hundredth', 147.362, /basalt pebble|brass bush|slate tile/],
    ['digital-balance-milligram', 0.412, /nickel washer/],
    ['caliper-twentieth', 2.35, /nickel washer|acrylic rod/],
    ['ruler-centimetre', 55, /slate tile|acrylic rod/],
    ['micrometer-hundredth', 20, /basalt pebble|brass bush|acrylic rod/],
  ])('%s at %d shows a thing that can be so large or heavy', (id, value, thing) => {
    for (let seed = 0; seed < 20; seed += 1) {
      const { situation } = plainTask(id, seed, value, rules);
      expect(situation).toMatchObject({ thing: expect.stringMatching(thing) });
      expect(situation).not.toMatchObject({ count: expect.anything() });
    }
  });

  it('a value nothing of the kit comes to is still shown with something', () => {
    expect(plainTask('digital-balance-gram', 3, 1999, rules).situation).toMatchObject({
      thing: expect.stringMatching(/slate tile|tin ballast ingot/),
    });
    expect(plainTask('digital-balance-gram', 3, 0, rules).situation).toMatchObject({ thing: 'basalt pebble' });
    expect(plainTask('cylinder-50', 3, 20, rules).situation).not.toMatchObject({ thing: expect.anything() });
  });

  it.each(['cylinder-50', 'burette-25', 'thermometer-degree', 'ruler-inch'])(
    '%s: every slip that is offered has a name, a reason and a number that diagnosis knows',
    (id) => {
      const task = plainTask(id, 5, null, rules);
      const slips = slipsToShow(task);
      expect(slips.length).toBeGreaterThan(4);
      for (const slip of slips) {
        const shown = slipShown(task, slip)!;
        expect(shown.why).toMatch(/\w{3}.*\.$/);
        expect(diagnose(task, shown.written).verdict, `${slip}: ${shown.written}`).not.toBe('unreadable');
      }
    },
  );
});
