import { describe, expect, it } from 'vitest';
import {
  asOperated,
  diagnose,
  drawTask,
  riderPlace,
  seededRandom,
  slipsOn,
  type BeamBalance,
  type BeamPicture,
  type Done,
  type DisplayPicture,
  instrumentById,
  readingTask,
  type ReadingTask,
} from '../../src/index.ts';
import { ridersFor } from '../../src/scales/rider-beam.ts';
import type { Random } from '../../src/simulation/random.ts';
import { beamsOf, displayOf, ridersSeen, sumOf, type Ridden } from './weighing-reader.ts';

interface Reader<Picture> {
  readonly picture: Picture;
  readonly random: Random;
}

const steady = <Picture>(reader: Reader<Picture>): Reader<Picture> => ({
  ...reader,
  random: { ...reader.random, normal: () => 0 },
});
const digitsOf = (text: string): string => text.split(' ')[0]!;
const card = (note: string | null): number => {
  const [, size = '0', way = 'much'] = /shows ([\d.]+) g too (\w+)/.exec(note ?? '') ?? [];
  return way === 'much' ? Number(size) : -Number(size);
};

/** Slips that are made on paper, from what a careful reader would have written. */
const ON_PAPER: Record<string, (careful: string) => string> = {
  'power-of-ten': (careful) =>
    `${(Number(digitsOf(careful)) * 10).toFixed(Math.max(0, (digitsOf(careful).split('.')[1]?.length ?? 0) - 1))} g`,
  transposed: (careful) => {
    const digits = digitsOf(careful);
    const late = digits.replace(/(\d)(\.?)(?!\1)(\d)$/, '$3$2$1');
    return `${late === digits ? digits.replace(/(\d)(\.?)(?!\1)(\d)(?=\d*$)/, '$3$2$1') : late} g`;
  },
  'dropped-digit': (careful) => `${digitsOf(careful).slice(0, -1).replace(/\.$/, '')} g`,
  'extra-digit': (careful) => `${digitsOf(careful)}${digitsOf(careful).includes('.') ? '5' : '.5'} g`,
  'unit-missing': digitsOf,
  'unit-wrong': (careful) => `${digitsOf(careful)} mL`,
  'trailing-zero-dropped': (careful) => `${digitsOf(careful).replace(/\.?0$/, '')} g`,
};

type BeamHabit = (reader: Reader<BeamPicture>) => string;

function decimalsOn({ beams }: BeamPicture): number {
  const { marks } = beams.at(-1)!;
  const labels = marks.filter(({ label }) => label !== null);
  const line =
    (Number(labels[1]!.label) - Number(labels[0]!.label)) / marks.findIndex((mark, i) => i > 0 && mark.label !== null);
  return Math.round(-Math.log10(line)) + 1;
}

/** A mass by riders: what is seen with the thing on, less what is seen alone or known. */
function ridden(
  reader: Reader<BeamPicture>,
  count: (seen: Ridden) => number,
  taken: (alone: number, known: number) => number = (alone, known) => alone + known,
): string {
  const { picture, random } = reader;
  const [main, ...others] = picture.views;
  const alone = others[0] ? sumOf(ridersSeen(picture, others[0].riderX, random)) : 0;
  const known = others.length > 0 ? 0 : card(picture.note);
  return `${(count(ridersSeen(picture, main.riderX, random)) - taken(alone, known) + 0).toFixed(decimalsOn(picture))} g`;
}

const onBeams: BeamHabit = (reader) => ridden(reader, sumOf);

