import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instrumentById } from '../../instruments/catalogue.ts';
import { meniscusProfile } from '../scale/meniscus.ts';
import { diagnose } from '../judging/diagnose.ts';
import { predictedEntries } from '../drawing/predictions.ts';
import { explainSlips } from '../judging/explain.ts';
import { readingTask, type ReadingTask } from '../reading-task.ts';
import type { Situation } from '../situation.ts';
import { slipById, SLIPS, UnknownSlipError } from '../slips.ts';

const task = (tool: string, situation: Situation): ReadingTask => readingTask(tool, situation);
const predicted = (tool: string, situation: Situation, slip: string): string[] =>
  predictedEntries(task(tool, situation), slipById(slip));

describe('what each slip writes', () => {
  it.each([
    ['cylinder-100', { value: 84.6 }, 'rounded-up', '85.6 mL'],
    ['cylinder-100', { value: 84.2 }, 'rounded-up', '85 mL'],
    ['cylinder-100', { value: 52.7 }, 'label-above', '57.3 mL'],
    ['cylinder-10', { value: 6.31 }, 'label-above', '6.69 mL'],
    ['cylinder-50', { value: 35.5 }, 'marks-counted', '35.0 mL'],
    ['cylinder-10', { value: 4.66 }, 'marks-counted', '4.60 mL'],
    ['cylinder-250', { value: 46 }, 'division-miscounted', '43.0 mL'],
    ['cylinder-500', { value: 265 }, 'division-miscounted', '253.0 mL'],
    ['cylinder-500', { value: 265 }, 'division-miscounted', '280 mL'],
    ['cylinder-25', { value: 16.5 }, 'division-miscounted', '15.30 mL'],
    ['cylinder-25', { value: 16.5 }, 'division-miscounted', '18.0 mL'],
    ['cylinder-500', { value: 263 }, 'dropped-digit', '260 mL'],
    ['cylinder-25', { value: 16.7 }, 'dropped-digit', '16.5 mL'],
    ['cylinder-250', { value: 46.7 }, 'dropped-digit', '46 mL'],
    ['cylinder-25', { value: 15 }, 'trailing-zero-dropped', '15 mL'],
    ['cylinder-100', { value: 52.7, secondScale: true }, 'other-scale', '47.3 mL'],
    ['cylinder-10', { value: 2.15, secondScale: true }, 'other-scale', '7.85 mL'],
    ['cylinder-50', { value: 46 }, 'dropped-digit', '46 mL'],
    ['cylinder-50', { value: 46 }, 'trailing-zero-dropped', '46 mL'],
    ['cylinder-10', { value: 4.6 }, 'trailing-zero-dropped', '4.6 mL'],
    ['digital-balance-hundredth', { value: 18.46 }, 'dropped-digit', '18.4 g'],
    ['digital-balance-hundredth', { value: 18.4 }, 'trailing-zero-dropped', '18.4 g'],
    ['cylinder-50', { value: 36.4 }, 'extra-digit', '36.40 mL'],
    ['cylinder-50', { value: 36.4 }, 'unit-missing', '36.4'],
    ['cylinder-50', { value: 36.4 }, 'unit-wrong', '36.4 g'],
    ['digital-balance-hundredth', { value: 18.46 }, 'unit-wrong', '18.46 mL'],
    ['cylinder-50', { value: 36.4 }, 'transposed', '63.4 mL'],
    ['cylinder-50', { value: 36.4 }, 'transposed', '34.6 mL'],
    ['cylinder-50', { value: 36.4 }, 'power-of-ten', '3.64 mL'],
    ['burette-50', { value: 14.28 }, 'upside-down', '15.72 mL'],
    ['burette-50', { value: 14.28 }, 'upside-down', '14.72 mL'],
    ['burette-50', { value: 14.28 }, 'what-is-left', '35.72 mL'],
    ['burette-25', { value: 14.28 }, 'what-is-left', '10.72 mL'],
    ['burette-50', { value: 24.38, from: 1.12 }, 'final-as-delivered', '24.38 mL'],
    ['graduated-pipette-10', { value: 7.36, from: 0.5 }, 'final-as-delivered', '7.36 mL'],
    ['hydrometer-1000', { value: 1.0243 }, 'upside-down', '1.0357 g/mL'],
    ['thermometer-degree', { value: -3.4 }, 'sign-lost', '3.4 °C'],
    ['thermometer-degree', { value: -3.4 }, 'sign-lost', '-2.6 °C'],
    ['thermometer-degree', { value: -3.4 }, 'sign-lost', '-4.6 °C'],
    ['thermometer-degree', { value: -3.4 }, 'rounded-up', '-4.4 °C'],
    ['thermometer-degree', { value: 21.2, zeroError: 0.6 }, 'zero-ignored', '21.8 °C'],
    ['thermometer-degree', { value: 21.2, zeroError: 0.6 }, 'zero-sign', '22.4 °C'],
    ['thermometer-degree', { value: 63.2, settled: false, shown: 58.7 }, 'unsettled', '58.7 °C'],
    ['ruler-inch', { value: 4.3125 }, 'sixteenths-as-tenths', '4.5 in'],
    ['ruler-inch', { value: 4.6875 }, 'sixteenths-as-tenths', '4.11 in'],
    ['ruler-millimetre', { value: 84.6, from: 20 }, 'end-not-zero', '104.6 mm'],
    ['ruler-millimetre', { value: 84.6, endOffset: 5 }, 'end-not-zero', '79.6 mm'],
    ['ruler-decimetre', { value: 34 }, 'dropped-digit', '30 cm'],
    ['beaker-250', { value: 137 }, 'dropped-digit', '100 mL'],
    ['conical-flask-250', { value: 137 }, 'label-above', '113 mL'],
    ['volumetric-pipette-25', { value: 25 }, 'trailing-zero-dropped', '25.0 mL'],
    ['cylinder-50', { value: 36.4 }, 'power-of-ten', '364 mL'],
  ] as [string, Situation, string, string][])('%s %j, %s: %s', (tool, situation, slip, entry) => {
    expect(predicted(tool, situation, slip)).toContain(entry);
  });

  it.each([
    ['cylinder-50', { value: 36.4 }, 'other-scale'],
    ['cylinder-50', { value: 36.4 }, 'division-miscounted'],
    ['cylinder-250', { value: 40 }, 'division-miscounted'],
    ['cylinder-500', { value: 260 }, 'dropped-digit'],
    ['cylinder-500', { value: 260 }, 'trailing-zero-dropped'],
    ['cylinder-50', { value: 36.4, eyeHeight: 0 }, 'eye-high'],
    ['cylinder-50', { value: 36.4, eyeHeight: -40 }, 'eye-high'],
    ['cylinder-50', { value: 36.4, eyeHeight: 40 }, 'eye-low'],
    ['cylinder-50', { value: 36.4, surface: 'domed' }, 'meniscus-edge'],
    ['cylinder-50', { value: 36.4, surface: 'wetting' }, 'meniscus-low'],
    ['cylinder-50', { value: 36.4, surface: 'flat' }, 'meniscus-edge'],
    ['cylinder-50', { value: 36.4 }, 'trailing-zero-dropped'],
    ['burette-50', { value: 14.28 }, 'label-above'],
    ['burette-50', { value: 14.28 }, 'final-as-delivered'],
    ['cylinder-50', { value: 36.4 }, 'upside-down'],
    ['cylinder-50', { value: 36.4 }, 'what-is-left'],
    ['thermometer-degree', { value: 21.2 }, 'zero-ignored'],
    ['thermometer-degree', { value: 21.2, zeroError: 0.6, ask: 'observed' }, 'zero-ignored'],
    ['thermometer-degree', { value: 21.2 }, 'sign-lost'],
    ['thermometer-degree', { value: 21.2 }, 'unsettled'],
    ['ruler-centimetre', { value: 34.2, eyeHeight: 90 }, 'eye-aside'],
    ['ruler-millimetre', { value: 84.6, eyeHeight: 60 }, 'eye-high'],
    ['ruler-millimetre', { value: 84.6 }, 'end-not-zero'],
    ['hydrometer-1000', { value: 1.02 }, 'label-above'],
    ['digital-balance-hundredth', { value: 18.46 }, 'label-above'],
    ['digital-balance-hundredth', { value: 18.46 }, 'meniscus-edge'],
  ] as [string, Situation, string][])('%s %j: %s cannot be made', (tool, situation, slip) => {
    expect(predicted(tool, situation, slip)).toEqual([]);
  });
});

