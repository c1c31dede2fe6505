import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { diagnose } from './judging/diagnose.ts';
import { expectedReading } from './expected-reading.ts';
import { asOperated } from './bench.ts';
import { sentTowards, threadAt, THREAD_TIME, type Thread } from './thermometers/thread.ts';
import type { Action } from './actions.ts';
import { pictureOf } from './bench.ts';
import type { RulerPicture } from './rulers/ruler-picture.ts';
import { readingTask } from './reading-task.ts';
import { revealOf } from './in-words.ts';
import { SituationError } from './indication/situation-error.ts';
import { fieldsOf } from '../../test/fields-of.ts';

const did = (kind: Action['kind'], at: number, to: number | null = null): Action => ({ kind, at, to });

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

describe('a thing laid at a ruler', () => {
  const loose = readingTask('ruler-millimetre', { value: 84.6, from: 23.37, loose: true, endOffset: 5 });
  const laidAt = (x: number) => asOperated(loose, { eyeHeight: 0, done: [did('lay', 900, 40), did('lay', 4000, x)] });

  it('at the zero mark is as long as the mark at its other end', () => {
    const task = laidAt(5);
    expect(task.situation).toMatchObject({ from: 0 });
    expect(fieldsOf(task).loose).toBeUndefined();
    expect(expectedReading(task).text).toBe('84.6');
    expect(diagnose(task, '84.6 mm').verdict).toBe('sound');
  });

  it('at the ruler’s own end seems shorter, and who reads its other end is told', () => {
    const task = laidAt(0);
    expect(fieldsOf(task).from).toBe(-5);
    expect(diagnose(task, '79.6 mm').slips[0]?.ids).toEqual(['end-not-zero']);
    expect(diagnose(task, '84.6 mm').verdict).toBe('sound');
  });

  it('at another mark has that mark taken off', () => {
    const task = laidAt(15);
    expect(diagnose(task, '94.6 mm').slips[0]?.ids).toEqual(['end-not-zero']);
    expect(revealOf(task).some(({ text }) => text.includes('94.6 becomes 84.6'))).toBe(true);
  });

  it('left where it was is the difference of both ends', () => {
    const task = asOperated(loose, { eyeHeight: 0 });
    expect(diagnose(task, '84.6 mm').verdict).toBe('sound');
    expect((pictureOf(task) as RulerPicture).handled).toBe('lay');
  });

  it('beyond the ruler is refused', () => {
    expect(() => laidAt(280)).toThrow(SituationError);
    expect(() => laidAt(-8)).toThrow(/^from: /);
  });

  it('has its answer drawn where the ruler’s lines are, with bare wood before them or without', () => {
    for (const endOffset of [0, 5]) {
      const task = readingTask('ruler-millimetre', { value: 84.6, endOffset });
      const { marks } = pictureOf(task) as RulerPicture;
      const label = revealOf(task).find(({ kind }) => kind === 'label')!;
      expect(label.fromY).toBeCloseTo(marks.find((mark) => mark.label === '80')!.x, 6);
    }
  });
});
