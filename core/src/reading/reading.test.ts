import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { fieldsOf } from '../../test/fields-of.ts';
import { instrumentById, instrumentIds, UnknownInstrumentError } from '../instruments/catalogue.ts';
import { describeColumn } from './column/describe-column.ts';
import { diagnose } from './judging/diagnose.ts';
import { AimError, drawTask, slipsOn } from './drawing/draw-task.ts';
import { expectedReading } from './expected-reading.ts';
import { explainSlips } from './judging/explain.ts';
import { hintsFor } from './in-words.ts';
import { HouseRuleError, PRESETS, type HouseRules } from '../rules/house-rules.ts';
import { pictureOf } from './bench.ts';
import { asOperated } from './bench.ts';
import { readingTask } from './reading-task.ts';
import { revealOf } from './in-words.ts';
import { SituationError } from './indication/situation-error.ts';
import type { Situation } from './situation.ts';
import { slipOn, SLIPS, UnknownSlipError } from './slips.ts';

const half = PRESETS[1]!.rules;
const leastCount = PRESETS[2]!.rules;

describe('the expected reading', () => {
  it.each([
    ['cylinder-50', 46, undefined, '46.0', ['45.8', '46.2']],
    ['cylinder-50', 37.43, undefined, '37.4', ['37.3', '37.6']],
    ['cylinder-100', 84.6, undefined, '84.6', ['84.4', '84.8']],
    ['cylinder-10', 4.637, undefined, '4.64', ['4.62', '4.65']],
    ['cylinder-25', 16.73, undefined, '16.7', ['16.7', '16.8']],
    ['cylinder-250', 46.73, undefined, '46.7', ['46.4', '47.1']],
    ['cylinder-500', 263.4, undefined, '263', ['263', '264']],
    ['cylinder-500', 260, undefined, '260', ['259', '261']],
    ['cylinder-10', 4.637, half, '4.65', ['4.60', '4.65']],
    ['cylinder-50', 37.43, half, '37.5', ['37.0', '37.5']],
    ['cylinder-50', 37.6, half, '37.5', ['37.5', '38.0']],
    ['cylinder-50', 37.43, leastCount, '37', ['37', '38']],
    ['cylinder-50', 37.2, leastCount, '37', ['37', '37']],
    ['beaker-250', 137.4, undefined, '137', ['128', '147']],
    ['conical-flask-250', 120, undefined, '120', ['110', '130']],
    ['burette-50', 24.38, undefined, '24.38', ['24.36', '24.40']],
    ['burette-50', 24.38, { burettePlace: 'half' }, '24.40', ['24.35', '24.40']],
    ['burette-50', 24.38, leastCount, '24.38', ['24.36', '24.40']],
    ['graduated-pipette-10', 7.36, half, '7.35', ['7.35', '7.40']],
    ['thermometer-degree', -3.4, undefined, '-3.4', ['-3.6', '-3.2']],
    ['thermometer-two-degree', 63.27, undefined, '63.3', ['62.9', '63.6']],
    ['thermometer-tenth', 20.456, undefined, '20.46', ['20.44', '20.47']],
    ['hydrometer-1000', 1.0243, undefined, '1.0243', ['1.0241', '1.0245']],
    ['ruler-millimetre', 84.6, undefined, '84.6', ['84.4', '84.8']],
    ['ruler-half-centimetre', 34.3, undefined, '34.3', ['34.2', '34.4']],
    ['ruler-decimetre', 34.2, undefined, '34', ['33', '36']],
    ['ruler-inch', 4.3125, undefined, '4.31', ['4.30', '4.32']],
    ['ruler-inch', 4.3125, leastCount, '4.31', ['4.31', '4.31']],
    ['volumetric-pipette-10', 10.013, undefined, '10.00', ['10.00', '10.00']],
    ['volumetric-flask-250', 250, half, '250.0', ['250.0', '250.0']],
    ['digital-balance-hundredth', 18.46, undefined, '18.46', ['18.46', '18.46']],
  ] as const)('%s at %f', (tool, value, rules, text, accepts) => {
    expect(expectedReading(readingTask(tool, { value }, rules))).toMatchObject({ text, accepts });
  });

  it('is in the class’s unit of volume', () => {
    expect(expectedReading(readingTask('cylinder-50', { value: 5 }, half)).unit).toBe('cm³');
    expect(expectedReading(readingTask('cylinder-50', { value: 5 })).unit).toBe('mL');
  });
});

