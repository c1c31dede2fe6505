import { describe, expect, it } from 'vitest';
import { asOperated, diagnose, drawTask, seededRandom } from '../../src/index.ts';
import { proveReaders } from './prove-readers.ts';
import {
  apparent,
  columnOf,
  edge,
  labelsAround,
  lowestPoint,
  numberAt,
  written,
  type UprightReader,
} from './upright-reader.ts';

proveReaders(['cylinder-10', 'cylinder-25', 'cylinder-50', 'cylinder-100', 'cylinder-250', 'cylinder-500']);

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
    const drawn = Array.from({ length: 140 }, (_, seed) => drawTask(tool, { seed, aim: [first, second] })).filter(
      (task) => task.situation.scaleSide !== 'far',
    );
    const items = drawn
      .slice(0, 100)
      .map((task) => asOperated(task, { eyeHeight: first.startsWith('eye-') ? task.situation.eyeHeight! : 0 }));
    const named = items.filter((task) =>
      diagnose(task, habit({ picture: columnOf(task), random })).slips.some(
        ({ ids }) => ids.includes(first) && ids.includes(second),
      ),
    );
    expect(items).toHaveLength(100);
    expect(named.length).toBeGreaterThanOrEqual(85);
  });
});
