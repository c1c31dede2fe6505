import { describe, expect, it } from 'vitest';
import { readingTask } from '../reading-task.ts';
import type { Situation } from '../situation.ts';
import { diagnose } from './diagnose.ts';
import { explainSlips } from './explain.ts';

/** What an entry is found to be: sound, unexplained, or the slips behind it. */
function found(tool: string, situation: Situation, entry: string): string {
  const { verdict, slips } = diagnose(readingTask(tool, situation), entry);
  return slips[0] ? `${verdict}: ${slips[0].ids.join(' + ')}` : verdict;
}

describe('what is behind an entry', () => {
  it.each<[tool: string, situation: Situation, entry: string, found: string]>([
    ['burette-50', { value: 27.18, from: 3.42 }, '23.76 mL', 'sound'],
    ['burette-50', { value: 27.18, from: 3.42 }, '30.60 mL', 'slip: difference-added'],
    ['burette-50', { value: 27.18, from: 3.42 }, '−23.76 mL', 'slip: difference-turned'],
    ['burette-50', { value: 27.18, from: 3.42 }, '24.76 mL', 'slip: difference-borrowed'],
    ['burette-50', { value: 27.18, from: 3.42 }, '3.42 mL', 'slip: initial-as-delivered'],
    ['burette-50', { value: 27.18, from: 3.42 }, '27.18 mL', 'slip: final-as-delivered'],
    ['digital-balance-hundredth', { value: 18.46, container: 20.13 }, '20.13 g', 'slip: container-alone'],
    ['digital-balance-hundredth', { value: 18.46, container: 20.13 }, '58.72 g', 'slip: difference-added'],
    ['digital-balance-hundredth', { value: 18.46, container: 20.13 }, '-18.46 g', 'slip: difference-turned'],
    ['beam-balance-hundredth', { value: 47.362, container: 20.5 }, '20.500 g', 'slip: container-alone'],
    ['beam-balance-tenth', { value: 247.36 }, '347.36 g', 'slip: notch-off'],
    ['beam-balance-tenth', { value: 247.36 }, '237.36 g', 'slip: notch-off'],
    ['beam-balance-tenth', { value: 247.36 }, '7.36 g', 'slip: beam-omitted + beam-omitted'],
    ['micrometer-hundredth', { value: 7.834 }, '7.5 mm', 'slip: sleeve-only'],
    ['micrometer-hundredth', { value: 7.834 }, '33.4 mm', 'slip: thimble-only'],
    ['micrometer-hundredth', { value: 7.834 }, '0.334 mm', 'slip: thimble-only'],
    ['micrometer-hundredth', { value: 7.834 }, '7.844 mm', 'slip: rounded-up'],
    ['micrometer-hundredth', { value: 7.8349 }, '7.827 mm', 'slip: marks-counted'],
    ['micrometer-hundredth', { value: 7.834 }, '10.34 mm', 'slip: half-missed + thimble-as-tenths'],
    ['micrometer-hundredth', { value: 7.834, zeroError: -0.012 }, '7.840 mm', 'slip: zero-negative-forwards'],
    ['micrometer-thousandth', { value: 7.834, zeroError: -0.007 }, '7.830 mm', 'slip: zero-negative-forwards'],
    ['caliper-tenth', { value: 24.6, zeroError: -0.2 }, '25.2 mm', 'slip: zero-negative-forwards'],
    [
      'micrometer-hundredth',
      { value: 7.834, zeroError: -0.02, ask: 'observed' },
      '7.834 mm',
      'slip: corrected-unasked',
    ],
    ['thermometer-degree', { value: 21.4, zeroError: 1.2, ask: 'observed' }, '21.4 °C', 'slip: corrected-unasked'],
    ['ruler-millimetre', { value: 84.6 }, '74.6 mm', 'slip: label-off'],
    ['ruler-millimetre', { value: 84.6 }, '84.6 in', 'record: unit-wrong'],
    ['thermometer-degree', { value: 56 }, '56.0 K', 'record: unit-wrong'],
    ['ruler-millimetre', { value: 84.6 }, '84.6 cm', 'slip: power-of-ten'],
    ['digital-balance-hundredth', { value: 41.3 }, '41 g', 'slip: dropped-digit'],
    ['digital-balance-hundredth', { value: 41.3 }, '41.3 g', 'record: trailing-zero-dropped'],
    ['ruler-millimetre', { value: 84.6 }, '85 mm', 'record: dropped-digit'],
    ['ruler-millimetre', { value: 84.6 }, '80 mm', 'slip: dropped-digit'],
    ['ruler-centimetre', { value: 40 }, '400 mm', 'sound'],
    ['ruler-decimetre', { value: 40 }, '400 mm', 'sound'],
    ['cylinder-100', { value: 99.95 }, '100.1 mL', 'unexplained'],
  ])('%s with %j: %s is %s', (tool, situation, entry, what) => {
    expect(found(tool, situation, entry)).toBe(what);
  });

  it('is not a word of the reading where it is written alone, whatever the reading was', () => {
    const { slips } = diagnose(readingTask('burette-50', { value: 27.18, from: 3.42 }), '3.42 mL');
    expect(slips.filter(({ ids }) => ids.includes('initial-as-delivered'))).toHaveLength(1);
  });

  it('is told once where it was made twice', () => {
    const task = readingTask('beam-balance-tenth', { value: 247.36 });
    expect(explainSlips(task, { ids: ['beam-omitted', 'beam-omitted'] })).toHaveLength(1);
  });

  it('is the eye beside a missing digit, where that eye sees just what was written', () => {
    const high = readingTask('cylinder-25', { value: 7.8, eyeHeight: 45, scaleSide: 'far' });
    expect(diagnose(high, '7.5 mL').slips.map(({ ids }) => ids.join())).toEqual(['eye-high', 'dropped-digit']);
    const level = readingTask('cylinder-25', { value: 7.8 });
    expect(diagnose(level, '7.5 mL')).toMatchObject({ verdict: 'record', slips: [{ ids: ['dropped-digit'] }] });
  });

  it.each([
    ['294.6 K', '294.6 K is the right quantity. This tool is marked in °C, so write °C next time.'],
    ['70.5 °F', '70.5 °F is the right quantity. This tool is marked in °C, so write °C next time.'],
  ])('of the right quantity in another unit says so: %s', (entry, message) => {
    expect(diagnose(readingTask('thermometer-degree', { value: 21.4 }), entry)).toMatchObject({
      verdict: 'sound',
      message,
    });
  });

  it.each([
    ['4.31 in', 4.3125, 'sound'],
    ['4 5/16 in', 4.3125, 'sound'],
    ['69/16 in', 4.3125, 'sound'],
    ['4 9/32 in', 4.28, 'sound'],
    ['4½ in', 4.5, 'sound'],
  ])('in inches: %s', (entry, value, what) => {
    expect(found('ruler-inch', { value }, entry)).toBe(what);
  });
});