describe('what each slip writes on a vernier or a thimble', () => {
  it.each([
    ['caliper-fiftieth', { value: 31.28 }, 'vernier-ignored', '31 mm'],
    ['caliper-fiftieth', { value: 31.34 }, 'vernier-label-as-count', '31.10 mm'],
    ['caliper-twentieth', { value: 12.35 }, 'vernier-count-as-tenths', '12.7 mm'],
    ['caliper-twentieth', { value: 12.35 }, 'vernier-count-as-tenths', '12.07 mm'],
    ['caliper-tenth', { value: 31.3 }, 'coincidence-on-main', '34 mm'],
    ['caliper-tenth', { value: 31.3 }, 'main-mark-after', '32.3 mm'],
    ['caliper-tenth', { value: 31.3 }, 'vernier-edge', '27.3 mm'],
    ['caliper-fiftieth', { value: 31.28, zeroError: -0.06 }, 'zero-sign', '31.16 mm'],
    ['caliper-fiftieth', { value: 31.28, zeroError: -0.06 }, 'zero-ignored', '31.22 mm'],
    ['caliper-tenth', { value: 31.3, zeroError: -0.2 }, 'zero-negative-misread', '30.3 mm'],
    ['micrometer-hundredth', { value: 7.73, zeroError: -0.02 }, 'zero-negative-misread', '7.230 mm'],
    ['micrometer-hundredth', { value: 7.73 }, 'half-missed', '7.230 mm'],
    ['micrometer-hundredth', { value: 7.23 }, 'half-invented', '7.730 mm'],
    ['micrometer-hundredth', { value: 7.23 }, 'thimble-wrong-way', '7.270 mm'],
    ['micrometer-hundredth', { value: 7.23 }, 'thimble-wrong-way', '7.170 mm'],
    ['micrometer-hundredth', { value: 7.23 }, 'thimble-as-tenths', '9.30 mm'],
    ['micrometer-thousandth', { value: 7.234 }, 'vernier-ignored', '7.23 mm'],
  ] as const)('%s at %j, %s: %s', (tool, situation, slip, entry) => {
    expect(predicted(tool, situation, slip)).toContain(entry);
    expect(diagnose(task(tool, situation), entry).slips.flatMap(({ ids }) => ids)).toContain(slip);
  });

  it.each([
    ['micrometer-hundredth', { value: 7.23 }, 'half-missed'],
    ['micrometer-hundredth', { value: 7.73 }, 'half-invented'],
    ['micrometer-hundredth', { value: 7.23 }, 'vernier-ignored'],
    ['caliper-tenth', { value: 31.3 }, 'vernier-count-as-tenths'],
    ['caliper-twentieth', { value: 31.3 }, 'vernier-label-as-count'],
    ['caliper-tenth', { value: 31.3, zeroError: 0.2 }, 'zero-negative-misread'],
    ['cylinder-50', { value: 31.3 }, 'main-mark-after'],
  ] as const)('%s at %j cannot show %s', (tool, situation, slip) => {
    expect(predicted(tool, situation, slip)).toEqual([]);
  });

  it('finds two together: a half missed and the zero error taken the wrong way', () => {
    const { slips } = diagnose(task('micrometer-hundredth', { value: 7.73, zeroError: -0.03 }), '7.170 mm');
    expect(slips[0]?.ids).toEqual(['half-missed', 'zero-sign']);
  });
});

