import { protocol, workOut, type Protocol } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { eventsOfSample, withEntry, withSample } from './try-run.ts';

const LAB = protocol('mass-per-item');
const FURTHER = { kind: 'cell', quantity: 'further', members: {} } as const;

describe('a lab sheet that is tried', () => {
  it('has what is written as its example, and the results follow', () => {
    const events = withEntry(eventsOfSample(LAB, 0), FURTHER, '45', null);
    const draft = withSample({ ...LAB }, 0, LAB, events);
    const kept = { ...draft } as unknown as Protocol;
    expect(kept.samples[0].entries['further']).toBe('45');
    expect(kept.samples[0].entries['mass']).toEqual(LAB.samples[0].entries['mass']);
    const [before, after] = [LAB, kept].map((lab) =>
      workOut(lab, { events: eventsOfSample(lab, 0) }).results.find(({ quantity }) => quantity === 'expected')!,
    );
    expect(after!.value - before!.value).toBeCloseTo(5 * 2.506, 1);
  });

  it('strikes through what stood there, and nothing where nothing changes', () => {
    const events = eventsOfSample(LAB, 0);
    const next = withEntry(events, FURTHER, '45', 'miscounted');
    expect(next.at(-1)).toMatchObject({ text: '45', reason: 'miscounted' });
    expect(next.at(-1)!.replaces).not.toBeNull();
    expect(withEntry(next, FURTHER, '45', null)).toBe(next);
  });
});