describe('what is taken off a reading', () => {
  const expected = (tool: string, situation: Situation, rules?: Partial<HouseRules>) =>
    expectedReading(readingTask(tool, situation, rules));

  it('is the initial reading of a delivered volume, and the band is half as wide again', () => {
    expect(expected('burette-50', { value: 24.38, from: 1.12 })).toMatchObject({
      text: '23.26',
      place: -2,
      accepts: ['23.23', '23.29'],
    });
    expect(expected('burette-50', { value: 24.38, from: 1.12, ask: 'observed' })).toMatchObject({ text: '24.38' });
    expect(expected('burette-50', { value: 24.38, from: 1.12 }, half)).toMatchObject({ text: '23.30', unit: 'cm³' });
  });

  it('is the error of a thermometer, with its sign', () => {
    expect(expected('thermometer-degree', { value: 21.2, zeroError: 0.6 }).text).toBe('21.2');
    expect(expected('thermometer-degree', { value: 21.2, zeroError: 0.6, ask: 'observed' }).text).toBe('21.8');
    expect(
      diagnose(readingTask('thermometer-degree', { value: 21.2, zeroError: -0.6 }), '20.6 °C').slips[0],
    ).toMatchObject({ ids: ['zero-ignored'] });
  });

  it('is the mark a thing begins at', () => {
    expect(expected('ruler-millimetre', { value: 84.6, from: 20 }).text).toBe('84.6');
    expect(diagnose(readingTask('ruler-millimetre', { value: 84.6, from: 20 }), '104.6 mm').slips[0]).toMatchObject({
      ids: ['end-not-zero'],
    });
  });

  it('both readings of a difference can be made with the same slip', () => {
    const delivered = readingTask('burette-50', { value: 24.38, from: 1.12 });
    expect(diagnose(delivered, `${(24.62 - 1.88).toFixed(2)} mL`).slips.flatMap(({ ids }) => ids)).toContain(
      'upside-down',
    );
    expect(diagnose(delivered, `${(25.62 - 1.12).toFixed(2)} mL`).slips.flatMap(({ ids }) => ids)).toContain(
      'upside-down',
    );
  });
});

describe('other spellings of a reading', () => {
  it.each([
    ['ruler-inch', { value: 4.3125 }, '4 5/16 in', 'sound'],
    ['ruler-inch', { value: 4.33 }, '4 5/16 in', 'sound'],
    ['ruler-inch', { value: 4.3125 }, '4 3/8 in', 'slip'],
    ['ruler-inch', { value: 4.3125 }, '4 5/16', 'record'],
    ['ruler-millimetre', { value: 84.6 }, '8.46 cm', 'sound'],
    ['thermometer-degree', { value: 21.2 }, '294.35 K', 'record'],
    ['thermometer-degree', { value: -3.4 }, '−3.4 °C', 'sound'],
    ['thermometer-degree', { value: -3.4 }, '-3,4°C', 'sound'],
    ['thermometer-degree', { value: 21.2 }, '21.2 C', 'sound'],
    ['thermometer-degree', { value: 21.2 }, '21.2 ° C', 'sound'],
    ['thermometer-degree', { value: 21.2 }, '21.2 g', 'record'],
    ['ruler-inch', { value: 4.3125 }, '4.31 inches', 'sound'],
    ['ruler-inch', { value: 4.3125 }, '4 5/16"', 'sound'],
    ['hydrometer-1000', { value: 1.0243 }, '1.0243 g/cm3', 'sound'],
    ['hydrometer-1000', { value: 1.0243 }, '1.024 g/mL', 'record'],
  ] as [string, Situation, string, string][])('%s %j: %s is %s', (tool, situation, entry, verdict) => {
    expect(diagnose(readingTask(tool, situation), entry).verdict).toBe(verdict);
  });
});

