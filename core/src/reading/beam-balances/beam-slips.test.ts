import { describe, expect, it } from 'vitest';
import { fieldsOf } from '../../../test/fields-of.ts';
import { exchangedLate, onPaper } from '../../../test/readers/on-paper.ts';
import { proveReaders, type Habit, type Habits, type Reader } from '../../../test/readers/prove-readers.ts';
import { differenceHabits } from '../../../test/readers/subtraction.ts';
import { card, LADEN, ridersSeen, sumOf, type Ridden } from '../../../test/readers/weighing-reader.ts';
import { instrumentById } from '../../instruments/catalogue.ts';
import type { BeamBalance } from '../../instruments/instrument.ts';
import { ridersFor } from '../../scales/rider-beam.ts';
import type { Action } from '../actions.ts';
import { asOperated } from '../bench.ts';
import { slipsOn } from '../drawing/draw-task.ts';
import { diagnose } from '../judging/diagnose.ts';
import { readingTask, type ReadingTask } from '../reading-task.ts';
import { riderPlace, type BeamPicture } from './beam-picture.ts';

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

/** What is read with the thing in the vessel, and of the vessel alone. */
function bothWeighings({ picture, random }: Reader<BeamPicture>): { final: string; initial: string; unit: string } {
  const [main, alone] = picture.views.map(({ riderX }) =>
    sumOf(ridersSeen(picture, riderX, random)).toFixed(decimalsOn(picture)),
  );
  return { final: main ?? '', initial: alone ?? '0', unit: 'g' };
}

const careful: Habit<BeamPicture> = (reader) => ridden(reader, sumOf);

const HABITS: Habits<BeamPicture> = {
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
  'notch-off': (reader) =>
    ridden(reader, (seen) => {
      const beams = reader.picture.beams.slice(0, -1);
      const ways = seen.notched.flatMap(({ number, size }, i) =>
        [number - size, number + size]
          .filter((other) => beams[i]!.marks.some(({ label }) => Number(label) === other))
          .map((other) => other - number),
      );
      return sumOf(seen) + ways[reader.random.below(ways.length)]!;
    }),
  'not-seated': careful,
  'not-balanced': careful,
  'zero-ignored': (reader) => ridden(reader, sumOf, (alone) => alone),
  'zero-sign': (reader) => ridden(reader, sumOf, (alone, known) => alone - known),
  'not-zeroed': (reader) => ridden(reader, sumOf, () => 0),
  'container-included': (reader) => ridden(reader, sumOf, () => 0),
  ...differenceHabits<BeamPicture>('container-alone', bothWeighings),
  ...onPaper(careful),
  // On beams a late exchange cannot be two riders taken for each other.
  transposed: (reader) => exchangedLate(careful(reader)),
};

/** Who takes care brings the riders to where they hold the load, each in its notch, before reading. */
function balanced(task: ReadingTask, zeroed = false): ReadingTask {
  const { beams } = instrumentById(task.instrumentId) as BeamBalance;
  const { value, container = 0, empty = 0, zeroError = 0 } = fieldsOf(task);
  const screw = zeroed && fieldsOf(task).loose ? -empty : 0;
  const done = ridersFor(beams, value + container + empty + screw + zeroError).map((grams, i): Action => ({
    kind: `rider-${i + 1}` as Action['kind'],
    at: 1000 * i,
    to: riderPlace(beams[i]!, grams),
  }));
  return asOperated(task, {
    eyeHeight: 0,
    done: [
      ...(fieldsOf(task).loose ? LADEN : []),
      ...(screw === 0 ? [] : [{ kind: 'screw', at: 5, to: screw } as const]),
      ...done,
    ],
    at: 60_000,
  });
}

const BEAMS = ['beam-balance-tenth', 'beam-balance-hundredth'];
const TROUBLED = ['not-seated', 'not-balanced'];

/** Who takes care zeroes first; who leaves something in does not, and who reads too early leaves the riders. */
function handled(task: ReadingTask, slip: string | null): ReadingTask {
  if (slip !== null && TROUBLED.includes(slip)) return asOperated(task, { eyeHeight: 0 });
  return balanced(task, slip === null);
}

proveReaders<BeamPicture>({ family: 'beam-balances', kind: 'beams', habits: HABITS, careful, handled, seed: 6 });

describe('a beam balance', () => {
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
