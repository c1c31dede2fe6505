import { describe, expect, it } from 'vitest';
import { layoutOf } from '../protocol/layout.ts';
import type { Protocol, SampleRun } from '../protocol/protocol.ts';
import { placesOf } from '../engine/setting.ts';
import { SHIPPED } from './shipped.ts';
import { standardOf, workedSample } from './by-hand.ts';

const SAMPLES = SHIPPED.flatMap((protocol) =>
  protocol.samples.map((sample, index) => ({ protocol, sample, index, name: `${protocol.id}, sample ${index + 1}` })),
);

/** Every way in which options can be chosen together. */
function allChoices({ options }: Protocol): Record<string, string>[] {
  return options.reduce<Record<string, string>[]>(
    (chosen, { id, choices }) => chosen.flatMap((before) => choices.map((choice) => ({ ...before, [id]: choice.id }))),
    [{}],
  );
}

describe.each(SHIPPED)('$id', (protocol) => {
  it('can be worked out with every choice of its options', () => {
    for (const chosen of allChoices(protocol)) {
      const { quantities, order } = layoutOf(protocol, chosen);
      expect([...order].sort()).toEqual([...quantities.keys()].sort());
    }
  });

  it('has four to eight statements, and every false one has corrections', () => {
    expect(protocol.statements.length).toBeGreaterThanOrEqual(4);
    expect(protocol.statements.length).toBeLessThanOrEqual(8);
    for (const { holds, corrections } of protocol.statements) expect(corrections.length > 1).toBe(!holds);
  });

  it('has cautions that end with whose rules decide, and steps for everything that is entered', () => {
    expect(protocol.cautions.at(-1)).toContain('local rules');
    const steps = protocol.steps.map(({ id }) => id);
    for (const quantity of protocol.quantities) {
      const named =
        quantity.step === undefined
          ? []
          : typeof quantity.step === 'string'
            ? [quantity.step]
            : Object.values(quantity.step.of);
      for (const step of named) expect(steps).toContain(step);
    }
  });
});

describe.each(SAMPLES)(
  '$name',
  ({ protocol, sample, index }: { protocol: Protocol; sample: SampleRun; index: number }) => {
    it('has every number that it needs', () => {
      const run = workedSample(protocol, index);
      const { layout } = run.setting;
      expect(layout.chosen).toMatchObject(sample.options ?? {});
      for (const quantity of layout.quantities.values()) {
        for (const place of placesOf(run.setting, quantity.over, quantity.only)) {
          const cell = run.cellAt(quantity.id, place);
          const where = `${quantity.id} at ${JSON.stringify(place)}`;
          if (!quantity.optional) expect(cell?.kind, where).toMatch(/^(entry|chosen|known|computed)$/);
          if (cell && 'text' in cell) expect(cell.text, where).not.toMatch(/NaN|Infinity|undefined/);
        }
      }
      expect(run.results.length).toBeGreaterThan(0);
    });

    it('has linear uncertainties that a simulation with normal repeats bears out', () => {
      const run = workedSample(protocol, index);
      for (const result of run.results) {
        const ready = run.simulation(result.quantity, result.members, { draws: 200_000, seed: 5, repeatsAs: 'normal' });
        const simulated = ready?.simulation.finish();
        const linear = standardOf(result);
        if (result.isLinear)
          expect(Math.abs((simulated?.standard ?? NaN) / linear - 1), result.name).toBeLessThan(0.01);
      }
    });
  },
);
