import { describe, expect, it } from 'vitest';
import { describeCaliper } from '../calipers/describe-caliper.ts';
import { diagnose } from '../judging/diagnose.ts';
import { expectedReading } from '../expected-reading.ts';
import { gritAt } from './jaws-on-bench.ts';
import { asOperated } from '../bench.ts';
import type { Action } from '../actions.ts';
import { pictureOf } from '../bench.ts';
import { questionFor } from '../in-words.ts';
import { readingTask, type ReadingTask } from '../reading-task.ts';
import { remarksOn } from '../bench.ts';
import { revealOf } from '../in-words.ts';
import type { Situation } from '../situation.ts';

const did = (kind: Action['kind'], to: number | null = null): Action => ({ kind, at: 0, to });
const later = (task: ReadingTask, ...done: Action[]): ReadingTask => asOperated(task, { eyeHeight: 0, done, at: 1000 });
const remarked = (task: ReadingTask, ...done: Action[]): string[] => remarksOn(task, done).map(({ id }) => id);

describe('a caliper brought to a thing', () => {
  const task = readingTask('caliper-twentieth', { value: 24.6, zeroError: 0.1, thing: 'brass bush', loose: true });

  it('is read where the jaws touch', () => {
    const read = later(task, did('take-thing'), did('slide', 0.1), did('put-thing'), did('slide', 24.7));
    expect(expectedReading(read).text).toBe('24.60');
    expect(diagnose(read, '24.60 mm').verdict).toBe('sound');
    expect(diagnose(read, '24.70 mm').slips[0]?.ids).toEqual(['zero-ignored']);
    expect(remarked(task, did('take-thing'), did('slide', 0.1), did('put-thing'), did('slide', 24.7))).toEqual([]);
  });

  it('who has not brought the jaws to it, or has not looked at the zero, is told', () => {
    expect(remarked(task)).toEqual(['not-touching']);
    expect(remarked(task, did('slide', 31.2))).toEqual(['not-touching']);
    expect(remarked(task, did('slide', 24.7))).toEqual(['zero-not-looked-at']);
    expect(expectedReading(later(task, did('slide', 31.2))).text).toBe('24.60');
  });

  it('something soft is pressed together by whoever goes on', () => {
    const soft = readingTask('caliper-twentieth', { value: 24.6, thing: 'cork bung', soft: 1.2, loose: true });
    expect(expectedReading(later(soft, did('slide', 24.1))).text).toBe('24.10');
    expect(remarksOn(soft, [did('slide', 24.1)])).toEqual([
      {
        id: 'squeezed',
        text: 'The cork bung is soft, and you pressed it together by 0.50 mm. Let the jaws just touch it.',
      },
    ]);
    expect(remarked(soft, did('slide', 24.6))).toEqual([]);
  });

  it('grit keeps the jaws apart, differently each time, until it is wiped off', () => {
    const gritty = readingTask('caliper-twentieth', { value: 24.6, grit: 0.2, loose: true });
    expect([0, 1, 2, 3].map((meeting) => gritAt(0.2, meeting))).toEqual([
      0.2, 0.11000000000000001, 0.16000000000000003, 0.2,
    ]);
    expect(expectedReading(later(gritty, did('slide', 24.8))).text).toBe('24.80');
    expect(remarked(gritty, did('slide', 24.8))).toEqual(['grit-left']);
    expect(remarked(gritty, did('wipe-faces'), did('slide', 24.6))).toEqual([]);
  });

  it('an oval thing is asked for by the mean of two ways, less the zero error', () => {
    const oval = readingTask('caliper-twentieth', {
      value: 24.6,
      oval: 0.2,
      zeroError: -0.1,
      thing: 'glass net-float',
      loose: true,
    });
    const done = [
      did('take-thing'),
      did('slide', -0.1),
      did('put-thing'),
      did('slide', 24.7),
      did('turn', 1),
      did('slide', 24.3),
    ];
    expect(questionFor(oval)).toContain('mean of two ways at right angles');
    expect(diagnose(later(oval, ...done), '24.60 mm').verdict).toBe('sound');
    expect(diagnose(later(oval, ...done), '24.50 mm').slips[0]?.ids).toEqual(['zero-ignored']);
    expect(remarked(oval, ...done)).toEqual([]);
    expect(remarked(oval, ...done.slice(0, 4))).toEqual(['one-way-only']);
    const picture = pictureOf(oval);
    if (picture.kind !== 'caliper') throw new Error('a caliper is drawn as one');
    expect([picture.slideX, picture.held.turnedX, picture.closedX]).toEqual([24.7, 24.3, -0.1]);
    expect(describeCaliper(picture, 0)).toContain('Turned by a right angle: ');
    expect(revealOf(oval).map(({ text }) => text)).toEqual(
      expect.arrayContaining(['As it lies first: 24.70', 'Turned by a right angle: 24.30', 'Their mean, 24.50']),
    );
  });

  it('inside, the jaws come from within, and grit counts the other way', () => {
    const inside = readingTask('caliper-fiftieth', {
      value: 18.34,
      use: 'inside',
      grit: 0.1,
      thing: 'acrylic tube',
      loose: true,
    });
    expect(questionFor(inside)).toBe('How wide is the acrylic tube inside?');
    expect(questionFor(readingTask('caliper-fiftieth', { value: 18.34, use: 'depth', thing: 'glass dish' }))).toBe(
      'How deep is the glass dish?',
    );
    expect(expectedReading(later(inside, did('slide', 18.24))).text).toBe('18.24');
    const picture = pictureOf(inside);
    expect(picture.kind === 'caliper' && picture.held.startX).toBeLessThan(18.34);
  });

  it.each<[string, Situation]>([
    ['value', { value: -0.2 }],
    ['oval', { value: 3, oval: 4 }],
    ['soft', { value: 20, soft: 5 }],
    ['grit', { value: 20, grit: -0.1 }],
    ['use', { value: 20, use: 'under' as never }],
    ['container', { value: 20, container: 3 }],
  ])('refuses an impossible %s', (field, situation) => {
    expect(() => readingTask('caliper-tenth', situation)).toThrow(new RegExp(`^${field}: `));
  });
});

