import { describe, expect, it } from 'vitest';
import { workOut } from '../engine/evaluate.ts';
import type { Protocol, SampleEntries, SampleRun } from '../protocol/protocol.ts';
import { sampleRun } from '../run/run-from-rows.ts';
import type { Run, RunEvent } from '../run/run.ts';
import { BALANCE_CHECK } from '../shipped/balance-check.ts';
import { BURN_RATE } from '../shipped/burn-rate.ts';
import { DELIVERED_VOLUME } from '../shipped/delivered-volume.ts';
import { GLASSWARE_DELIVERY } from '../shipped/glassware-delivery.ts';
import { HOLLOW_BODY } from '../shipped/hollow-body.ts';
import { LIQUID_BY_INCREMENTS } from '../shipped/liquid-by-increments.ts';
import { MASS_PER_ITEM } from '../shipped/mass-per-item.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { SOLID_BY_DISPLACEMENT } from '../shipped/solid-by-displacement.ts';
import { THERMOMETER_CHECK } from '../shipped/thermometer-check.ts';
import type { Finding } from './finding.ts';
import { findingsIn } from './find.ts';

/** What is found in a protocol’s sample with some entries replaced. */
function foundWith(
  protocol: Protocol,
  entries: Readonly<Record<string, SampleEntries>> = {},
  {
    index = 0,
    change = (run: Run): Run => run,
    accepted,
  }: { index?: number; change?: (run: Run) => Run; accepted?: string } = {},
): Finding[] {
  const sample = protocol.samples[index] as SampleRun;
  const run = sampleRun(protocol, {
    ...sample,
    ...(accepted === undefined ? {} : { accepted }),
    entries: { ...sample.entries, ...entries },
  });
  return findingsIn(workOut(protocol, change(run)));
}

const kinds = (found: readonly Finding[]): string[] => found.map(({ kind }) => kind);

