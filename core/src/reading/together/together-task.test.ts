import { describe, expect, it } from 'vitest';
import { instrumentIds } from '../../instruments/catalogue.ts';
import { completeRules } from '../../rules/house-rules.ts';
import { asOperated, pictureOf } from '../bench.ts';
import { predictedEntries } from '../drawing/predictions.ts';
import { expectedReading } from '../expected-reading.ts';
import { diagnose } from '../judging/diagnose.ts';
import { SituationError } from '../indication/situation-error.ts';
import { readTogether, valueIn } from './read-together.ts';
import { roomAnswer, standsOnMark, togetherTask } from './together-task.ts';

const rules = completeRules();

describe('one picture for a room', () => {
  it.each(instrumentIds())(
    '%s: stands well between two marks, and its right reading is right from a level eye',
    (id) => {
      for (let seed = 0; seed < 40; seed += 1) {
        const task = togetherTask(id, seed, null, rules);
        expect(standsOnMark(task)).toBe(false);
        const { text, unit } = expectedReading(task);
        expect(diagnose(task, `${text} ${unit}`).verdict).toBe('sound');
      }
    },
  );
  it('is the same for the same seed', () => {
    expect(togetherTask('burette-50', 7, null, rules)).toEqual(togetherTask('burette-50', 7, null, rules));
  });
  it('stands where the teacher sets it, on a mark too, which is told', () => {
    const task = togetherTask('burette-50', 7, 27.5, rules);
    expect(expectedReading(task).text).toBe('27.50');
    expect(standsOnMark(task)).toBe(true);
    expect(standsOnMark(togetherTask('burette-50', 7, 27.54, rules))).toBe(false);
    expect(() => togetherTask('burette-50', 7, 61, rules)).toThrow(SituationError);
  });
  it('is measured against what is true, before it is rounded', () => {
    expect(roomAnswer(togetherTask('burette-50', 7, 27.537, rules))).toEqual({
      value: 27.537,
      text: '27.54',
      unit: 'mL',
      division: 0.1,
    });
  });
  it('a display has no marks to stand on', () => {
    expect(standsOnMark(togetherTask('digital-balance-hundredth', 1, 50, rules))).toBe(false);
  });
  it('is seen from an eye of one’s own: off the level the same surface reads otherwise, and the slip is named', () => {
    const task = togetherTask('burette-50', 3, 27.54, rules);
    expect(pictureOf(asOperated(task, { eyeHeight: 60 }))).not.toEqual(pictureOf(task));
    const seen = asOperated(task, { eyeHeight: 60 });
    const [entry = ''] = predictedEntries(seen, { id: 'eye-high' });
    expect(diagnose(seen, entry).slips[0]?.ids).toEqual(['eye-high']);
    expect(diagnose(task, entry).slips[0]?.ids ?? []).not.toContain('eye-high');
  });
});

describe('a reading of a tool of which only the unit is known', () => {
  it('is taken with its places, in the unit all are compared in', () => {
    expect(readTogether('27.52 mL', 'mL')).toEqual({ value: 27.52, place: -2, unit: 'fits' });
    expect(readTogether('27,5', 'mL')).toEqual({ value: 27.5, place: -1, unit: 'missing' });
    expect(readTogether('2.34 cm', 'mm')).toMatchObject({ value: 23.4, place: -1, unit: 'fits' });
    expect(readTogether('27.5 g', 'mL')).toMatchObject({ unit: 'wrong' });
  });
  it('goes into another unit of its kind, and into no other', () => {
    expect(valueIn(5.23, 'cm', 'mm')).toBe(52.3);
    expect(valueIn(2, 'in', 'cm')).toBe(5.08);
    expect(valueIn(27.5, 'mL', 'mL')).toBe(27.5);
    expect(() => valueIn(1, 'mL', 'g')).toThrow(/mL/);
  });
  it('is answered in words where it cannot be read', () => {
    expect(readTogether('', 'mL')).toMatch(/number/);
    expect(readTogether('twelve', 'mL')).toMatch(/not a number/);
  });
});