describe('the eye', () => {
  const shiftOf = (situation: Situation, slip: string): number =>
    Number(predicted('cylinder-10', situation, slip)[0]!.split(' ')[0]) - situation.value;

  it('too high before a near scale reads too high by g·h ÷ D, here reckoned from the bore', () => {
    const millimetres = ((11.6 / 2 + 1.5) * 45) / 300;
    const perMillilitre = 1000 / (Math.PI * 5.8 ** 2);
    expect(shiftOf({ value: 5, eyeHeight: 45 }, 'eye-high')).toBeCloseTo(millimetres / perMillilitre, 1);
    expect(shiftOf({ value: 5, eyeHeight: 45, scaleSide: 'far' }, 'eye-high')).toBeCloseTo(
      -millimetres / perMillilitre,
      1,
    );
    expect(shiftOf({ value: 5, eyeHeight: -45 }, 'eye-low')).toBeCloseTo(-millimetres / perMillilitre, 1);
  });

  it('a hair off the level cannot be told from level', () => {
    expect(predicted('cylinder-50', { value: 36.4, eyeHeight: 0.5 }, 'eye-high')).toEqual([]);
  });
});

describe('the wall', () => {
  it.each(['cylinder-10', 'cylinder-50', 'cylinder-100'])(
    '%s: the edge is read as high as the profile climbs',
    (tool) => {
      const cylinder = instrumentById(tool);
      if (cylinder.family !== 'graduated-glass' || cylinder.body.kind !== 'cylinder')
        throw new Error('that is no cylinder');
      const { bore } = cylinder.body;
      const value = cylinder.range[1] / 2;
      const climb = meniscusProfile('wetting', bore / 2).at(-1)![1] / (1000 / (Math.PI * (bore / 2) ** 2));
      expect(
        Math.abs(Number(predicted(tool, { value }, 'meniscus-edge')[0]!.split(' ')[0]) - value - climb),
      ).toBeLessThanOrEqual(cylinder.division / 20 + 1e-9);
    },
  );
});

