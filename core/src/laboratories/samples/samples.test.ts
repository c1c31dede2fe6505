import { describe, expect, it } from 'vitest';
import { workOut } from '../engine/evaluate.ts';
import type { Protocol, SampleEntries } from '../protocol/protocol.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { sampleFaults } from './sample-faults.ts';
import { sampleOfRun } from './sample-of-run.ts';

const SAMPLES = SHIPPED.flatMap((protocol) =>
  protocol.samples.map((sample, i) => ({ protocol, sample, name: `${protocol.id}, sample ${i + 1}` })),
);
const PLATE = SHIPPED.find(({ id }) => id === 'plate-two-ways')!;

const numbersOf = (protocol: Protocol, sample: Protocol['samples'][0]): (string | null)[] => {
  const run = workOut(protocol, sampleRun(protocol, sample));
  return run.results.map(({ name, text, quoted, comparison }) => JSON.stringify([name, text, quoted, comparison]));
};

/** A protocol whose first sample has other entries for a quantity. */
const withEntries = (protocol: Protocol, quantity: string, entries: SampleEntries): Protocol => ({
  ...protocol,
  samples: [{ ...protocol.samples[0], entries: { ...protocol.samples[0].entries, [quantity]: entries } }],
});

describe('a run as a sample', () => {
  it.each(SAMPLES)('$name is the same run again', ({ protocol, sample }) => {
    const kept = sampleOfRun(workOut(protocol, sampleRun(protocol, sample)));
    expect(numbersOf(protocol, kept)).toEqual(numbersOf(protocol, sample));
    expect(sampleRun(protocol, kept).events.filter(({ address }) => address.kind === 'cell')).toHaveLength(
      sampleRun(protocol, sample).events.filter(({ address }) => address.kind === 'cell').length,
    );
  });
});

describe('what a sample lacks', () => {
  it.each(SHIPPED)('$id: nothing', (protocol) => expect(sampleFaults(protocol)).toEqual([]));

  it('is an entry that is missing, and what needs it', () => {
    const faults = sampleFaults(withEntries(PLATE, 'thickness', []));
    expect(faults.map(({ path }) => path)).toContain('samples[0].entries.thickness');
    expect(faults.map(({ path }) => path)).toContain('samples[0].entries.volume');
    expect(faults[0]!.message).toContain('nothing is written');
  });

  it('is an entry that is no number', () => {
    const [fault] = sampleFaults(withEntries(PLATE, 'thickness', ['thick', '6.1', '6.1', '6.1', '6.1']));
    expect(fault!.path).toBe('samples[0].entries.thickness');
    expect(fault!.reason).toMatch(/^Thickness, .*1: /);
  });
});
