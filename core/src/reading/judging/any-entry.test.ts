import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instrumentIds } from '../../instruments/catalogue.ts';
import { PRESETS } from '../../rules/house-rules.ts';
import { asLaid } from '../bench.ts';
import { drawTask } from '../drawing/draw-task.ts';
import { indicationOf } from '../reading-task.ts';
import { diagnose } from './diagnose.ts';

const RUNS = 2000;

/** Numbers near the truth and far from it, with as many digits as anybody may write, and units that fit, do not, and are none. */
const entries = fc.record({
  tool: fc.constantFrom(...instrumentIds()),
  rules: fc.constantFrom(...PRESETS.map((preset) => preset.rules)),
  seed: fc.integer({ min: 0, max: 1e6 }),
  divisions: fc.oneof(fc.double({ min: -1, max: 1, noNaN: true }), fc.double({ min: -40, max: 40, noNaN: true })),
  decimals: fc.integer({ min: 0, max: 5 }),
  unit: fc.constantFrom('own', '', 'g', 'mm', 'cm', 'in', 'K', '°F', 'L'),
});

describe('any entry on any tool by any rules', () => {
  it('has slips where it is a record or a slip, none where it is sound, and is never sound off the scale', () => {
    fc.assert(
      fc.property(entries, ({ tool, rules, seed, divisions, decimals, unit }) => {
        const task = asLaid(drawTask(tool, { seed, rules }));
        const indication = indicationOf(task);
        const { answer, subtracted, mark, resolution } = indication;
        const [least, most] = indication.tool.range;
        const number = (answer + divisions * resolution.division).toFixed(decimals);
        const { verdict, slips } = diagnose(task, `${number} ${unit === 'own' ? indication.tool.unit : unit}`);
        const isNamed = verdict === 'record' || verdict === 'slip';
        expect(slips.length > 0).toBe(isNamed);
        expect(slips.every(({ ids, probability }) => ids.length > 0 && probability > 0 && probability <= 1)).toBe(true);
        const total = slips.reduce((sum, { probability }) => sum + probability, 0);
        expect(total).toBeLessThanOrEqual(1 + 1e-9);
        if (verdict === 'sound' && unit === 'own' && mark !== null) {
          const read = Number(number) + subtracted;
          const room = 10 ** resolution.place / 2 + 1e-9;
          expect(read).toBeGreaterThanOrEqual(Math.min(least, mark) - room);
          expect(read).toBeLessThanOrEqual(Math.max(most, mark) + room);
        }
      }),
      { numRuns: RUNS },
    );
  }, 120_000);

  it('is judged alike whether digits too many stand above or below what is right', () => {
    const task = drawTask('cylinder-50', { seed: 1 });
    const level = { ...task, situation: { ...task.situation, value: 37.4, eyeHeight: 0 } };
    for (const entry of ['37.65 mL', '37.15 mL', '37.60 mL', '37.20 mL'])
      expect(diagnose(level as typeof task, entry)).toMatchObject({
        verdict: 'record',
        slips: [{ ids: ['extra-digit'] }],
      });
    for (const entry of ['37.75 mL', '37.05 mL']) expect(diagnose(level as typeof task, entry).verdict).toBe('slip');
  });
});
