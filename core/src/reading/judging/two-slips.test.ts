import { describe, expect, it } from 'vitest';
import { fieldsOf } from '../../../test/fields-of.ts';
import { seenAs } from '../../../test/readers/prove-readers.ts';
import {
  apparent,
  edge,
  labelsAround,
  lowestPoint,
  numberAt,
  written,
  type UprightReader,
} from '../../../test/readers/upright-reader.ts';
import { seededRandom } from '../../simulation/random.ts';
import { asOperated, startingEye } from '../bench.ts';
import type { LiquidColumnPicture } from '../column/column-picture.ts';
import { drawTask } from '../drawing/draw-task.ts';
import { diagnose } from './diagnose.ts';

/** Counting down from the next label. */
function fromNextLabel(reader: UprightReader): number {
  const number = numberAt(reader, lowestPoint(reader));
  const { passed, next } = labelsAround(reader, number);
  return passed + next - number;
}

describe('two slips together', () => {
  it.each([
    [
      'cylinder-50',
      'eye-high',
      'meniscus-edge',
      (reader: UprightReader) =>
        written(reader, numberAt(reader, apparent(reader) - (lowestPoint(reader) - edge(reader)))),
    ],
    [
      'cylinder-50',
      'meniscus-edge',
      'dropped-digit',
      (reader: UprightReader) => `${Math.floor(Number.parseFloat(written(reader, numberAt(reader, edge(reader)))))} mL`,
    ],
    [
      'cylinder-50',
      'label-above',
      'unit-missing',
      (reader: UprightReader) => written(reader, fromNextLabel(reader)).replace(' mL', ''),
    ],
    [
      'burette-50',
      'upside-down',
      'unit-missing',
      (reader: UprightReader) =>
        written(
          reader,
          (() => {
            const number = numberAt(reader, lowestPoint(reader));
            const { next } = labelsAround(reader, number);
            return 2 * next - number;
          })(),
        ).replace(' mL', ''),
    ],
  ] as const)('%s: %s with %s is found', (tool, first, second, habit) => {
    const random = seededRandom(11);
    // Before a far scale an eye too high and a reading at the wall undo each other.
    const drawn = Array.from({ length: 180 }, (_, seed) => drawTask(tool, { seed, aim: [first, second] })).filter(
      (task) => fieldsOf(task).scaleSide !== 'far',
    );
    const items = drawn
      .slice(0, 100)
      .map((task) => asOperated(task, { eyeHeight: first.startsWith('eye-') ? startingEye(task) : 0 }));
    const named = items.filter((task) =>
      diagnose(task, habit({ picture: seenAs<LiquidColumnPicture>(task, 'liquid-column'), random })).slips.some(
        ({ ids }) => ids.includes(first) && ids.includes(second),
      ),
    );
    expect(items).toHaveLength(100);
    expect(named.length).toBeGreaterThanOrEqual(85);
  });
});
