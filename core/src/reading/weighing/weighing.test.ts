import { describe, expect, it } from 'vitest';
import { instrumentById } from '../../instruments/catalogue.ts';
import type { BeamBalance } from '../../instruments/instrument.ts';
import { riderPlace } from '../beam-balances/beam-picture.ts';
import { fieldsOf } from '../../../test/fields-of.ts';
import { describePicture } from '../bench.ts';
import { describePointer, describeRiders } from '../beam-balances/describe-beams.ts';
import { diagnose } from '../judging/diagnose.ts';
import { expectedReading } from '../expected-reading.ts';
import { hintsFor } from '../in-words.ts';
import { stillAway } from '../digital-balances/settling.ts';
import { asOperated } from '../bench.ts';
import type { Action } from '../actions.ts';
import { pictureOf } from '../bench.ts';
import { questionFor } from '../in-words.ts';
import { readingTask, type ReadingTask } from '../reading-task.ts';
import { remarksOn } from '../bench.ts';
import { revealOf } from '../in-words.ts';
import type { Situation } from '../situation.ts';

const first = (task: ReadingTask, entry: string): string | undefined => diagnose(task, entry).slips[0]?.ids.join('+');
const deed = (kind: Action['kind'], at = 0, to: number | null = null): Action => ({ kind, at, to });
const done = (...kinds: Action['kind'][]): Action[] => kinds.map((kind, i) => deed(kind, 100 * i));
const later = (task: ReadingTask, deeds: readonly Action[]): ReadingTask =>
  asOperated(task, { eyeHeight: 0, done: deeds, at: 60_000 });

describe('a beam balance', () => {
  const task = readingTask('beam-balance-tenth', { value: 247.36 });

  it('is read to a tenth of its last line', () => {
    expect(expectedReading(task)).toMatchObject({ text: '247.36', unit: 'g', accepts: ['247.34', '247.38'] });
    expect(expectedReading(readingTask('beam-balance-hundredth', { value: 47.362 })).text).toBe('47.362');
    expect(
      expectedReading(readingTask('beam-balance-tenth', { value: 247.36 }, { estimate: 'nearest-division' })).text,
    ).toBe('247.4');
  });

  it.each([
    ['248.36', 'rider-up'],
    ['427.36', 'beams-swapped'],
    ['207.36', 'beam-omitted'],
    ['47.36', 'beam-omitted'],
    ['240.00', 'beam-omitted'],
    ['247.46', 'rounded-up'],
    ['247.64', 'label-above'],
  ])('%s g is %s', (entry, slip) => {
    expect(first(task, `${entry} g`)).toBe(slip);
  });

  it.each<[Situation, string, string]>([
    [{ value: 50, container: 30.5 }, '80.50', 'container-included'],
    [{ value: 50, empty: 0.6 }, '50.60', 'not-zeroed'],
    [{ value: 50, zeroError: 0.4 }, '50.40', 'zero-ignored'],
    [{ value: 50, zeroError: 0.4 }, '50.80', 'zero-sign'],
    [{ value: 250.3, pointerOffset: 1.5 }, '251.80', 'not-balanced'],
    [{ value: 246.3, riders: [200, 38, 8.3] }, '248.30', 'not-seated'],
  ])('on %o, %s g is %s', (situation, entry, slip) => {
    const off = readingTask('beam-balance-tenth', situation);
    expect(diagnose(off, `${expectedReading(off).text} g`).verdict).toBe('sound');
    expect(first(off, `${entry} g`)).toBe(slip);
  });

  it('says both where what it shows empty may be known or not', () => {
    expect(
      diagnose(readingTask('beam-balance-tenth', { value: 50, zeroError: 0.4 }), '50.40 g').slips.map(({ ids }) =>
        ids.join(),
      ),
    ).toEqual(expect.arrayContaining(['zero-ignored', 'not-zeroed']));
  });

  it('two slips together are found: the vessel left in, and the next number taken', () => {
    expect(
      diagnose(readingTask('beam-balance-tenth', { value: 50.33, container: 30.5 }), '81.83 g').slips.map(({ ids }) =>
        ids.join('+'),
      ),
    ).toContain('rider-up+container-included');
  });

  it.each<[string, Situation]>([
    ['value', { value: 611 }],
    ['container', { value: 400, container: 300 }],
    ['container', { value: 1, container: -3 }],
    ['riders', { value: 50, riders: [0, 40] }],
    ['riders', { value: 50, riders: [0, 40, 10.4] }],
    ['pointerOffset', { value: 50, pointerOffset: -60 }],
    ['empty', { value: 50, empty: 90 }],
    ['shown', { value: 50, shown: 49 }],
    ['eyeHeight', { value: 50, eyeHeight: 3 }],
  ])('refuses an impossible %s', (field, situation) => {
    expect(() => readingTask('beam-balance-tenth', situation)).toThrow(new RegExp(`^${field}: `));
  });

  it('asks, hints, reveals and describes in its own words', () => {
    const weighed = readingTask('beam-balance-hundredth', {
      value: 47.362,
      thing: 'basalt pebble',
      container: 20.5,
      vessel: 'glass dish',
    });
    expect(questionFor(weighed)).toBe('How heavy is the basalt pebble?');
    expect(hintsFor(weighed).join(' ')).toContain('glass dish');
    const steps = revealOf(weighed);
    expect(steps.at(-2)?.text).toBe('Less the glass dish alone, 20.500: 67.862 becomes 47.362');
    expect(steps.at(-1)?.soFar).toBe('47.362 g');
    const picture = pictureOf(readingTask('beam-balance-tenth', { value: 247.36 }));
    if (picture.kind !== 'beams') throw new Error('a beam balance is drawn as one');
    expect(describeRiders(picture, picture.views[0].riderX)).toBe(
      'The first rider, of the beam that goes to 500, is in its notch at 200. The second rider, of the beam that goes to 100, is in its notch at 40. The sliding rider, of the beam that goes to 10, is beyond 3 lines past the number 7, nearer to the next than to it.',
    );
    expect(describeRiders(picture, [95, 80, 0])).toContain('between the notches at 200 and 300');
    expect([
      describePointer(0.1, false),
      describePointer(3, false),
      describePointer(-1, false),
      describePointer(5, true),
    ]).toEqual([
      'The pointer rests on its mark.',
      'The pointer rests 3 lines above its mark: the load is heavier.',
      'The pointer rests 1 line below its mark: the riders are heavier.',
      'The pointer swings.',
    ]);
  });
});

