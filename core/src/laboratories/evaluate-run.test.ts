import { describe, expect, it } from 'vitest';
import { evaluateRun } from './evaluate-run.ts';
import { protocol, protocolIds, UnknownProtocolError } from './protocols.ts';
import { runFromRows, sampleRun } from './run/run-from-rows.ts';

const TRIALS = [
  ['54.31', '21.4', '27.8'],
  ['54.30', '22.0', '28.0'],
  ['54.31', '20.7', '27.0'],
] as const;

const ROWS = TRIALS.flatMap((texts, i) =>
  ['mass', 'before', 'after'].map((quantity, k) => ({
    quantity,
    members: { trial: String(i + 1) },
    text: texts[k] ?? '',
  })),
);

describe('a run from a tidy table', () => {
  const nail = protocol('solid-by-displacement');
  const { results, findings } = evaluateRun(nail, runFromRows(nail, ROWS, { accepted: 'bronze' }));
  const [density] = results;

  it('has its result with the uncertainty, reckoned here once more', () => {
    const volumes = TRIALS.map(([, before, after]) => Number(after) - Number(before));
    const densities = TRIALS.map(([mass], i) => Number(mass) / (volumes[i] ?? NaN));
    const mean = densities.reduce((sum, one) => sum + one, 0) / 3;
    const perVolume = TRIALS.reduce((sum, [mass], i) => sum + Number(mass) / (volumes[i] ?? NaN) ** 2, 0) / 3;
    const perMass = volumes.reduce((sum, one) => sum + 1 / one, 0) / 3;
    const s = Math.sqrt(densities.reduce((sum, one) => sum + (one - mean) ** 2, 0) / 2);
    // Half a division of 1 mL at either end, the last digit of a 0.01 g balance, and the repeats.
    const parts = [perVolume * (0.5 / Math.sqrt(3)), perVolume * (0.5 / Math.sqrt(3)), perMass * (0.01 / Math.sqrt(3))];
    expect(density).toMatchObject({ quantity: 'meanDensity', members: {}, unit: 'g/mL', text: '8.7' });
    expect(density?.value).toBeCloseTo(mean, 12);
    expect(density?.methods[0]?.size).toBeCloseTo(Math.hypot(...parts, s / Math.sqrt(3)), 12);
    expect(density?.quoted).toBe('8.7 ± 0.6');
  });

  it('names where the uncertainty comes from, and what it is compared with', () => {
    expect(density?.methods.map(({ method, quoted }) => [method, quoted])).toEqual([
      ['quadrature', '8.7 ± 0.6'],
      ['plain-sum', '8.7 ± 1.6'],
      ['extremes', '8.7 ± 1.6'],
    ]);
    expect(density?.methods[0]?.budget[0]?.name).toBe('reading of the 50 mL cylinder, water after');
    expect(density?.comparison).toMatchObject({ percentError: '-0.9', agrees: true, accepted: { name: 'Bronze' } });
    expect(findings.map(({ kind, severity }) => [kind, severity])).toEqual([['resolvable', 'look']]);
  });

  it('without entries has no result, in every laboratory', () => {
    for (const id of protocolIds()) {
      const empty = evaluateRun(protocol(id), { events: [] });
      expect([id, empty.results, empty.findings.filter(({ severity }) => severity === 'wrong')]).toEqual([id, [], []]);
    }
  });

  it('is plain data that survives being sent', () => {
    for (const id of protocolIds()) {
      const whole = evaluateRun(protocol(id), sampleRun(protocol(id)));
      expect(whole.results.length).toBeGreaterThan(0);
      expect(JSON.parse(JSON.stringify(whole.results))).toHaveLength(whole.results.length);
    }
  });

  it('is of a laboratory that exists', () => {
    expect(() => protocol('alchemy')).toThrow(UnknownProtocolError);
    expect(() => protocol('alchemy')).toThrow('alchemy');
  });
});