const BEAM_HABITS: Record<string, BeamHabit> = {
  'rounded-up': (reader) => ridden(reader, (seen) => sumOf(seen) + seen.line),
  'label-above': (reader) =>
    ridden(reader, (seen) => {
      const below = Math.floor(seen.sliding / seen.labelled + 1e-9) * seen.labelled;
      return sumOf(seen) - seen.sliding + 2 * below + seen.labelled - seen.sliding;
    }),
  'marks-counted': (reader) =>
    ridden(reader, (seen) => {
      const below = Math.floor(seen.sliding / seen.labelled + 1e-9) * seen.labelled;
      const spaces = Math.round(seen.labelled / seen.line);
      return sumOf(seen) - seen.sliding + below + ((seen.sliding - below) * spaces) / (spaces + 1);
    }),
  'rider-up': (reader) => ridden(reader, (seen) => sumOf(seen) + seen.labelled),
  'beams-swapped': (reader) =>
    ridden(reader, (seen) => {
      const digits = seen.notched.map(({ number, size }) => number / size);
      const first = digits.findIndex((digit, i) => digits.some((other, j) => j > i && other !== digit));
      const second = digits.findIndex((digit, j) => j > first && digit !== digits[first]);
      const swapped = digits.map((digit, i) => (i === first ? digits[second]! : i === second ? digits[first]! : digit));
      return swapped.reduce((sum, digit, i) => sum + digit * seen.notched[i]!.size, seen.sliding);
    }),
  'beam-omitted': (reader) =>
    ridden(reader, (seen) => {
      const standing = seen.notched.map(({ number }) => number).filter((number) => number > 0);
      return sumOf(seen) - (standing[reader.random.below(standing.length)] ?? seen.sliding);
    }),
  'not-seated': onBeams,
  'not-balanced': onBeams,
  'zero-ignored': (reader) => ridden(reader, sumOf, (alone) => alone),
  'zero-sign': (reader) => ridden(reader, sumOf, (alone, known) => alone - known),
  'not-zeroed': (reader) => ridden(reader, sumOf, () => 0),
  'container-included': (reader) => ridden(reader, sumOf, () => 0),
  ...Object.fromEntries(
    Object.entries(ON_PAPER).map(([id, spoil]): [string, BeamHabit] => [
      id,
      (reader) => spoil(onBeams(id === 'trailing-zero-dropped' ? steady(reader) : reader)),
    ]),
  ),
};

const CARE: readonly Done['kind'][] = ['shield', 'centre', 'dry', 'clean', 'hang-free'];
/** Vessel and thing are put on, without taring: what is to be taken off is still to be taken off. */
const LADEN: readonly Done[] = ['switch-on', 'put-vessel', ...CARE, 'put-thing'].map(
  (kind, at) => ({ kind, at, to: null }) as Done,
);

/** Who takes care brings the riders to where they hold the load, each in its notch, before reading. */
function balanced(task: ReadingTask, zeroed = false): ReadingTask {
  const { beams } = instrumentById(task.instrumentId) as BeamBalance;
  const { value, container = 0, empty = 0, zeroError = 0 } = task.situation;
  const screw = zeroed && task.situation.loose ? -empty : 0;
  const done = ridersFor(beams, value + container + empty + screw + zeroError).map((grams, i): Done => ({
    kind: `rider-${i + 1}` as Done['kind'],
    at: 1000 * i,
    to: riderPlace(beams[i]!, grams),
  }));
  return asOperated(task, {
    eyeHeight: 0,
    done: [
      ...(task.situation.loose ? LADEN : []),
      ...(screw === 0 ? [] : [{ kind: 'screw', at: 5, to: screw } as const]),
      ...done,
    ],
    at: 60_000,
  });
}

const BEAMS = ['beam-balance-tenth', 'beam-balance-hundredth'];
const TROUBLED = ['not-seated', 'not-balanced'];

describe('a simulated student with one slip at a beam balance', () => {
  it.each(BEAMS.flatMap((tool) => slipsOn(tool).map((slip) => [tool, slip] as const)))(
    '%s, %s: named first in at least 95 in 100 of 200 items',
    (tool, slip) => {
      const random = seededRandom(60_000 + slip.length);
      const habit = BEAM_HABITS[slip];
      expect(habit, `nobody here has the habit ${slip}`).toBeDefined();
      const items = Array.from({ length: 200 }, (_, seed) => drawTask(tool, { seed, aim: [slip] })).map((task) =>
        TROUBLED.includes(slip) ? asOperated(task, { eyeHeight: 0 }) : balanced(task),
      );
      expect(
        items.filter((task) => diagnose(task, habit!({ picture: beamsOf(task), random })).slips[0]?.ids.join() === slip)
          .length,
      ).toBeGreaterThanOrEqual(190);
    },
  );

  it.each(BEAMS)('%s: every slip that is made at beam balances can be told there', (tool) => {
    expect(slipsOn(tool)).toEqual(
      expect.arrayContaining([
        'rider-up',
        'beams-swapped',
        'beam-omitted',
        'not-seated',
        'not-balanced',
        'not-zeroed',
        'container-included',
        'zero-ignored',
        'zero-sign',
        'rounded-up',
        'label-above',
        'dropped-digit',
        'trailing-zero-dropped',
        'extra-digit',
        'unit-missing',
        'unit-wrong',
        'power-of-ten',
      ]),
    );
  });
});

describe('digits exchanged on a beam balance', () => {
  const task = readingTask('beam-balance-hundredth', { value: 47.362 });

  it('are told as such where no two riders could have been taken for each other', () => {
    expect(diagnose(task, '47.632 g').slips[0]?.ids).toEqual(['transposed']);
  });

  it('are told as either where they could', () => {
    const both = diagnose(task, '74.362 g').slips.map(({ ids }) => ids.join());
    expect(both.slice(0, 2).sort()).toEqual(['beams-swapped', 'transposed']);
  });
});

