import { OwnWork, protocol, runOfEntries, sampleRun, workOut, type Address, type WorkedRun } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { firstDoubtful, toneOf } from './tones.ts';

const LAB = protocol('solid-by-displacement');
const ADA = 'ada';
const readings = sampleRun(LAB).events;

const own = (quantity: string, trial: string | null, text: string): { address: Address; text: string } => ({
  address: { kind: 'cell', quantity, members: trial === null ? {} : { trial }, author: ADA },
  text,
});

/** What Ada has made of the sample’s readings, beside the book. */
function marked(entries: readonly { address: Address; text: string }[]): {
  run: WorkedRun;
  book: WorkedRun;
  own: OwnWork;
} {
  const { events } = runOfEntries([...readings, ...entries]);
  const run = workOut(LAB, { events }, undefined, { author: ADA, quantities: ['volume', 'density', 'meanDensity'] });
  return { run, book: workOut(LAB, { events }), own: new OwnWork(run) };
}

const tone = (at: ReturnType<typeof marked>, quantity: string, trial: string | null): unknown =>
  toneOf(at.run, at.book, at.own, { quantity, members: trial === null ? {} : { trial } });

describe('how a cell is marked', () => {
  it('is as a slip where it was made, and as carried where it only follows', () => {
    // The final volume for the difference, in trial 2; the density goes on from it, rightly.
    const at = marked([own('volume', '1', '6.2 mL'), own('volume', '2', '24.8 mL'), own('density', '2', '2.19 g/mL')]);
    expect(tone(at, 'volume', '1')).toBeNull();
    expect(tone(at, 'volume', '2')).toBe('slip');
    expect(tone(at, 'density', '2')).toBe('carried');
    expect(tone(at, 'mass', '2')).toBeNull();
    expect(firstDoubtful(at.run, at.book, at.own)).toEqual({ quantity: 'volume', members: { trial: '2' } });
  });

  it('is as nothing where all is right, also where it was rounded', () => {
    const at = marked([own('volume', '1', '6.2 mL'), own('density', '1', '8.8 g/mL')]);
    expect([tone(at, 'volume', '1'), tone(at, 'density', '1')]).toEqual([null, null]);
    expect(firstDoubtful(at.run, at.book, at.own)).toBeNull();
  });

  it('is as nothing where nothing is written yet', () => {
    const at = marked([]);
    expect(tone(at, 'volume', '1')).toBeNull();
    expect(firstDoubtful(at.run, at.book, at.own)).toBeNull();
  });
});
