import { describe, it } from 'vitest';
import { bare, onPaper } from '../../../test/readers/on-paper.ts';
import { proveReaders, seenAs, type Habits } from '../../../test/readers/prove-readers.ts';
import {
  beginning,
  careful,
  counted,
  far,
  laid,
  length,
  numberAt,
  passed,
  step,
  written,
} from '../../../test/readers/ruler-reader.ts';
import { decimalsFor, stepFor } from '../../../test/readers/upright-reader.ts';
import { expectSound } from '../../../test/prove.ts';
import { seededRandom } from '../../simulation/random.ts';
import { drawTask } from '../drawing/draw-task.ts';
import { diagnose } from '../judging/diagnose.ts';
import type { ReadingTask } from '../reading-task.ts';
import type { RulerPicture } from './ruler-picture.ts';

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
