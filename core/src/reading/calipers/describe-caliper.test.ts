import { describe, expect, it } from 'vitest';
import { diagnose } from '../judging/diagnose.ts';
import { describeCaliper } from './describe-caliper.ts';
import { describeMicrometer } from '../micrometers/describe-micrometer.ts';
import { drawTask } from '../drawing/draw-task.ts';
import { pictureOf } from '../bench.ts';
import { readingTask, type ReadingTask } from '../reading-task.ts';
import type { CaliperPicture } from './caliper-picture.ts';
import type { MicrometerPicture } from '../micrometers/micrometer-picture.ts';

const caliper = (task: ReadingTask): CaliperPicture => pictureOf(task) as CaliperPicture;
const micrometer = (task: ReadingTask): MicrometerPicture => pictureOf(task) as MicrometerPicture;
const LEAST = { 'caliper-tenth': 0.1, 'caliper-twentieth': 0.05, 'caliper-fiftieth': 0.02 } as const;

/** What somebody who only hears the words makes of a caliper. */
function heardOnCaliper(words: string, least: number): number {
  const main = 10 * Number(/main mark ([\d.]+) cm/.exec(words)![1]);
  const before = words.includes('before the main zero') ? -1 : main;
  const line = Number(/line (\d+)\) lies on a main mark/.exec(words)?.[1] ?? NaN);
  return before + line * least;
}

/** And of a micrometer. */
function heardOnMicrometer(words: string): number {
  const whole = Number(/(\d+) whole millimetres/.exec(words)![1]);
  const half = words.includes('one half-millimetre line') ? 0.5 : 0;
  const division = Number(/division (\d+)/.exec(words)![1]);
  const part = /; line (\d) of/.exec(words)?.[1];
  const beyond =
    part !== undefined
      ? Number(part) / 10
      : words.includes('midway')
        ? 0.5
        : words.includes('nearer to it')
          ? 0.25
          : words.includes('nearer to the next')
            ? 0.75
            : 0;
  return whole + half + (division + beyond) / 100;
}

describe('a caliper in words', () => {
  it('tells the main mark, and how the lines lie about the one that coincides', () => {
    const words = describeCaliper(caliper(readingTask('caliper-tenth', { value: 31.3 })), 0);
    expect(words).toContain('past the main mark 3.1 cm and before the next');
    expect(words).toContain('(line 3) lies on a main mark.');
    expect(words).toContain('(line 2) lies just to the right of one.');
    expect(words).toContain('(line 4) lies just to the left of one.');
  });

  it.each(Object.entries(LEAST))('%s: is enough to read it', (id, least) => {
    for (let seed = 0; seed < 60; seed += 1) {
      const { situation } = drawTask(id, { seed });
      const task = readingTask(id, { ...situation, oval: undefined, eyeHeight: 0, zeroError: undefined });
      const heard = heardOnCaliper(describeCaliper(caliper(task), 0), least);
      expect(
        diagnose(task, `${heard.toFixed(String(least).split('.')[1]!.length)} mm`).verdict,
        JSON.stringify(situation),
      ).toBe('sound');
    }
  });

  it('tells of the closed jaws where the tool may be off', () => {
    expect(describeCaliper(caliper(readingTask('caliper-tenth', { value: 31.3, zeroError: 0.2 })), 0)).toContain(
      'With the jaws closed: The vernier’s zero lies past the main mark 0 cm',
    );
    expect(describeCaliper(caliper(readingTask('caliper-tenth', { value: 31.3, zeroError: -0.2 })), 0)).toContain(
      'With the jaws closed: The vernier’s zero lies before the main zero.',
    );
    expect(describeCaliper(caliper(readingTask('caliper-tenth', { value: 31.3 })), 0)).not.toContain('closed');
  });
});

describe('a micrometer in words', () => {
  it('tells the sleeve, the half, and where the datum line meets the thimble', () => {
    expect(describeMicrometer(micrometer(readingTask('micrometer-hundredth', { value: 7.738 })))).toBe(
      'On the acrylic rod: On the sleeve 7 whole millimetres are uncovered, and one half-millimetre line after them. The datum line meets the thimble at division 23, nearer to the next than to it.',
    );
    expect(describeMicrometer(micrometer(readingTask('micrometer-thousandth', { value: 7.234 })))).toContain(
      'and no half-millimetre line after them. The datum line meets the thimble past division 23; line 4 of the sleeve’s vernier lies on a thimble line.',
    );
  });

  it.each([
    ['micrometer-hundredth', 0.0035],
    ['micrometer-thousandth', 0.0012],
  ])('%s: is enough to come within %f mm', (id, within) => {
    for (let seed = 0; seed < 60; seed += 1) {
      const { situation } = drawTask(id, { seed });
      const task = readingTask(id, { ...situation, zeroError: undefined });
      expect(Math.abs(heardOnMicrometer(describeMicrometer(micrometer(task))) - situation.value)).toBeLessThanOrEqual(
        within,
      );
    }
  });

  it('tells of the closed faces where it may be off, to either side', () => {
    expect(
      describeMicrometer(micrometer(readingTask('micrometer-hundredth', { value: 7.2, zeroError: 0.02 }))),
    ).toContain('With the faces closed: On the sleeve 0 whole millimetres');
    expect(
      describeMicrometer(micrometer(readingTask('micrometer-hundredth', { value: 7.2, zeroError: -0.02 }))),
    ).toContain(
      'With the faces closed: No line of the sleeve is uncovered. The datum line meets the thimble at division 48',
    );
  });
});