describe('what a task refuses', () => {
  it.each([
    [() => readingTask('beaker-9', { value: 1 }), UnknownInstrumentError, 'beaker-9'],
    [() => readingTask('cylinder-50', { value: 50.1 }), SituationError, 'value'],
    [() => readingTask('cylinder-50', { value: NaN }), SituationError, 'value'],
    [() => readingTask('cylinder-50', { value: 5, eyeHeight: Infinity }), SituationError, 'eyeHeight'],
    [() => readingTask('cylinder-50', { value: 5, secondScale: true }), SituationError, 'secondScale'],
    [() => readingTask('cylinder-50', { value: 5, zeroError: 1 }), SituationError, 'zeroError'],
    [() => readingTask('digital-balance-hundredth', { value: 5, eyeHeight: 3 }), SituationError, 'eyeHeight'],
    [() => readingTask('burette-50', { value: 5, from: 6 }), SituationError, 'from'],
    [() => readingTask('burette-50', { value: 5, ask: 'delivered' }), SituationError, 'from'],
    [() => readingTask('cylinder-50', { value: 5, from: 1 }), SituationError, 'from'],
    [() => readingTask('thermometer-degree', { value: 111 }), SituationError, 'value'],
    [() => readingTask('thermometer-degree', { value: 20, zeroError: 30 }), SituationError, 'zeroError'],
    [() => readingTask('thermometer-degree', { value: 20, shown: 18 }), SituationError, 'shown'],
    [() => readingTask('ruler-millimetre', { value: 290, from: 20 }), SituationError, 'from'],
    [() => readingTask('ruler-centimetre', { value: 20, endOffset: 5 }), SituationError, 'endOffset'],
    [() => readingTask('hydrometer-1000', { value: 1.2 }), SituationError, 'value'],
    [() => readingTask('volumetric-pipette-10', { value: 11 }), SituationError, 'value'],
    [() => readingTask('beaker-250', { value: 120, surface: 'frothy' as never }), SituationError, 'surface'],
    [() => readingTask('cylinder-50', { value: 5 }, { acceptance: 9 as never }), HouseRuleError, 'acceptance'],
    [() => readingTask('cylinder-50', { value: 5 }, { goodPercentError: -1 }), HouseRuleError, 'goodPercentError'],
    [() => drawTask('cylinder-50', { seed: NaN }), RangeError, 'seed'],
    [() => drawTask('cylinder-50', { seed: 1, aim: ['no-such'] }), UnknownSlipError, 'no-such'],
    [() => drawTask('cylinder-50', { seed: 1, aim: ['other-scale'] }), AimError, 'other-scale'],
  ] as const)('%s', (attempt, error, field) => {
    expect(attempt).toThrow(error);
    expect(attempt).toThrow(field);
  });
});

describe('verdicts', () => {
  const task = readingTask('cylinder-50', { value: 37.4, liquid: 'brine', eyeHeight: 0 });

  it.each([
    ['37.4 mL', 'sound'],
    ['37,4 ml', 'sound'],
    ['３７．４ mL', 'sound'],
    ['3.74e1 mL', 'sound'],
    ['0.0374 L', 'sound'],
    ['37.4 cm³', 'sound'],
    ['37.2 mL', 'sound'],
    ['37 mL', 'record'],
    ['37.42 mL', 'record'],
    ['37.4', 'record'],
    ['37.4 g', 'record'],
    ['38.7 mL', 'slip'],
    ['−37.4 mL', 'unexplained'],
    ['33.6 mL', 'unexplained'],
    ['', 'unreadable'],
    ['mL', 'unreadable'],
    ['37.4.1 mL', 'unreadable'],
    ['1e400 mL', 'unreadable'],
    ['9'.repeat(10_000), 'unreadable'],
  ])('%s is %s', (entry, verdict) => {
    expect(diagnose(task, entry).verdict).toBe(verdict);
  });

  it('puts the wall first for the reading at the wall, and says how far off it is', () => {
    const { slips, offBy } = diagnose(task, '38.7 mL');
    expect(slips[0]).toMatchObject({ ids: ['meniscus-edge'], predicted: '38.7' });
    expect(slips[0]!.probability).toBeGreaterThan(0.9);
    expect(offBy).toBeCloseTo(1.3, 9);
  });

  it('names both where two slips predict the same', () => {
    const onMark = readingTask('cylinder-50', { value: 46 });
    const ids = diagnose(onMark, '46 mL').slips.flatMap((slip) => slip.ids);
    expect(ids).toContain('dropped-digit');
    expect(ids).toContain('trailing-zero-dropped');
  });

  it('leans towards what this student has done before', () => {
    const high = asOperated(task, { eyeHeight: 60 });
    const fresh = diagnose(high, '38.4 mL').slips.find(({ ids }) => ids.join() === 'rounded-up')!.probability;
    const habit = diagnose(high, '38.4 mL', { readings: 30, slips: { 'rounded-up': 15, 'eye-high': 0 } });
    expect(habit.slips[0]!.ids).toEqual(['rounded-up']);
    expect(habit.slips[0]!.probability).toBeGreaterThan(fresh);
  });

  it('never claims certainty, and its probabilities never exceed one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 500 }), fc.integer({ min: 0, max: 600 }), (seed, tenths) => {
        const drawn = drawTask('cylinder-50', { seed });
        const { slips, verdict } = diagnose(drawn, `${(tenths / 10).toFixed(1)} mL`);
        const total = slips.reduce((sum, slip) => sum + slip.probability, 0);
        expect(total).toBeLessThanOrEqual(1 + 1e-12);
        if (verdict === 'slip') expect(total).toBeLessThan(1);
      }),
    );
  });

  it('survives whatever is typed', () => {
    fc.assert(
      fc.property(fc.oneof(fc.string(), fc.string({ unit: 'binary' })), (entry) => {
        expect(diagnose(task, entry).verdict).toMatch(/^(sound|record|slip|unexplained|unreadable)$/);
      }),
    );
  });

  it('reads a display exactly', () => {
    const display = readingTask('digital-balance-hundredth', { value: 18.4 });
    expect(diagnose(display, '18.40 g').verdict).toBe('sound');
    expect(diagnose(display, '18.4 g').slips[0]!.ids).toEqual(['trailing-zero-dropped']);
    expect(diagnose(display, '18.41 g').verdict).toBe('unexplained');
    expect(diagnose(display, '14.80 g').slips[0]!.ids).toEqual(['transposed']);
  });
});

