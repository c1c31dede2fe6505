import { describe, it } from 'vitest';
import { bare, onPaper } from '../../../test/readers/on-paper.ts';
import { proveReaders, seenAs, type Habits, type Reader } from '../../../test/readers/prove-readers.ts';
import { decimalsFor, SCATTER, stepFor } from '../../../test/readers/upright-reader.ts';
import { expectSound } from '../../../test/prove.ts';
import { seededRandom } from '../../simulation/random.ts';
import { asOperated, startingEye } from '../bench.ts';
import { drawTask } from '../drawing/draw-task.ts';
import { diagnose } from '../judging/diagnose.ts';
import type { ReadingTask } from '../reading-task.ts';
import type { RulerPicture } from './ruler-picture.ts';

/** A reader of rulers: where the lines stand, what is printed on them, and where the thing ends. */
type RulerReader = Reader<RulerPicture>;

interface Counted {
  readonly zeroX: number;
  readonly division: number;
  readonly spacing: number;
  readonly label: number;
}

function counted({ picture }: RulerReader): Counted {
  const labels = picture.marks.flatMap(({ x, label }) => (label === null ? [] : [{ x, number: Number(label) }]));
  const [first, second] = [labels[0]!, labels[1]!];
  const spaces = picture.marks.filter(({ x }) => x > first.x + 1e-6 && x <= second.x + 1e-6).length;
  return {
    zeroX: first.x,
    division: (second.number - first.number) / spaces,
    spacing: (second.x - first.x) / spaces,
    label: second.number - first.number,
  };
}

/** Sixteenths are written as decimals to a hundredth, everything else by tenths or fifths of a division. */
function step(division: number): number {
  return division < 0.1 ? 0.01 : stepFor(division);
}

function numberAt(reader: RulerReader, x: number): number {
  const { zeroX, spacing, division } = counted(reader);
  return ((x - zeroX) / spacing + SCATTER * reader.random.normal()) * division;
}

function rounded(reader: RulerReader, number: number): number {
  const size = step(counted(reader).division);
  return Math.round(number / size) * size;
}

function written(reader: RulerReader, number: number): string {
  return `${(rounded(reader, number) + 0).toFixed(decimalsFor(step(counted(reader).division)))} ${reader.picture.unitMark}`;
}

/** Where the thing begins is always at a label, and is read there. */
function beginning(reader: RulerReader): number {
  const { zeroX, spacing, division } = counted(reader);
  return Math.round((reader.picture.thing.fromX - zeroX) / spacing) * division;
}

function length(reader: RulerReader, x: number, change: (number: number) => number = (number) => number): string {
  return written(reader, change(numberAt(reader, x)) - beginning(reader));
}

const far = ({ picture }: RulerReader): number => picture.thing.toX;
const careful = (reader: RulerReader): string => length(reader, far(reader));
const passed = (reader: RulerReader, number: number): number =>
  Math.floor(number / counted(reader).label + 1e-9) * counted(reader).label;

const HABITS: Habits<RulerPicture> = {
  'eye-aside': (reader) =>
    length(reader, far(reader) + (reader.picture.eye.height * reader.picture.eye.gap) / reader.picture.eye.distance),
  'rounded-up': (reader) => length(reader, far(reader), (number) => number + counted(reader).division),
  'label-above': (reader) =>
    length(reader, far(reader), (number) => 2 * passed(reader, number) + counted(reader).label - number),
  'marks-counted': (reader) =>
    length(reader, far(reader), (number) => {
      const { label, division } = counted(reader);
      const spaces = Math.round(label / division);
      return passed(reader, number) + ((number - passed(reader, number)) * spaces) / (spaces + 1);
    }),
  'division-miscounted': (reader) => {
    const { division } = counted(reader);
    const number = numberAt(reader, far(reader));
    const taken = division < 1 ? 0.1 : 1;
    const value = passed(reader, number) + ((number - passed(reader, number)) / division) * taken - beginning(reader);
    return `${(Math.round(value / stepFor(taken)) * stepFor(taken)).toFixed(decimalsFor(stepFor(taken)))} ${reader.picture.unitMark}`;
  },
  'sixteenths-as-tenths': (reader) => {
    const number = numberAt(reader, far(reader));
    const inches = passed(reader, number);
    const sixteenths = Math.round((number - inches) * 16);
    return `${(inches + sixteenths / (sixteenths < 10 ? 10 : 100) - beginning(reader)).toFixed(2)} in`;
  },
  'end-not-zero': (reader) => {
    if (beginning(reader) > 0) return written(reader, numberAt(reader, far(reader)));
    const { zeroX, spacing, division } = counted(reader);
    return written(
      reader,
      numberAt(reader, far(reader)) + (zeroX / spacing) * division * (reader.random.uniform() < 0.5 ? 1 : -1),
    );
  },
  ...onPaper(careful),
  'dropped-digit': (reader) => {
    const { division } = counted(reader);
    const { digits, unit } = bare(careful(reader));
    const decimals = decimalsFor(step(division));
    // On sixteenths, fives and tens who does not estimate writes the last mark; elsewhere the last digit is left off.
    const addsNoPlace = division < 0.1 || Math.round(division * 10) % 10 === 5 || division >= 10;
    return addsNoPlace
      ? `${(Math.floor(Number(digits) / division + 1e-9) * division).toFixed(decimals)} ${unit}`
      : `${digits.slice(0, -1).replace(/\.$/, '')} ${unit}`;
  },
  'trailing-zero-dropped': (reader) => {
    const { division } = counted(reader);
    const mark = Math.round(numberAt(reader, far(reader)) / division) * division - beginning(reader);
    return `${mark.toFixed(decimalsFor(step(division)) - 1)} ${reader.picture.unitMark}`;
  },
};

/** A thing that lies loose is laid at the zero mark, as far from the ruler’s end as that stands. */
function laid(task: ReadingTask, slip: string | null): ReadingTask {
  const zero = seenAs<RulerPicture>(task, 'ruler').marks.find(({ label }) => label === '0')!.x;
  return asOperated(task, {
    eyeHeight: slip === 'eye-aside' ? startingEye(task) : 0,
    done: [{ kind: 'lay', at: 0, to: zero }],
  });
}

proveReaders<RulerPicture>({
  family: 'rulers',
  kind: 'ruler',
  habits: HABITS,
  careful,
  handled: laid,
  seed: 3,
});

describe('a careful reader of inches', () => {
  it('who writes a fraction is judged sound in at least 99 in 100', () => {
    const random = seededRandom(8);
    const fraction = (task: ReadingTask): string => {
      const reader = { picture: seenAs<RulerPicture>(task, 'ruler'), random };
      const sixteenths = Math.round((numberAt(reader, far(reader)) - beginning(reader)) * 16);
      return `${Math.floor(sixteenths / 16)} ${sixteenths % 16}/16 in`;
    };
    const items = Array.from({ length: 1000 }, (_, seed) => laid(drawTask('ruler-inch', { seed }), null));
    expectSound({ items, enters: fraction, diagnosed: diagnose });
  });
});