describe('several equal things, and a thing under a liquid', () => {
  it('are asked for together', () => {
    const task = readingTask('beam-balance-tenth', { value: 24.3, thing: 'nickel washer', count: 6 });
    expect(questionFor(task)).toBe('How heavy are the 6 nickel washers together?');
    const picture = pictureOf(task);
    expect(picture.kind === 'beams' && picture.thing).toMatchObject({ name: '6 nickel washers', count: 6 });
  });

  const hung = readingTask('beam-balance-hundredth', {
    value: 31.42,
    thing: 'basalt pebble',
    under: 'brine',
    spoilt: 'touching',
    loose: true,
  });
  const tool = instrumentById('beam-balance-hundredth') as BeamBalance;
  const ride = (...grams: number[]): Action[] =>
    grams.map((gram, i) => deed(`rider-${i + 1}` as Action['kind'], 500 + i, riderPlace(tool.beams[i]!, gram)));

  it('seems lighter still while it touches the glass, and is told so with its size', () => {
    expect(questionFor(hung)).toBe('How heavy does the basalt pebble seem under brine?');
    const touching = [...done('put-thing'), ...ride(0, 30, 1, 0.28)];
    expect(expectedReading(later(hung, touching)).text).toBe('31.280');
    expect(remarksOn(hung, touching)).toEqual([
      {
        id: 'left-wrong',
        text: 'It touched the side of the beaker, which carried a part of it. Let it hang free before you weigh it. Here it made 0.14 g.',
      },
    ]);
    const free = [...done('put-thing', 'hang-free'), ...ride(0, 30, 1, 0.42)];
    expect([expectedReading(later(hung, free)).text, remarksOn(hung, free)]).toEqual(['31.420', []]);
  });

  it.each<[string, string, Situation]>([
    ['under', 'beam-balance-tenth', { value: 20, under: 'water' }],
    ['spoilt', 'beam-balance-hundredth', { value: 20, spoilt: 'touching' }],
    ['spoilt', 'digital-balance-gram', { value: 20, spoilt: 'touching' }],
    ['count', 'beam-balance-tenth', { value: 20, count: 1 }],
    ['count', 'beam-balance-tenth', { value: 20, count: 2.5 }],
  ])('refuses an impossible %s on a %s', (field, id, situation) => {
    expect(() => readingTask(id, situation)).toThrow(new RegExp(`^${field}: `));
  });
});

