import { describe, expect, it } from 'vitest';
import {
  asOperated,
  diagnose,
  drawTask,
  seededRandom,
  slipsOn,
  type CaliperPicture,
  type MicrometerPicture,
  type ReadingTask,
} from '../../src/index.ts';
import type { Random } from '../../src/simulation/random.ts';
import { caliperOf, micrometerOf, seenAt, turnedAt } from './slide-reader.ts';

/** A reader of calipers or micrometers who has only the picture. */
interface Reader<Picture> {
  readonly picture: Picture;
  readonly random: Random;
}

const bare = (text: string): { digits: string; unit: string } => {
  const [digits = '', unit = ''] = text.split(' ');
  return { digits, unit };
};

/** Slips that are made with digits and units on any tool, from what a careful reader would have written. */
const ON_PAPER: Record<string, (careful: string) => string> = {
  'power-of-ten': (careful) =>
    `${(Number(bare(careful).digits) * 10).toFixed(Math.max(0, (bare(careful).digits.split('.')[1]?.length ?? 0) - 1))} mm`,
  transposed: (careful) => {
    const { digits } = bare(careful);
    const early = digits.replace(/(\d)(\.?)(?!\1)(\d)(?=.*\d)/, '$3$2$1');
    return `${early === digits ? digits.replace(/(\d)(\.?)(?!\1)(\d)/, '$3$2$1') : early} mm`;
  },
  'dropped-digit': (careful) => `${bare(careful).digits.slice(0, -1).replace(/\.$/, '')} mm`,
  'extra-digit': (careful) => `${bare(careful).digits}5 mm`,
  'unit-missing': (careful) => bare(careful).digits,
  'unit-wrong': (careful) => `${bare(careful).digits} g`,
};

const withoutZero = (text: string): string => `${bare(text).digits.replace(/\.?0$/, '')} mm`;

/** The same reader with a steady pair of eyes. */
function exact<Picture>(reader: Reader<Picture>): Reader<Picture> {
  return { ...reader, random: { ...reader.random, normal: () => 0 } };
}

function leastOf(reader: Reader<CaliperPicture>): number {
  return seenAt(reader.picture, reader.picture.slideX, exact(reader).random).least;
}

const decimals = (least: number): number => String(least).split('.')[1]?.length ?? 0;

function written(value: number, least: number): string {
  return `${(Math.round(value / least) * least + 0).toFixed(decimals(least))} mm`;
}

/** The zero error as it is read with the jaws closed. */
function errorOn({ picture, random }: Reader<CaliperPicture>): number {
  if (picture.closedX === null) return 0;
  const { main, line, least } = seenAt(picture, picture.closedX, exact({ picture, random }).random);
  return main + line * least;
}

type CaliperHabit = (reader: Reader<CaliperPicture>) => string;

function read(
  reader: Reader<CaliperPicture>,
  value: (seen: ReturnType<typeof seenAt>) => number,
  x = reader.picture.slideX,
): string {
  const seen = seenAt(reader.picture, x, reader.random);
  const { turnedX } = reader.picture.held;
  // What is oval is read both ways, and the mean is taken.
  const other = turnedX === null ? seen : seenAt(reader.picture, turnedX, reader.random);
  return written((value(seen) + value(other)) / 2 - errorOn(reader), seen.least);
}

const observed = ({ main, line, least }: ReturnType<typeof seenAt>): number => main + line * least;
const careful: CaliperHabit = (reader) => read(reader, observed);

