import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instrumentIds } from '../instruments/catalogue.ts';
import { ACTION_KINDS, type Action } from './actions.ts';
import { begin, describePicture, handle, pictureOf, shows, startingEye, wait, type OnBench } from './bench.ts';
import type { CaliperPicture } from './calipers/caliper-picture.ts';
import type { LiquidColumnPicture } from './column/column-picture.ts';
import type { DisplayPicture } from './display/display.ts';
import { drawTask } from './drawing/draw-task.ts';
import type { RulerPicture } from './rulers/ruler-picture.ts';
import type { Situation } from './situation.ts';

const IDS = instrumentIds();

/** The same tool put on the bench and handled: again from the beginning each time. */
function handled(id: string, situation: Situation, actions: readonly Action[], at: number): OnBench {
  return wait(actions.reduce(handle, begin(id, situation)), at);
}

/** Whatever hands may do, in whatever order; many things are done with tools they do nothing to. */
const anyActions = fc
  .array(fc.record({ kind: fc.constantFrom(...ACTION_KINDS), pause: fc.nat(4000), to: fc.option(fc.nat(6)) }), {
    maxLength: 8,
  })
  .map((list) => {
    let at = 0;
    return list.map(({ kind, pause, to }): Action => ({ kind, at: (at += pause), to }));
  });

describe('a tool on the bench', () => {
  it.each(IDS)('%s: shows, before anything is done, what its task shows', (id) => {
    for (let seed = 1; seed <= 12; seed += 1) {
      const task = drawTask(id, { seed });
      const bench = begin(id, task.situation);
      expect(shows(bench, startingEye(task))).toEqual(pictureOf(task));
    }
  });

  it.each(IDS)('%s: is a value: the same hands come to the same picture, and what it was stays as it was', (id) => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), anyActions, fc.nat(20_000), (seed, actions, after) => {
        const { situation } = drawTask(id, { seed });
        const untouched = begin(id, situation);
        const before = JSON.stringify(shows(untouched));
        const at = (actions.at(-1)?.at ?? 0) + after;
        const [one, two] = [handled(id, situation, actions, at), handled(id, situation, actions, at)];
        expect(two).toEqual(one);
        expect(shows(two, 20)).toEqual(shows(one, 20));
        expect(JSON.stringify(shows(untouched))).toBe(before);
        expect(JSON.stringify(shows(begin(id, situation)))).toBe(before);
      }),
      { numRuns: 30 },
    );
  });

  it.each(IDS)('%s: can be looked at and told in words whatever was done with it', (id) => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), anyActions, (seed, actions) => {
        const picture = shows(handled(id, drawTask(id, { seed }).situation, actions, 30_000));
        expect(picture.instrumentId).toBe(id);
        expect(JSON.stringify(picture)).not.toContain('NaN');
        expect(describePicture(picture)).toMatch(/\w.*\.$/);
      }),
      { numRuns: 30 },
    );
  });

  it('shows what was done with it, without any task', () => {
    const did = (kind: Action['kind'], to: number | null = null, at = 0): Action => ({ kind, at, to });

    const lowered = { value: 60, settled: false, shown: 20 };
    const thread = (at: number): number => {
      const bench = handled('thermometer-degree', lowered, [did('lower', null, 1000)], at);
      const { startY, surfaceY } = shows(bench) as LiquidColumnPicture;
      return startY ?? surfaceY;
    };
    const { surfaceY } = shows(begin('thermometer-degree', { value: 60 })) as LiquidColumnPicture;
    // Warmer is higher, and nearer to the top.
    expect(thread(4000)).toBeGreaterThan(thread(12_000));
    expect(thread(300_000)).toBeCloseTo(surfaceY, 3);

    const laying = begin('ruler-millimetre', { value: 84.6, loose: true, from: 20 });
    const laid = shows(handle(laying, did('lay', 30))) as RulerPicture;
    expect(laid.thing).toMatchObject({ fromX: 30, toX: 30 + 84.6 });

    const jaws = begin('caliper-tenth', { value: 24.6, loose: true });
    const slid = shows(handle(jaws, did('slide', 31.5))) as CaliperPicture;
    expect(slid.held.startX).toBe(31.5);

    const balance = { value: 18.46, container: 20.13, loose: true };
    const weighed = (...kinds: Action['kind'][]): string => {
      const done = kinds.map((kind, i) => did(kind, null, 9000 * i));
      return (shows(handled('digital-balance-hundredth', balance, done, 60_000)) as DisplayPicture).views[0].characters;
    };
    expect(weighed('switch-on', 'put-vessel', 'put-thing')).toBe('38.59');
    expect(weighed('switch-on', 'put-vessel', 'tare', 'put-thing')).toBe('18.46');
    expect(weighed('switch-on', 'put-vessel', 'tare')).toBe('0.00');
  });
});