describe('weighing by hand on a beam balance', () => {
  const tool = instrumentById('beam-balance-tenth') as BeamBalance;
  const task = readingTask('beam-balance-tenth', { value: 46.3, container: 20.4, empty: -0.5, loose: true });
  const ride = (...grams: number[]): Action[] =>
    grams.map((gram, i) => deed(`rider-${i + 1}` as Action['kind'], 500 + i, riderPlace(tool.beams[i]!, gram)));

  it('is judged by what is on the pan, where the riders stand, and how the screw is turned', () => {
    const weighed = later(task, [deed('screw', 0, 0.5), ...done('put-vessel', 'put-thing'), ...ride(0, 60, 6.7)]);
    expect(diagnose(weighed, '46.30 g').verdict).toBe('sound');
    expect(first(weighed, '66.70 g')).toBe('container-included');
    const unscrewed = later(task, [...done('put-thing'), ...ride(0, 40, 5.8)]);
    expect(first(unscrewed, '45.80 g')).toBe('not-zeroed');
    expect(diagnose(unscrewed, '46.30 g').verdict).toBe('sound');
  });

  it('a rider short of its notch, or riders that do not hold the load, are told', () => {
    expect(first(later(task, [deed('screw', 0, 0.5), ...done('put-thing'), ...ride(0, 38, 8.3)]), '48.30 g')).toBe(
      'not-seated',
    );
    expect(first(later(task, [deed('screw', 0, 0.5), ...done('put-thing'), ...ride(0, 40, 4.4)]), '44.40 g')).toBe(
      'not-balanced',
    );
  });

  it('within what friction allows, the reading goes by where the riders stand', () => {
    const held = later(task, [deed('screw', 0, 0.5), ...done('put-thing'), ...ride(0, 40, 6.31)]);
    expect(expectedReading(held).text).toBe('46.31');
  });

  it('with nothing on the pan it is remarked on, and judged as if there were', () => {
    expect(remarksOn(task, []).map(({ id }) => id)).toEqual(['not-weighed']);
    expect(expectedReading(later(task, [])).text).toBe('46.30');
    expect(remarksOn(task, done('put-thing'))).toEqual([]);
  });

  it('a rider cannot be moved beyond its beam', () => {
    expect(() => later(task, [...done('put-thing'), deed('rider-1', 0, 900)])).not.toThrow();
  });
});

