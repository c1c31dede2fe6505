import { describe, expect, it } from 'vitest';
import { instrumentById } from '../instruments/catalogue.ts';
import { expectedReading, readingStep } from '../reading/expected-reading.ts';
import { writtenUnitOf } from '../reading/indication/written.ts';
import { completeRules, DEFAULT_RULES, HouseRuleError, PRESETS, type HouseRules } from './house-rules.ts';
import { readingTask } from '../reading/reading-task.ts';

describe('completing rules', () => {
  it('has the first choice of every rule as its default', () => {
    expect(completeRules()).toMatchObject({
      estimate: 'tenths',
      acceptance: 2,
      readingUncertainty: 'half-division',
      digitalUncertainty: 'one-last-digit',
      burettePlace: 'hundredth',
      opaqueLiquids: 'upper-edge',
      hydrometerMark: 'liquid-level',
      micrometerEstimate: 'tenth-of-thimble',
      precisionMeasure: 'sample-standard-deviation',
      percentError: 'signed',
      goodPercentError: 5,
      combine: 'quadrature',
      repeatUncertainty: 'standard-error',
      coverage: 'one-standard-uncertainty',
      uncertaintyFigures: 'one-two-after-leading-1',
      rounding: 'half-up',
      bareTrailingZeros: 'flag',
      meanPlace: 'by-readings',
      waterDensity: 'from-temperature',
      zeroWording: 'subtract-the-zero-error',
      volumeUnit: 'mL',
      decimalMark: 'point',
      replicates: 'fresh-vessel',
    });
  });

  it('keeps what is given and leaves the rest', () => {
    expect(completeRules({ acceptance: 3, combine: undefined })).toEqual({ ...DEFAULT_RULES, acceptance: 3 });
  });

  it.each([
    [{ estimate: 'thirds' }, 'estimate'],
    [{ acceptance: 4 }, 'acceptance'],
    [{ acceptance: '2' }, 'acceptance'],
    [{ goodPercentError: 0 }, 'goodPercentError'],
    [{ goodPercentError: NaN }, 'goodPercentError'],
    [{ goodPercentError: '5' }, 'goodPercentError'],
    [{ readingUncertaintyOf: { burettes: 'about' } }, 'readingUncertaintyOf.burettes'],
    [{ readingUncertaintyOf: 'half-division' as never }, 'readingUncertaintyOf'],
    [{ estimateByFamily: { 'graduated-cylinders': 'thirds' } }, 'estimateByFamily.graduated-cylinders'],
    [{ coverage: null }, 'coverage'],
    [{ colour: 'green' }, 'colour'],
    [{ constructor: 'x' }, 'constructor'],
  ])('names the rule in %j', (given, rule) => {
    const complete = (): HouseRules => completeRules(given as unknown as Partial<HouseRules>);
    expect(complete).toThrow(HouseRuleError);
    expect(complete).toThrow(new RegExp(`^${rule}: `));
  });
});

describe('presets', () => {
  it('are the three named methods, each complete', () => {
    expect(PRESETS.map((preset) => preset.name)).toEqual(['Estimate one digit', 'Half a division', 'Least count']);
    for (const { rules } of PRESETS) expect(completeRules(rules)).toEqual(rules);
    expect(PRESETS[0]!.rules).toEqual(DEFAULT_RULES);
  });

  it('differ in how the same surface is written', () => {
    const texts = PRESETS.map(({ rules }) => {
      const { text, unit } = expectedReading(readingTask('cylinder-50', { value: 36.4 }, rules));
      return `${text} ${unit}`;
    });
    expect(texts).toEqual(['36.4 mL', '36.5 cm³', '36 mL']);
  });
});

describe('a family’s own estimate', () => {
  it('wins over the general rule, for that family only', () => {
    const rules = completeRules({
      estimate: 'nearest-division',
      estimateByFamily: { 'graduated-cylinders': 'tenths' },
    });
    expect(readingStep(instrumentById('cylinder-10'), rules)).toMatchObject({ step: 0.01, place: -2 });
    expect(readingStep(instrumentById('digital-balance-hundredth'), rules)).toMatchObject({ step: 0.01, place: -2 });
  });

  it('changes the unit of volumes, not of masses', () => {
    const rules = completeRules({ volumeUnit: 'cm³' });
    expect(writtenUnitOf(instrumentById('cylinder-10'), rules)).toBe('cm³');
    expect(writtenUnitOf(instrumentById('digital-balance-hundredth'), rules)).toBe('g');
  });
});

describe('the band that is accepted', () => {
  it.each([
    ['cylinder-50', 36.4, {}, ['36.2', '36.6']],
    ['cylinder-50', 36.4, { acceptance: 1 }, ['36.3', '36.5']],
    ['cylinder-50', 36.4, { acceptance: 3 }, ['36.1', '36.7']],
    ['cylinder-10', 4.27, {}, ['4.25', '4.29']],
    ['cylinder-100', 80, {}, ['79.8', '80.2']],
    ['cylinder-50', 36.4, { estimate: 'half-division' }, ['36.0', '36.5']],
    ['cylinder-50', 36.48, { estimate: 'half-division' }, ['36.5', '36.5']],
    ['cylinder-50', 36.25, { estimate: 'half-division' }, ['36.0', '36.5']],
    ['cylinder-50', 36.4, { estimate: 'nearest-division' }, ['36', '37']],
    ['cylinder-50', 36.2, { estimate: 'nearest-division' }, ['36', '36']],
    ['digital-balance-hundredth', 18.46, {}, ['18.46', '18.46']],
  ] as const)('%s at %d with %j', (tool, value, rules, accepts) => {
    expect(expectedReading(readingTask(tool, { value }, rules)).accepts).toEqual(accepts);
  });
});