describe('a micrometer turned by hand', () => {
  const task = readingTask('micrometer-hundredth', {
    value: 7.734,
    zeroError: -0.02,
    thing: 'slate tile',
    loose: true,
  });

  it('is read where the ratchet has clicked', () => {
    const done = [
      did('take-thing'),
      did('click'),
      did('slide', -0.02),
      did('put-thing'),
      did('click'),
      did('slide', 7.714),
    ];
    expect(diagnose(later(task, ...done), '7.734 mm').verdict).toBe('sound');
    expect(remarked(task, ...done)).toEqual([]);
  });

  it('forced beyond it, it shows too little and says by how much', () => {
    const done = [did('take-thing'), did('put-thing'), did('slide', 7.694)];
    expect(expectedReading(later(task, ...done)).text).toBe('7.714');
    expect(remarksOn(task, done)[0]).toMatchObject({
      id: 'forced',
      text: expect.stringContaining('0.020 mm') as string,
    });
    expect(remarked(task, did('take-thing'), did('put-thing'), did('slide', 7.714))).toEqual(['no-ratchet']);
  });

  it('opens no further than its range', () => {
    const wide = pictureOf(readingTask('micrometer-hundredth', { value: 24.5, loose: true }));
    expect(wide.kind === 'micrometer' && wide.held.startX).toBe(25);
    expect(() => readingTask('micrometer-hundredth', { value: 25.5 })).toThrow(/^value: /);
  });
});

describe('a digital caliper brought to a thing', () => {
  const task = readingTask('caliper-digital', { value: 25.3, zeroError: -0.04, loose: true });

  it('zeroed on closed jaws shows the size itself', () => {
    const zeroed = later(task, did('take-thing'), did('zero', -0.04), did('put-thing'), did('slide', 25.26));
    expect(expectedReading(zeroed).text).toBe('25.30');
    const picture = pictureOf(zeroed);
    expect(picture.kind === 'display' && picture.views.map(({ characters }) => characters)).toEqual(['25.30']);
  });

  it('not zeroed, what it shows closed is still to be taken off', () => {
    const left = later(task, did('slide', 25.26));
    expect(diagnose(left, '25.26 mm').slips[0]?.ids).toEqual(['zero-ignored']);
    expect(diagnose(left, '25.30 mm').verdict).toBe('sound');
  });
});