type DisplayHabit = (reader: Reader<DisplayPicture>) => string;

function shown({ picture }: Reader<DisplayPicture>, taken: (alone: number, known: number) => number): string {
  const [main, ...others] = picture.views;
  const alone = others[0] ? Number(others[0].characters.replace('−', '-')) : 0;
  const known = others.length > 0 ? 0 : card(picture.note);
  const decimals = main.characters.split('.')[1]?.length ?? 0;
  const away = picture.awayBy / 10 ** decimals;
  return `${(Number(main.characters.replace('−', '-')) + away - taken(alone, known) + 0).toFixed(decimals)} ${picture.unitMark}`;
}

const onDisplay: DisplayHabit = (reader) => shown(reader, (alone, known) => alone + known);

const DISPLAY_HABITS: Record<string, DisplayHabit> = {
  unsettled: onDisplay,
  'zero-ignored': (reader) => shown(reader, (alone) => (reader.picture.measures === 'mass' ? alone : 0)),
  'zero-sign': (reader) =>
    shown(reader, (alone, known) => (reader.picture.measures === 'mass' ? alone - known : -alone)),
  'not-zeroed': (reader) => shown(reader, () => 0),
  'container-included': (reader) => shown(reader, () => 0),
  ...Object.fromEntries(
    Object.entries(ON_PAPER).map(([id, spoil]): [string, DisplayHabit] => [
      id,
      (reader) =>
        spoil(onDisplay(reader))
          .replace(/ g$/, ` ${id === 'unit-wrong' ? 'g' : reader.picture.unitMark}`)
          .replace(/ mL$/, reader.picture.unitMark === 'mm' ? ' g' : ' mL'),
    ]),
  ),
};

const laden = (task: ReadingTask): ReadingTask =>
  asOperated(task, { eyeHeight: 0, done: task.situation.loose ? LADEN : [], at: 60_000 });
const settled = (task: ReadingTask): ReadingTask =>
  task.situation.loose
    ? asOperated(task, {
        eyeHeight: 0,
        done: ['switch-on', 'tare', 'put-vessel', 'shield', 'centre', 'dry', 'clean', 'tare', 'put-thing'].map(
          (kind, at) => ({ kind, at: 10 * at, to: null }) as Done,
        ),
        at: 60_000,
      })
    : asOperated(task, { eyeHeight: 0, at: 60_000 });

const DISPLAYS = [
  'caliper-digital',
  'digital-balance-gram',
  'digital-balance-tenth',
  'digital-balance-hundredth',
  'digital-balance-milligram',
];

describe('a simulated student with one slip at a display', () => {
  it.each(DISPLAYS.flatMap((tool) => slipsOn(tool).map((slip) => [tool, slip] as const)))(
    '%s, %s: named first in at least 95 in 100 of 200 items',
    (tool, slip) => {
      const random = seededRandom(70_000 + slip.length);
      const habit = DISPLAY_HABITS[slip];
      expect(habit, `nobody here has the habit ${slip}`).toBeDefined();
      const items = Array.from({ length: 200 }, (_, seed) => drawTask(tool, { seed, aim: [slip] })).map((task) =>
        slip === 'unsettled' ? task : laden(task),
      );
      expect(
        items.filter(
          (task) => diagnose(task, habit!({ picture: displayOf(task), random })).slips[0]?.ids.join() === slip,
        ).length,
      ).toBeGreaterThanOrEqual(190);
    },
  );
});

describe('a careful reader', () => {
  it.each(BEAMS)('%s: is judged sound in at least 99 in 100 of 1000 items', (tool) => {
    const random = seededRandom(11);
    const sound = Array.from({ length: 1000 }, (_, seed) => balanced(drawTask(tool, { seed }), true)).filter(
      (task) => diagnose(task, onBeams({ picture: beamsOf(task), random })).verdict === 'sound',
    );
    expect(sound.length).toBeGreaterThanOrEqual(990);
  });

  it.each(DISPLAYS)('%s: is judged sound in all of 1000 items', (tool) => {
    const random = seededRandom(11);
    const tasks = Array.from({ length: 1000 }, (_, seed) => settled(drawTask(tool, { seed })));
    expect(
      tasks.filter((task) => diagnose(task, onDisplay({ picture: displayOf(task), random })).verdict !== 'sound'),
    ).toEqual([]);
  });
});
