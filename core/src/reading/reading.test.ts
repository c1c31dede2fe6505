import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { UnknownInstrumentError } from '../instruments/catalogue.ts';
import { describeColumn } from './describe.ts';
import { diagnose } from './diagnose.ts';
import { AimError, drawTask } from './draw-task.ts';
import { expectedReading } from './expected-reading.ts';
import { explainSlips } from './explain.ts';
import { hintsFor } from './hints.ts';
import { HouseRuleError, PRESETS } from './house-rules.ts';
import { pictureOf } from './picture.ts';
import { readingTask, withEyeAt } from './reading-task.ts';
import { revealOf } from './reveal.ts';
import { SituationError } from './situation.ts';
import { SLIPS, UnknownSlipError } from './slips/registry.ts';

const half = PRESETS[1]!.rules;
const leastCount = PRESETS[2]!.rules;

describe('the expected reading', () => {
  it.each([
    ['cylinder-50', 46, undefined, '46.0', ['45.8', '46.2']],
    ['cylinder-50', 37.43, undefined, '37.4', ['37.3', '37.6']],
    ['cylinder-100', 84.6, undefined, '84.6', ['84.4', '84.8']],
    ['cylinder-10', 4.637, undefined, '4.64', ['4.62', '4.65']],
    ['cylinder-10', 4.637, half, '4.65', ['4.60', '4.65']],
    ['cylinder-50', 37.43, half, '37.5', ['37.0', '37.5']],
    ['cylinder-50', 37.6, half, '37.5', ['37.5', '38.0']],
    ['cylinder-50', 37.43, leastCount, '37', ['37', '38']],
    ['cylinder-50', 37.2, leastCount, '37', ['37', '37']],
    ['digital-balance-hundredth', 18.46, undefined, '18.46', ['18.46', '18.46']],
  ] as const)('%s at %f', (tool, value, rules, text, accepts) => {
    expect(expectedReading(readingTask(tool, { value }, rules))).toMatchObject({ text, accepts });
  });

  it('is in the class’s unit of volume', () => {
    expect(expectedReading(readingTask('cylinder-50', { value: 5 }, half)).unit).toBe('cm³');
    expect(expectedReading(readingTask('cylinder-50', { value: 5 })).unit).toBe('mL');
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
    const high = withEyeAt(task, 60);
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
    fc.assert(fc.property(fc.oneof(fc.string(), fc.string({ unit: 'binary' })), (entry) => {
      expect(diagnose(task, entry).verdict).toMatch(/^(sound|record|slip|unexplained|unreadable)$/);
    }));
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
    for (let seed = 0; seed < 50; seed += 1) expect(Math.abs(drawTask('cylinder-100', { seed }).situation.eyeHeight!)).toBeGreaterThanOrEqual(35);
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

  it('every slip has a name, a reason and something to look at', () => {
    for (const { ids } of SLIPS.map((slip) => ({ ids: [slip.id] }))) {
      const [explained] = explainSlips(task, { ids });
      expect(explained!.name).not.toBe('');
      expect(explained!.why).toMatch(/^[A-Z].*\.$/);
      expect(explained!.lookAt.length).toBeGreaterThan(8);
    }
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
    expect(describeColumn(picture, picture.surfaceY)).toBe('The surface lies between the seventh line above 30 and the eighth line above 30, nearer the lower one.');
    const onLabel = pictureOf(readingTask('cylinder-50', { value: 40 }));
    if (onLabel.kind !== 'liquid-column') throw new Error('wrong kind');
    expect(describeColumn(onLabel, onLabel.surfaceY)).toBe('The surface lies on the line labelled 40.');
  });
});