describe('a digital balance', () => {
  it('is written with every digit, the last ones too when they are zeros', () => {
    const task = readingTask('digital-balance-milligram', { value: 18.46 });
    expect(expectedReading(task)).toMatchObject({ text: '18.460', accepts: ['18.460', '18.460'] });
    expect(first(task, '18.46 g')).toBe('trailing-zero-dropped');
    expect(
      first(readingTask('digital-balance-hundredth', { value: 18.46, settled: false, shown: 18.31 }), '18.31 g'),
    ).toBe('unsettled');
    expect(first(readingTask('digital-balance-hundredth', { value: 18.46, container: 20 }), '38.46 g')).toBe(
      'container-included',
    );
  });

  it('a load beyond its capacity is refused by name', () => {
    expect(() => readingTask('digital-balance-hundredth', { value: 150, container: 60 })).toThrow(/^container: 210 g/);
    expect(() => readingTask('digital-balance-hundredth', { value: 250 })).toThrow(/^value: /);
    expect(() => readingTask('digital-balance-hundredth', { value: 10, spoilt: 'wind' as never })).toThrow(/^spoilt: /);
  });

  const task = readingTask('digital-balance-hundredth', {
    value: 18.46,
    container: 20.13,
    empty: 0.08,
    spoilt: 'wet',
    loose: true,
  });

  it.each<[string, Action['kind'][], string, string | undefined]>([
    ['tared with the vessel on', ['switch-on', 'put-vessel', 'tare', 'dry', 'put-thing'], '18.46', undefined],
    [
      'zeroed empty, the vessel left in',
      ['switch-on', 'tare', 'put-vessel', 'dry', 'put-thing'],
      '38.59',
      'container-included',
    ],
    ['not zeroed', ['switch-on', 'dry', 'put-thing'], '18.54', 'not-zeroed'],
  ])('%s shows %s: %s', (_, kinds, entry, slip) => {
    const weighed = later(task, done(...kinds));
    expect(expectedReading(weighed).text).toBe('18.46');
    expect(first(weighed, `${entry} g`)).toBe(slip);
    if (slip === undefined) expect(diagnose(weighed, `${entry} g`).verdict).toBe('sound');
  });

  it('what was missed has its true consequence, and is remarked on with its size', () => {
    const deeds = done('switch-on', 'tare', 'put-thing');
    expect(expectedReading(later(task, deeds)).text).toBe('18.55');
    expect(remarksOn(task, deeds)[0]).toMatchObject({
      id: 'left-wrong',
      text: expect.stringContaining('0.09 g') as string,
    });
    expect(remarksOn(task, done('switch-on', 'tare', 'dry', 'put-thing'))).toEqual([]);
    expect(remarksOn(task, done('switch-on', 'dry', 'put-thing', 'tare')).map(({ id }) => id)).toEqual(['tared-away']);
    expect(remarksOn(task, []).map(({ id }) => id)).toEqual(['not-weighed']);
  });

  it('takes a while to settle after something was put on', () => {
    const at = (time: number): ReadingTask =>
      asOperated(task, { eyeHeight: 0, done: [deed('tare', 0), deed('dry', 10), deed('put-thing', 1000)], at: time });
    expect(fieldsOf(at(1300)).settled).toBe(false);
    expect(fieldsOf(at(9000)).settled).toBeUndefined();
    expect([stillAway(60, 0), stillAway(60, 700), stillAway(60, 10_000)]).toEqual([60, 22, 0]);
  });

  it('is looked at with the vessel alone and with nothing on, and told in words', () => {
    const picture = pictureOf(
      readingTask('digital-balance-hundredth', {
        value: 18.46,
        container: 20.13,
        empty: 0.08,
        thing: 'brass bush',
        vessel: 'glass dish',
      }),
    );
    if (picture.kind !== 'display') throw new Error('a display is drawn as one');
    expect(picture.views.map(({ characters }) => characters)).toEqual(['38.67', '20.21', '0.08']);
    expect(describePicture(picture)).toBe(
      'With the glass dish with the brass bush in it on the pan it shows 38.67 g. With the glass dish alone on the pan it shows 20.21 g. With nothing on the pan it shows 0.08 g.',
    );
  });
});

describe('a digital caliper', () => {
  it('is off by what it shows with its jaws closed', () => {
    const task = readingTask('caliper-digital', { value: 25.3, zeroError: -0.04, thing: 'acrylic rod' });
    expect(expectedReading(task)).toMatchObject({ text: '25.30', unit: 'mm' });
    expect([first(task, '25.26 mm'), first(task, '25.22 mm'), first(task, '25.3 mm')]).toEqual([
      'zero-ignored',
      'zero-sign',
      'trailing-zero-dropped',
    ]);
    expect(questionFor(task)).toBe('How thick is the acrylic rod?');
    expect(() => readingTask('caliper-digital', { value: -1 })).toThrow(/^value: /);
    expect(() => readingTask('caliper-digital', { value: 5, container: 3 })).toThrow(/^container: /);
  });
});