describe('what is found in a run', () => {
  it.each(SHIPPED)('nothing wrong in the sample of $id', (protocol) => {
    for (const [index] of protocol.samples.entries()) {
      const wrong = foundWith(protocol, {}, { index }).filter(
        ({ severity, kind }) => severity === 'wrong' && kind !== 'balance-fit',
      );
      expect(wrong).toEqual([]);
    }
  });

  it.each<[string, Protocol, Readonly<Record<string, SampleEntries>>, RegExp]>([
    ['rises', SOLID_BY_DISPLACEMENT, { after: ['24.6', '13.7', '25.4'] }, /^Trial 2: With the piece/],
    ['above', HOLLOW_BODY, { bore: ['26.04', '16.02', '16.06', '16.04', '16.02'] }, /^Position 1: The bore/],
    ['falls', BURN_RATE, { mass: { lit: '42.95', out: '44.87' } }, /^After burning: A light that has burned/],
    [
      'outlier',
      LIQUID_BY_INCREMENTS,
      { mass: ['44.17', '49.50', '51.52', '60.08', '65.28'] },
      /^Density, fill 3: it lies further/,
    ],
    [
      'grows',
      LIQUID_BY_INCREMENTS,
      { mass: ['44.17', '55.12', '49.50', '60.08', '65.28'] },
      /^Fill 3: With more liquid/,
    ],
    [
      'grows',
      LIQUID_BY_INCREMENTS,
      { mass: ['37.17', '49.50', '55.12', '60.08', '65.28'] },
      /^Fill 1: With more liquid/,
    ],
    ['grows', MASS_PER_ITEM, { washers: ['5', '20', '10', '30'] }, /^Load 3: With more washers/],
    [
      'resolvable',
      SOLID_BY_DISPLACEMENT,
      { after: ['19.4', '18.5', '20.3'] },
      /too small for these tools: it is only known to \d+ %/,
    ],
    ['sink-or-float', SOLID_BY_DISPLACEMENT, { behaviour: 'floated' }, /It floated, yet the density found is above/],
    [
      'sink-or-float',
      BURN_RATE,
      { behaviour: 'sank', covered: { lit: '89.0', out: '86.0' } },
      /It sank, yet the density/,
    ],
    [
      'within-tolerance',
      GLASSWARE_DELIVERY,
      {
        after: {
          beaker: ['109.86', '112.41', '108.97', '110.62'],
          cylinder: ['78.94', '79.03', '78.88', '78.97'],
          burette: ['81.18', '81.22', '81.17', '81.19'],
        },
      },
      /50 mL cylinder is off by more than its maker allows/,
    ],
    [
      'concordant',
      DELIVERED_VOLUME,
      { end: ['24.86', '24.60', '25.79', '24.68'] },
      /apart. Go on until they lie within 0.10 mL/,
    ],
    [
      'order-of-cases',
      THERMOMETER_CHECK,
      { reading: { ice: ['22.6', '22.5'], boiling: ['99.2', '99.3'], room: ['21.8', '21.8'] } },
      /between ice and boiling water/,
    ],
    ['past-noon', BURN_RATE, { time: { lit: '12:42:10', out: '1:57:25' } }, /Did the clock pass noon/],
    ['density', SOLID_BY_DISPLACEMENT, { after: ['20.3', '23.7', '25.4'] }, /no material has a density/],
    [
      'identical',
      HOLLOW_BODY,
      { depth: ['26.02', '26.02', '26.02', '26.02', '26.02'] },
      /Depth: all repeats are the same/,
    ],
    [
      'outlier',
      HOLLOW_BODY,
      { outer: ['20.02', '20.00', '20.02', '20.52', '20.02'] },
      /^Outer diameter, position 4: it lies further/,
    ],
    [
      'cell',
      HOLLOW_BODY,
      { outer: ['20.02', 'twenty', '20.02', '20.04', '20.02'] },
      /^Outer diameter, position 2: “twenty” is not a number/,
    ],
    [
      'cell',
      HOLLOW_BODY,
      { outer: ['20.02', '20.02 mL', '20.02', '20.04', '20.02'] },
      /unit of another kind; this column is in mm/,
    ],
    ['cell', HOLLOW_BODY, { outer: ['20.02', '2002', '20.02', '20.04', '20.02'] }, /reads from 0 to/],
    [
      'cell',
      HOLLOW_BODY,
      { outer: ['20.02', '20.0', '20.02', '20.04', '20.02'] },
      /is written with 2 decimals in mm in this class; outer diameter has fewer/,
    ],
    [
      'cell',
      SOLID_BY_DISPLACEMENT,
      { after: ['18.4', '23.7', '25.4'] },
      /^Density, trial 1: A division by zero has no result/,
    ],
    [
      'repeats',
      HOLLOW_BODY,
      { outer: ['20.02', '', '20.02', '20.04', ''] },
      /^Still to be read: Outer diameter, position 2 and 1 more/,
    ],
  ])('%s', (kind, protocol, entries, message) => {
    const found = foundWith(protocol, entries);
    expect(found.filter((one) => one.kind === kind).map((one) => one.message)).toEqual(
      expect.arrayContaining([expect.stringMatching(message) as string]),
    );
  });

  it('says of each balance whether it is fit', () => {
    const messages = foundWith(BALANCE_CHECK)
      .filter(({ kind }) => kind === 'balance-fit')
      .map(({ message }) => message);
    expect(messages).toHaveLength(2);
    expect(messages.join(' ')).toMatch(/(fit for use|Watch the|out of use)/);
  });

  it('says that a value to compare with is none', () => {
    expect(kinds(foundWith(SOLID_BY_DISPLACEMENT, {}, { accepted: 'unobtainium' }))).toContain('accepted');
    expect(kinds(foundWith(SOLID_BY_DISPLACEMENT, {}, { accepted: '8.8 g/mL' }))).not.toContain('accepted');
  });

  it('shows two numbers in one cell as a conflict', () => {
    const change = (run: Run): Run => {
      const [first] = run.events.filter(({ address }) => address.kind === 'cell' && address.quantity === 'mass');
      const rival: RunEvent = { ...(first as RunEvent), id: 'rival', text: '54.13', person: 'another', order: 99 };
      return { events: [...run.events, rival] };
    };
    const [conflict] = foundWith(SOLID_BY_DISPLACEMENT, {}, { change }).filter(({ kind }) => kind === 'conflict');
    expect(conflict?.message).toContain('54.31 and 54.13');
  });
});