describe('drawing of items', () => {
  it('draws the same item from the same seed', () => {
    expect(drawTask('cylinder-10', { seed: 5 })).toEqual(drawTask('cylinder-10', { seed: 5 }));
    expect(drawTask('cylinder-10', { seed: 5 })).not.toEqual(drawTask('cylinder-10', { seed: 6 }));
  });

  it('starts with the eye off the level', () => {
    for (let seed = 0; seed < 50; seed += 1)
      expect(Math.abs(fieldsOf(drawTask('cylinder-100', { seed })).eyeHeight!)).toBeGreaterThanOrEqual(35);
  });
});

describe('the picture', () => {
  it('puts every mark where its volume stands in a tube of that bore', () => {
    const picture = pictureOf(readingTask('cylinder-100', { value: 30 }));
    if (picture.kind !== 'liquid-column') throw new Error('wrong kind');
    const y = (label: string) => picture.marks.find((mark) => mark.label === label)!.y;
    const area = Math.PI * (27.8 / 2) ** 2;
    expect(y('0') - y('100')).toBeCloseTo(100_000 / area, 2);
    expect(picture.surfaceY).toBeCloseTo(y('30'), 3);
    expect(picture.profile.at(-1)![1]).toBeCloseTo(3.8 * (1 - Math.exp(-13.9 / 3.8)), 3);
  });

  it('holds no value, seed, expected text or prediction', () => {
    for (let seed = 0; seed < 100; seed += 1) {
      const task = drawTask('cylinder-50', { seed });
      const text = JSON.stringify(pictureOf(task));
      expect(text).not.toMatch(/"(value|seed|expected|text|accepts|predicted|situation|rules)"/);
      // A surface that lies on a mark has the mark’s own number beside it, as it must.
      if (String(task.situation.value).length >= 6) expect(text.includes(String(task.situation.value))).toBe(false);
    }
  });
});

