import { describe, expect, it } from 'vitest';
import { readingStep } from '../../reading/expected-reading.ts';
import { completeRules } from '../../rules/house-rules.ts';
import { alike } from '../checks/alike.ts';
import { findingsIn } from '../checks/find.ts';
import { numberOf } from '../engine/cell.ts';
import { workOut, type WorkedRun } from '../engine/evaluate.ts';
import { settingOf, toolAt } from '../engine/setting.ts';
import type { Protocol } from '../protocol/protocol.ts';
import { runOfEntries, sampleRun } from '../run/run-from-rows.ts';
import { BALANCE_CHECK } from '../shipped/balance-check.ts';
import { SHIPPED } from '../shipped/shipped.ts';
import { SOLID_BY_DIMENSIONS } from '../shipped/solid-by-dimensions.ts';
import { SOLID_BY_DISPLACEMENT } from '../shipped/solid-by-displacement.ts';
import { drawDifferent, drawGiven, type GivenOptions } from './draw-given.ts';

const RULES = completeRules({ toolTolerance: 'counted' });
const SEEDS = Array.from({ length: 12 }, (_, i) => 1000 + i);

function drawn(protocol: Protocol, options: Partial<GivenOptions> & { seed: number }): WorkedRun {
  return workOut(protocol, runOfEntries(drawGiven(protocol, { rules: RULES, ...options })), RULES);
}

const EACH = SHIPPED.flatMap((protocol) =>
  protocol.samples.map((_, sample): [string, Protocol, number] => [
    `${protocol.id}, sample ${sample}`,
    protocol,
    sample,
  ]),
);

describe('readings that are drawn about a sample', () => {
  it.each(EACH)('%s: there is nothing wrong in them that is not in the sample', (_name, protocol, sample) => {
    const wrong = (run: WorkedRun): string[] =>
      findingsIn(run).flatMap(({ severity, kind, at }) => (severity === 'wrong' ? [JSON.stringify([kind, at])] : []));
    const expected = wrong(workOut(protocol, sampleRun(protocol, protocol.samples[sample]), RULES));
    for (const seed of SEEDS)
      expect(expected, `seed ${seed}`).toEqual(expect.arrayContaining(wrong(drawn(protocol, { seed, sample }))));
  });

  it.each(EACH)('%s: everything that was entered is there, and nothing is computed', (_name, protocol, sample) => {
    const book = sampleRun(protocol, protocol.samples[sample]).events.map(({ address }) => JSON.stringify(address));
    const given = drawGiven(protocol, { seed: 7, rules: RULES, sample });
    expect(given.map(({ address }) => JSON.stringify(address))).toEqual(book);
    expect(given.every(({ text }) => text.trim() !== '')).toBe(true);
  });

  it.each(EACH)('%s: each is a multiple of what its tool is read to', (_name, protocol, sample) => {
    const entries = drawGiven(protocol, { seed: 11, rules: RULES, sample });
    const setting = settingOf(protocol, runOfEntries(entries), RULES);
    for (const { address, text } of entries) {
      const quantity = address.kind === 'cell' ? setting.layout.quantities.get(address.quantity) : undefined;
      if (address.kind !== 'cell' || quantity?.kind !== 'read') continue;
      const tool = toolAt(setting, quantity, address.members);
      if (tool?.instrument.unit !== quantity.unit) continue;
      const { step, place } = readingStep(tool.instrument, RULES);
      expect(Math.abs(Number(text) / step - Math.round(Number(text) / step)), text).toBeLessThan(1e-6);
      expect((text.split('.')[1] ?? '').length, `${quantity.id} ${text}`).toBe(Math.max(0, -place));
    }
  });

  it.each(EACH)('%s: the same seed gives the same; no two of a class have the same', (_name, protocol, sample) => {
    const of = (seed: number): string => JSON.stringify(drawGiven(protocol, { seed, rules: RULES, sample }));
    expect(of(5)).toBe(of(5));
    const runs = drawDifferent(protocol, 12, { seed: 5, rules: RULES, sample });
    expect(new Set(runs.map((run) => JSON.stringify(run))).size).toBe(12);
  });

  it('no two are alike', () => {
    const settings = SEEDS.map((seed) => drawn(SOLID_BY_DIMENSIONS, { seed }).setting);
    for (const [i, one] of settings.entries())
      for (const other of settings.slice(i + 1)) expect(alike(one, other)).toBeNull();
  });

  it.each([SOLID_BY_DISPLACEMENT, SOLID_BY_DIMENSIONS])(
    '$id: the result of the sample lies within twice the standard uncertainty as often as it should',
    (protocol) => {
      const runs = 300;
      const truth = workOut(protocol, sampleRun(protocol), RULES).results[0]!.value;
      let within = 0;
      for (let seed = 0; seed < runs; seed += 1) {
        const { value, methods } = drawn(protocol, { seed }).results[0]!;
        if (Math.abs(value - truth) <= 2 * (methods.find(({ method }) => method === 'quadrature')?.uncertainty ?? 0))
          within += 1;
      }
      expect(within / runs).toBeGreaterThan(0.93);
    },
  );

  it('a tool of the cabinet shows its zero error, and the results are as without it', () => {
    const given = drawGiven(SOLID_BY_DISPLACEMENT, {
      seed: 3,
      rules: RULES,
      cabinet: ['digital-balance-hundredth; B-07; 1.50; 0.01; 4'],
    });
    const run = workOut(SOLID_BY_DISPLACEMENT, runOfEntries(given), RULES);
    const [tool] = given.filter(({ address }) => address.kind === 'tool');
    expect(tool?.text).toContain('B-07');
    const written = Number(given.find(({ address }) => address.kind === 'cell' && address.quantity === 'mass')?.text);
    expect(written).toBeCloseTo(54.31 + 1.5, 1);
    expect(numberOf(run.cellAt('mass', { trial: '1' }))?.value.toNumber()).toBeCloseTo(54.31, 1);
  });

  it('a tool that the laboratory itself is about is none of the cabinet', () => {
    const cabinet = ['digital-balance-hundredth; B-07; 1.50; 0.01; 4'];
    const given = drawGiven(BALANCE_CHECK, { seed: 3, rules: RULES, cabinet });
    expect(given.filter(({ address }) => address.kind === 'tool')).toEqual([]);
    const shown = given.flatMap(({ address, text }) =>
      address.kind === 'cell' && address.quantity === 'shown' && address.members['balance'] === 'hundredth'
        ? [Math.round(Number(text))]
        : [],
    );
    expect(shown).toEqual([20, 20, 50, 50, 100, 100]);
  });

  it('refuses a sample that is not there, by its name', () => {
    expect(() => drawGiven(SOLID_BY_DISPLACEMENT, { seed: 1, rules: RULES, sample: 9 })).toThrow(
      new RangeError('sample: solid-by-displacement has no sample 9.'),
    );
  });
});
