import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../simulation/random.ts';
import { instrumentById, instrumentIds } from '../../instruments/catalogue.ts';
import { drawTask } from '../drawing/draw-task.ts';
import { questionFor } from '../in-words.ts';
import { heldThing, isThickness, longThing } from './things.ts';
import { fieldsOf } from '../../../test/fields-of.ts';

describe('things of the kit', () => {
  it('are as large as such things are', () => {
    const random = seededRandom(5);
    for (let size = 6; size <= 900; size += 7) {
      const long = longThing(size, random);
      if (long === 'brass bush') expect(size).toBeLessThanOrEqual(60);
      if (long === 'bronze deck nail') expect(size).toBeLessThanOrEqual(180);
      if (long === 'ebony peg') expect(size).toBeGreaterThanOrEqual(120);
      const held = heldThing(size, random);
      if (held === 'nickel washer') expect(size).toBeLessThanOrEqual(4);
      if (held === 'basalt pebble') expect(size).toBeLessThanOrEqual(45);
    }
    expect(heldThing(0.5, random)).toBe('acrylic rod');
  });

  it('are all met with', () => {
    const random = seededRandom(6);
    const names = new Set(
      Array.from({ length: 400 }, (_, i) => [longThing(5 + i, random), heldThing(1 + i / 9, random)]).flat(),
    );
    expect(names).toEqual(
      new Set([
        'brass bush',
        'bronze deck nail',
        'slate tile',
        'ebony peg',
        'acrylic rod',
        'nickel washer',
        'basalt pebble',
      ]),
    );
  });

  it.each(instrumentIds().filter((id) => ['calipers', 'micrometers'].includes(instrumentById(id).family)))(
    '%s: what is thick is asked for as thick, what is long as long',
    (id) => {
      for (let seed = 0; seed < 40; seed += 1) {
        const task = drawTask(id, { seed });
        if (task.situation.ask === 'observed') continue;
        if (fieldsOf(task).use === 'depth' || fieldsOf(task).use === 'inside') {
          expect(questionFor(task)).toMatch(/^How (deep is the .*|wide is the .* inside)\?$/);
          continue;
        }
        expect(questionFor(task)).toMatch(
          isThickness(task.situation.value) ? /^How thick is the / : /^How long is the /,
        );
      }
    },
  );
});