describe('words about a reading', () => {
  const task = readingTask('cylinder-50', { value: 37.4, liquid: 'brine', eyeHeight: 40 });

  it.each(instrumentIds())('on a %s: every slip has a name, a reason and something to look at', (id) => {
    const drawn = drawTask(id, { seed: 3 });
    const told = SLIPS.filter((slip) => slipOn(instrumentById(id), slip.id));
    expect(told.length).toBeGreaterThanOrEqual(7);
    for (const slip of told) {
      const [explained] = explainSlips(drawn, { ids: [slip.id] });
      expect(explained!.name).toBe(slip.name);
      expect(explained!.why).toMatch(/^[A-Z].*\.$/);
      expect(explained!.lookAt.length).toBeGreaterThan(8);
    }
  });

  it('a slip of another family is none here, and is refused by name', () => {
    expect(() => explainSlips(task, { ids: ['half-missed'] })).toThrow(UnknownSlipError);
    expect(SLIPS.every(({ id }) => instrumentIds().some((tool) => slipOn(instrumentById(tool), id)))).toBe(true);
  });

  it('hints name no number of the picture', () => {
    expect(hintsFor(task).join(' ')).not.toMatch(/\d/);
    expect(hintsFor(readingTask('cylinder-50', { value: 3 }, leastCount)).join(' ')).toContain('nearest mark');
  });

  it('reveals in the reading order and ends at the expected reading', () => {
    const steps = revealOf(task);
    expect(steps.map((step) => step.kind)).toEqual(['division', 'label', 'marks', 'estimate', 'unit']);
    expect(steps[2]!.soFar).toBe('37');
    expect(steps.at(-1)!.soFar).toBe('37.4 mL');
  });

  it('reveals a reading on the top mark without leaving the scale', () => {
    const steps = revealOf(readingTask('cylinder-50', { value: 50 }));
    expect(steps[3]!.soFar).toBe('50.0');
  });

  it('describes the surface among the lines so that a reading can be taken from it', () => {
    const picture = pictureOf(task);
    if (picture.kind !== 'liquid-column') throw new Error('wrong kind');
    expect(describeColumn(picture, picture.surfaceY)).toBe(
      'The surface lies between the seventh line above 30 and the eighth line above 30, nearer the lower one.',
    );
    const onLabel = pictureOf(readingTask('cylinder-50', { value: 40 }));
    if (onLabel.kind !== 'liquid-column') throw new Error('wrong kind');
    expect(describeColumn(onLabel, onLabel.surfaceY)).toBe('The surface lies on the line labelled 40.');
  });
});

describe('a scale by twos or fives', () => {
  const verdictOn = (tool: string, value: number, entry: string) => diagnose(readingTask(tool, { value }), entry);

  it.each([
    ['cylinder-500', 263, '263 mL', 'sound'],
    ['cylinder-500', 263, '264 mL', 'sound'],
    ['cylinder-500', 263, '260 mL', 'record'],
    ['cylinder-500', 263, '265 mL', 'record'],
    ['cylinder-500', 263, '263.0 mL', 'record'],
    ['cylinder-500', 263, '270 mL', 'slip'],
    ['cylinder-25', 16.7, '16.5 mL', 'record'],
    ['cylinder-25', 16.7, '16.7 mL', 'sound'],
    ['cylinder-250', 46.7, '46.5 mL', 'sound'],
    ['cylinder-250', 46.7, '47 mL', 'record'],
    ['cylinder-250', 46, '43 mL', 'slip'],
  ])('%s at %d: %s is %s', (tool, value, entry, verdict) => {
    expect(verdictOn(tool, value, entry).verdict).toBe(verdict);
  });

  it('blames the digit that was not estimated', () => {
    expect(verdictOn('cylinder-500', 263, '260 mL').slips[0]?.ids).toEqual(['dropped-digit']);
    expect(verdictOn('cylinder-500', 263, '265').slips[0]?.ids).toEqual(['dropped-digit', 'unit-missing']);
  });

  it('is revealed and hinted at in its own parts', () => {
    const said = (tool: string, value: number): string =>
      revealOf(readingTask(tool, { value })).find((step) => step.kind === 'estimate')?.text ?? '';
    expect(said('cylinder-500', 263)).toBe('About 3 fifths of a space beyond it: 263');
    expect(said('cylinder-500', 260)).toBe('Exactly on the mark: 260');
    expect(said('cylinder-25', 16.6)).toBe('About 1 fifth of a space beyond it: 16.6');
    expect(said('cylinder-250', 46.7)).toBe('About 0.7 mL of the 2 mL to the next mark: 46.7');
    expect(said('cylinder-50', 36.1)).toBe('About 1 tenth of a space beyond it: 36.1');
    expect(hintsFor(readingTask('cylinder-500', { value: 263 })).join(' ')).toContain('into five parts');
    expect(hintsFor(readingTask('cylinder-250', { value: 46 })).join(' ')).toContain(
      'into two halves, and each of them into ten parts',
    );
  });

  it('offers only slips that can be made on it', () => {
    expect(slipsOn('cylinder-500')).toContain('division-miscounted');
    expect(slipsOn('cylinder-500')).not.toContain('trailing-zero-dropped');
    expect(slipsOn('cylinder-50')).not.toContain('division-miscounted');
    expect(slipsOn('cylinder-500', { estimate: 'nearest-division' })).not.toContain('dropped-digit');
    expect(() => slipsOn('cylinder-51')).toThrow(UnknownInstrumentError);
  });
});