describe('the registry', () => {
  it('has every slip once, each with a name, a base rate and words on any task it can be made on', () => {
    expect(new Set(SLIPS.map((slip) => slip.id)).size).toBe(SLIPS.length);
    const tasks = [
      task('cylinder-100', { value: 52.7, secondScale: true, eyeHeight: 30 }),
      task('cylinder-50', { value: 20, surface: 'domed', eyeHeight: -30 }),
      task('digital-balance-hundredth', { value: 18.4 }),
      task('cylinder-500', { value: 263 }),
      task('burette-50', { value: 24.38, from: 1.62, eyeHeight: 40 }),
      task('thermometer-degree', { value: -3.4, zeroError: 0.6 }),
      task('thermometer-degree', { value: 63.2, settled: false, shown: 40 }),
      task('ruler-inch', { value: 4.31, endOffset: 5, eyeHeight: 60 }),
      task('ruler-millimetre', { value: 84.6, from: 20 }),
      task('hydrometer-1000', { value: 1.0243 }),
      task('volumetric-pipette-10', { value: 10 }),
      task('beaker-250', { value: 130 }),
      task('conical-flask-250', { value: 130 }),
      task('caliper-fiftieth', { value: 31.28, zeroError: -0.02, eyeHeight: 80 }),
      task('caliper-twentieth', { value: 7.35 }),
      task('caliper-tenth', { value: 31.3 }),
      task('micrometer-hundredth', { value: 7.734, zeroError: -0.02 }),
      task('micrometer-hundredth', { value: 7.734, zeroError: -0.02, ask: 'observed' }),
      task('micrometer-thousandth', { value: 7.234 }),
      task('beam-balance-tenth', { value: 247.36 }),
      task('beam-balance-tenth', { value: 246.3, riders: [200, 38, 8.3] }),
      task('beam-balance-hundredth', { value: 7.362, pointerOffset: 0.4 }),
      task('beam-balance-hundredth', { value: 47.362, container: 20.1 }),
      task('digital-balance-tenth', { value: 8.4, empty: 0.6 }),
      task('clock', { value: 45_683, from: 43_790 }),
    ];
    for (const slip of SLIPS) {
      expect(slip.baseRate).toBeGreaterThan(0);
      expect(slip.baseRate).toBeLessThan(1);
      const made = tasks.filter((one) => predictedEntries(one, slip).length > 0);
      expect(made.length, slip.id).toBeGreaterThan(0);
      for (const one of made) {
        const [{ name, why, lookAt }] = explainSlips(one, { ids: [slip.id] }) as [
          ReturnType<typeof explainSlips>[number],
        ];
        expect(name).toMatch(/^[A-Z]/);
        expect(why).toMatch(/^[A-Z].*\.$/);
        expect(lookAt).toMatch(/^[a-z]/);
      }
    }
  });

  it('names a slip it does not know', () => {
    expect(() => slipById('sleepy')).toThrow(UnknownSlipError);
    expect(() => slipById('sleepy')).toThrow('sleepy');
  });
});

describe('diagnosing what a slip predicts', () => {
  it('finds the slip among its explanations, for any value', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 300, max: 9700 }),
        fc.constantFrom(
          'rounded-up',
          'label-above',
          'meniscus-edge',
          'transposed',
          'power-of-ten',
          'unit-missing',
          'unit-wrong',
          'extra-digit',
          'dropped-digit',
        ),
        (hundredths, slip) => {
          const one = task('cylinder-100', { value: hundredths / 100 });
          for (const entry of predictedEntries(one, slipById(slip)).slice(0, 2)) {
            const { verdict, slips } = diagnose(one, entry);
            // Where the entry also cuts or rounds the right reading by a place, only the record is blamed.
            const blamed = verdict === 'slip' || (verdict === 'record' && slipById(slip).stage === 'form');
            if (blamed) expect(slips.flatMap(({ ids }) => ids)).toContain(slip);
          }
        },
      ),
      { numRuns: 300 },
    );
  });
});
