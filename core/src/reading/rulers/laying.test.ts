import { describe, expect, it } from 'vitest';
import { fieldsOf } from '../../../test/fields-of.ts';
import type { Action } from '../actions.ts';
import { asOperated, pictureOf } from '../bench.ts';
import { expectedReading } from '../expected-reading.ts';
import { revealOf } from '../in-words.ts';
import { SituationError } from '../indication/situation-error.ts';
import { diagnose } from '../judging/diagnose.ts';
import { readingTask } from '../reading-task.ts';
import type { RulerPicture } from './ruler-picture.ts';

const did = (kind: Action['kind'], at: number, to: number): Action => ({ kind, at, to });

describe('a thing laid at a ruler', () => {
  const loose = readingTask('ruler-millimetre', { value: 84.6, from: 23.37, loose: true, endOffset: 5 });
  const laidAt = (x: number) => asOperated(loose, { eyeHeight: 0, done: [did('lay', 900, 40), did('lay', 4000, x)] });

  it('at the zero mark is as long as the mark at its other end', () => {
    const task = laidAt(5);
    expect(task.situation).toMatchObject({ from: 0 });
    expect(fieldsOf(task).loose).toBeUndefined();
    expect(expectedReading(task).text).toBe('84.6');
    expect(diagnose(task, '84.6 mm').verdict).toBe('sound');
  });

  it('at the ruler’s own end seems shorter, and who reads its other end is told', () => {
    const task = laidAt(0);
    expect(fieldsOf(task).from).toBe(-5);
    expect(diagnose(task, '79.6 mm').slips[0]?.ids).toEqual(['end-not-zero']);
    expect(diagnose(task, '84.6 mm').verdict).toBe('sound');
  });

  it('at another mark has that mark taken off', () => {
    const task = laidAt(15);
    expect(diagnose(task, '94.6 mm').slips[0]?.ids).toEqual(['end-not-zero']);
    expect(revealOf(task).some(({ text }) => text.includes('94.6 becomes 84.6'))).toBe(true);
  });

  it('left where it was is the difference of both ends', () => {
    const task = asOperated(loose, { eyeHeight: 0 });
    expect(diagnose(task, '84.6 mm').verdict).toBe('sound');
    expect((pictureOf(task) as RulerPicture).handled).toBe('lay');
  });

  it('beyond the ruler is refused', () => {
    expect(() => laidAt(280)).toThrow(SituationError);
    expect(() => laidAt(-8)).toThrow(/^from: /);
  });

  it('has its answer drawn where the ruler’s lines are, with bare wood before them or without', () => {
    for (const endOffset of [0, 5]) {
      const task = readingTask('ruler-millimetre', { value: 84.6, endOffset });
      const { marks } = pictureOf(task) as RulerPicture;
      const label = revealOf(task).find(({ kind }) => kind === 'label')!;
      expect(label.fromY).toBeCloseTo(marks.find((mark) => mark.label === '80')!.x, 6);
    }
  });
});
