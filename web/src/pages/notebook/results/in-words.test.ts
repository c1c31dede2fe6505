import {
  completeRules,
  protocol,
  runFromRows,
  sampleRun,
  workOut,
  type HouseRules,
  type ResultFound,
  type WorkedRun,
} from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { chartedFor } from './charted.ts';
import { agreementInWords, betterKnown, comparedWith, knownTo, uncertaintyNamed } from './in-words.ts';

const sample = (id: string, rules: Partial<HouseRules> = {}): WorkedRun =>
  workOut(protocol(id), sampleRun(protocol(id)), rules);

const resultsOf = (id: string, rules: Partial<HouseRules> = {}): ResultFound[] => [...sample(id, rules).results];

describe('a result in words', () => {
  it('says how well it is known, in percent of it', () => {
    const [coarse, fine] = resultsOf('plate-two-ways');
    expect([knownTo(coarse!), knownTo(fine!)]).toEqual(['known to 25 %', 'known to 0.3 %']);
    expect(betterKnown(coarse!, fine!)).toMatch(/^“Volume, fine” is known about \d+ times better\.$/);
    expect(betterKnown(fine!, fine!)).toBeNull();
  });

  it('writes the percent as people do, whatever it is', () => {
    const [result] = resultsOf('plate-two-ways');
    const known = (percent: number): string | null =>
      knownTo({ ...result!, value: 1, methods: [{ ...result!.methods[0]!, size: percent / 100 }] });
    expect([0.094, 0.96, 9.4, 9.6, 9.99, 10.4, 99.6].map(known)).toEqual(
      ['0.09', '1', '9', '10', '10', '10', '100'].map((text) => `known to ${text} %`),
    );
    for (let power = -9; power < 2.4; power += 0.003) expect(known(10 ** power)).not.toMatch(/\de|NaN/);
  });

  it('says nothing of how well it is known where nothing is uncertain', () => {
    const [result] = resultsOf('plate-two-ways');
    expect(knownTo({ ...result!, methods: [] })).toBeNull();
    expect(knownTo({ ...result!, value: 0 })).toBeNull();
    expect(knownTo({ ...result!, value: 0.001 })).toContain('larger than the result');
  });

  it('says by which method and with which coverage', () => {
    const named = (rules: Partial<HouseRules>): string =>
      uncertaintyNamed(resultsOf('solid-by-displacement', rules)[0]!, completeRules(rules));
    expect(named({})).toBe('Quadrature, one standard uncertainty.');
    expect(named({ coverage: 'expanded-k-2' })).toBe('Quadrature, expanded, k = 2.');
    expect(named({ coverage: 'students-t-95' })).toMatch(/^Quadrature, 95 % by Student’s t, k = [12]\.\d+\.$/);
    expect(named({ combine: 'plain-sum' })).toBe('Plain sum of half-widths.');
    expect(named({ combine: 'simulation' })).toBe('Quadrature, until a simulation is run, one standard uncertainty.');
  });

  it('stands beside what it is compared with', () => {
    expect(comparedWith(resultsOf('solid-by-displacement')[0]!)).toMatch(
      /^−?\d.* % from the middle of bronze; the two agree within the uncertainty\.$/,
    );
    const lab = protocol('solid-by-displacement');
    const rows = ['1', '2', '3'].flatMap((trial) => [
      { quantity: 'mass', members: { trial }, text: '54.31' },
      { quantity: 'before', members: { trial }, text: '10.0' },
      { quantity: 'after', members: { trial }, text: '40.0' },
    ]);
    const [light] = workOut(lab, runFromRows(lab, rows, { accepted: '8.80' })).results;
    expect(comparedWith(light!)).toBe('−79.4 % from the value you chose; the two do not agree.');
    expect(comparedWith({ ...light!, comparison: null })).toBeNull();
  });
});

describe('an agreement in words', () => {
  it('gives the difference and what it is known to', () => {
    const [volumes] = sample('plate-two-ways').comparisons;
    if (volumes?.kind !== 'agree') throw new Error('no agreement');
    expect(agreementInWords(volumes)).toEqual(['They agree: the difference is 0 cm³, known to ± 8 cm³.']);
    const apart = { ...volumes, pairs: volumes.pairs.map((pair) => ({ ...pair, agree: false, text: '3.1 ± 0.4' })) };
    expect(agreementInWords(apart)).toEqual([
      'They do not agree: the difference is 3.1 cm³, known to ± 0.4 cm³, and that is more than chance explains.',
    ]);
  });

  it('names both where several are compared', () => {
    const [times] = sample('burn-rate').comparisons;
    if (times?.kind !== 'agree') throw new Error('no agreement');
    expect(agreementInWords(times)[0]).toMatch(/^Time left by mass and time left by height do not agree: /);
  });
});

describe('what is drawn for a result', () => {
  const drawn = (id: string, index: number): string[] => {
    const run = sample(id);
    const { quantity, members } = run.results[index]!;
    return chartedFor(run, quantity, members).map(({ aggregate, quantity: of }) => `${aggregate.name} ${of}`);
  };

  it('is its own mean or line, or those that it is worked out from', () => {
    expect(drawn('solid-by-displacement', 0)).toEqual(['mean meanDensity']);
    expect(drawn('plate-two-ways', 1)).toEqual(['mean meanLength', 'mean meanWidth', 'mean meanThickness']);
    expect(drawn('liquid-by-increments', 1)).toEqual(['slope slopeDensity']);
  });
});
