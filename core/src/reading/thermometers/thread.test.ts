import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fieldsOf } from '../../../test/fields-of.ts';
import type { Action } from '../actions.ts';
import { asOperated } from '../bench.ts';
import { diagnose } from '../judging/diagnose.ts';
import { readingTask } from '../reading-task.ts';
import { sentTowards, threadAt, THREAD_TIME, type Thread } from './thread.ts';

const did = (kind: Action['kind'], at: number): Action => ({ kind, at, to: null });

/** A thread by small steps of dT/dt = (target − T) ÷ τ, the law itself. */
function byLaw(room: number, liquid: number, done: readonly Action[], at: number): number {
  let present = room;
  const step = 0.5;
  for (let time = 0; time < at; time += step) {
    const last = done.findLast((one) => one.at <= time);
    const target = last && last.kind !== 'raise' ? liquid : room;
    present += ((target - present) * step) / THREAD_TIME;
  }
  return present;
}

/** A thread through what was done with its bulb. */
function moved(room: number, liquid: number, done: readonly Action[]): Thread {
  return done
    .filter(({ kind }) => kind !== 'drain')
    .reduce((thread, { kind, at }) => sentTowards(thread, kind === 'raise' ? room : liquid, at), {
      stood: room,
      towards: room,
      since: 0,
    });
}

describe('a thread', () => {
  it.each([
    [[did('lower', 1000)], 4000],
    [[did('lower', 500), did('raise', 3000)], 5000],
    [[did('lower', 500), did('raise', 3000), did('ground', 4500)], 9000],
    [[], 6000],
  ])('follows Newton’s law of cooling through %j', (done, at) => {
    expect(threadAt(moved(21, 78, done), at)).toBeCloseTo(byLaw(21, 78, done, at), 1);
  });

  it('stays between the room and the liquid whatever is done', () => {
    const kinds = fc.constantFrom<Action['kind']>('lower', 'ground', 'raise', 'drain');
    fc.assert(
      fc.property(fc.array(fc.tuple(kinds, fc.nat(5000))), fc.nat(20_000), (moves, after) => {
        let time = 0;
        const done = moves.map(([kind, pause]) => did(kind, (time += pause)));
        const at = threadAt(moved(20, 4, done), time + after);
        expect(at).toBeGreaterThanOrEqual(4);
        expect(at).toBeLessThanOrEqual(20);
      }),
    );
  });

  it('taken out again is read too early: it has fallen back towards the room', () => {
    const drawn = readingTask('thermometer-degree', { value: 80, settled: false, shown: 20 });
    const out = asOperated(drawn, { eyeHeight: 0, done: [did('lower', 0), did('raise', 30_000)], at: 32_000 });
    const shown = fieldsOf(out).shown!;
    expect(shown).toBeGreaterThan(30);
    expect(shown).toBeLessThan(60);
    expect(diagnose(out, `${shown.toFixed(1)} °C`).slips[0]?.ids).toEqual(['unsettled']);
    expect(diagnose(asOperated(drawn, { eyeHeight: 0, done: [did('lower', 0)], at: 32_000 }), '80.0 °C').verdict).toBe(
      'sound',
    );
  });
});