const CALIPER_HABITS: Record<string, CaliperHabit> = {
  'eye-aside': (reader) =>
    read(
      reader,
      observed,
      reader.picture.slideX + (reader.picture.eye.height * reader.picture.eye.gap) / reader.picture.eye.distance,
    ),
  'vernier-edge': (reader) =>
    read(reader, (seen) => Math.floor(reader.picture.slideX - reader.picture.edge + 1e-9) + seen.line * seen.least),
  'main-mark-after': (reader) => read(reader, (seen) => observed(seen) + 1),
  'vernier-count-as-tenths': (reader) => {
    const { main, line } = seenAt(reader.picture, reader.picture.slideX, reader.random);
    if (line < 10 && reader.random.uniform() < 0.4) return `${(main + line / 10).toFixed(1)} mm`;
    return `${(main + line / 100).toFixed(2)} mm`;
  },
  'vernier-label-as-count': (reader) =>
    read(reader, (seen) => seen.main + (Math.floor(seen.line / 5) + (seen.line % 5)) * seen.least),
  // Two or three lines off: the scatter is about the middle of them.
  'vernier-neighbour': (reader) =>
    read(reader, observed, reader.picture.slideX + (reader.random.uniform() < 0.5 ? -2.5 : 2.5) * leastOf(reader)),
  'vernier-ignored': (reader) => `${Math.floor(reader.picture.slideX + 1e-9)} mm`,
  'coincidence-on-main': (reader) => {
    const { line } = seenAt(reader.picture, reader.picture.slideX, reader.random);
    return `${Math.round(reader.picture.slideX + reader.picture.vernierMarks[line]!.x)} mm`;
  },
  'zero-ignored': (reader) => read({ ...reader, picture: { ...reader.picture, closedX: null } }, observed),
  'zero-sign': (reader) => read(reader, (seen) => observed(seen) + 2 * errorOn(reader)),
  'zero-negative-misread': (reader) => read(reader, (seen) => observed(seen) - 1),
  ...Object.fromEntries(
    Object.entries(ON_PAPER).map(([id, spoil]): [string, CaliperHabit] => [id, (reader) => spoil(careful(reader))]),
  ),
  // The zero that is not written has been seen.
  'trailing-zero-dropped': (reader) => withoutZero(careful(exact(reader))),
};

type MicrometerHabit = (reader: Reader<MicrometerPicture>) => string;

/** By the rule of tenths, or by the sleeve's vernier, a micrometer is written to a thousandth. */
const LAST_DIGIT = 0.001;

function faceError({ picture }: Reader<MicrometerPicture>): number {
  return picture.closedX ?? 0;
}

function turned(reader: Reader<MicrometerPicture>, value: (halves: number, divisions: number) => number): string {
  const { halves, divisions } = turnedAt(reader.picture, reader.picture.openX, reader.random);
  return written(value(halves, divisions) - faceError(reader), LAST_DIGIT);
}

const steady: MicrometerHabit = (reader) => turned(reader, (halves, divisions) => halves / 2 + divisions / 100);

const MICROMETER_HABITS: Record<string, MicrometerHabit> = {
  'main-mark-after': (reader) => turned(reader, (halves, divisions) => halves / 2 + 1 + divisions / 100),
  'vernier-neighbour': (reader) =>
    steady({
      ...reader,
      picture: { ...reader.picture, openX: reader.picture.openX + (reader.random.uniform() < 0.5 ? -0.0025 : 0.0025) },
    }),
  'vernier-ignored': (reader) =>
    `${(Math.floor(reader.picture.openX * 100 + 1e-6) / 100 - faceError(reader)).toFixed(2)} mm`,
  'half-missed': (reader) => turned(reader, (halves, divisions) => Math.floor(halves / 2) + divisions / 100),
  'half-invented': (reader) => turned(reader, (halves, divisions) => halves / 2 + 0.5 + divisions / 100),
  'thimble-as-tenths': (reader) => {
    const { halves, divisions } = turnedAt(reader.picture, reader.picture.openX, reader.random);
    return reader.random.uniform() < 0.6
      ? `${(halves / 2 + Math.round(divisions * 10) / 100).toFixed(2)} mm`
      : `${(halves / 2 + Math.round(divisions * 10) / 10_000).toFixed(4)} mm`;
  },
  'thimble-wrong-way': (reader) =>
    turned(reader, (halves, divisions) => {
      const below = Math.floor(divisions / 5) * 5;
      const wrong =
        below === 0 || reader.random.uniform() < 0.5 ? below + 10 - (divisions - below) : below - (divisions - below);
      return halves / 2 + wrong / 100;
    }),
  'zero-ignored': (reader) =>
    turned(
      { ...reader, picture: { ...reader.picture, closedX: null } },
      (halves, divisions) => halves / 2 + divisions / 100,
    ),
  'zero-sign': (reader) => turned(reader, (halves, divisions) => halves / 2 + divisions / 100 + 2 * faceError(reader)),
  'zero-negative-misread': (reader) => turned(reader, (halves, divisions) => halves / 2 + divisions / 100 - 0.5),
  ...Object.fromEntries(
    Object.entries(ON_PAPER).map(([id, spoil]): [string, MicrometerHabit] => [id, (reader) => spoil(steady(reader))]),
  ),
  'trailing-zero-dropped': (reader) => withoutZero(steady(exact(reader))),
};

const CALIPERS = ['caliper-tenth', 'caliper-twentieth', 'caliper-fiftieth'];
const MICROMETERS = ['micrometer-hundredth', 'micrometer-thousandth'];
const level = (task: ReadingTask, slip: string): ReadingTask =>
  slip === 'eye-aside' || task.situation.eyeHeight === undefined ? task : asOperated(task, { eyeHeight: 0 });

describe('a simulated student with one slip', () => {
  it.each(CALIPERS.flatMap((tool) => slipsOn(tool).map((slip) => [tool, slip] as const)))(
    '%s, %s: named first in at least 95 in 100 of 200 items',
    (tool, slip) => {
      const random = seededRandom(40_000 + slip.length);
      const habit = CALIPER_HABITS[slip];
      expect(habit, `nobody here has the habit ${slip}`).toBeDefined();
      const items = Array.from({ length: 200 }, (_, seed) => level(drawTask(tool, { seed, aim: [slip] }), slip));
      expect(
        items.filter(
          (task) => diagnose(task, habit!({ picture: caliperOf(task), random })).slips[0]?.ids.join() === slip,
        ).length,
      ).toBeGreaterThanOrEqual(190);
    },
  );

  it.each(MICROMETERS.flatMap((tool) => slipsOn(tool).map((slip) => [tool, slip] as const)))(
    '%s, %s: named first in at least 95 in 100 of 200 items',
    (tool, slip) => {
      const random = seededRandom(50_000 + slip.length);
      const habit = MICROMETER_HABITS[slip];
      expect(habit, `nobody here has the habit ${slip}`).toBeDefined();
      const items = Array.from({ length: 200 }, (_, seed) => drawTask(tool, { seed, aim: [slip] }));
      expect(
        items.filter(
          (task) => diagnose(task, habit!({ picture: micrometerOf(task), random })).slips[0]?.ids.join() === slip,
        ).length,
      ).toBeGreaterThanOrEqual(190);
    },
  );
});

describe('a careful reader', () => {
  it.each(CALIPERS)('%s: is judged sound in at least 99 in 100 of 1000 items', (tool) => {
    const random = seededRandom(9);
    const sound = Array.from({ length: 1000 }, (_, seed) => level(drawTask(tool, { seed }), '')).filter(
      (task) => diagnose(task, careful({ picture: caliperOf(task), random })).verdict === 'sound',
    );
    expect(sound.length).toBeGreaterThanOrEqual(990);
  });

  it.each(MICROMETERS)('%s: is judged sound in at least 99 in 100 of 1000 items', (tool) => {
    const random = seededRandom(9);
    const sound = Array.from({ length: 1000 }, (_, seed) => drawTask(tool, { seed })).filter(
      (task) => diagnose(task, steady({ picture: micrometerOf(task), random })).verdict === 'sound',
    );
    expect(sound.length).toBeGreaterThanOrEqual(990);
  });
});
