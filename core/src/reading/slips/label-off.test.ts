import { describe, expect, it } from 'vitest';
import * as caliper from '../../../test/readers/caliper-reader.ts';
import * as micrometer from '../../../test/readers/micrometer-reader.ts';
import { proveSlip, type Reader } from '../../../test/readers/prove-readers.ts';
import * as ruler from '../../../test/readers/ruler-reader.ts';
import { eyeBrought, lowered, reading } from '../../../test/readers/upright-habits.ts';
import { labelled, lowestPoint } from '../../../test/readers/upright-reader.ts';
import type { CaliperPicture } from '../calipers/caliper-picture.ts';
import type { LiquidColumnPicture } from '../column/column-picture.ts';
import { predictedEntries } from '../drawing/predictions.ts';
import type { MicrometerPicture } from '../micrometers/micrometer-picture.ts';
import { readingTask } from '../reading-task.ts';
import type { RulerPicture } from '../rulers/ruler-picture.ts';
import type { Situation } from '../situation.ts';
import { slipById } from '../slips.ts';

const SLIP = 'label-off';

describe('a label off', () => {
  it.each<[tool: string, situation: Situation, entries: string[]]>([
    ['ruler-millimetre', { value: 84.6 }, ['74.6', '94.6']],
    ['cylinder-100', { value: 52.7 }, ['42.7', '62.7']],
    ['cylinder-100', { value: 4.6 }, ['14.6']],
    ['cylinder-100', { value: 95.3 }, ['85.3']],
    ['burette-50', { value: 14.28 }, ['13.28', '15.28']],
    ['thermometer-degree', { value: -3.4 }, ['6.6']],
    ['hydrometer-1000', { value: 1.0235 }, ['1.0135', '1.0335']],
    ['caliper-tenth', { value: 24.6 }, ['14.6', '34.6']],
    ['micrometer-hundredth', { value: 7.734 }, ['2.734', '12.734']],
    // Every mark has its label: the next label is the next mark.
    ['ruler-decimetre', { value: 34 }, []],
    // On a beam balance it is the sliding rider’s next number.
    ['beam-balance-tenth', { value: 75.44 }, []],
    ['digital-balance-hundredth', { value: 18.46 }, []],
  ])('on %s with %j gives %j', (tool, situation, entries) => {
    const task = readingTask(tool, situation);
    const predicted = predictedEntries(task, slipById(SLIP)).map(Number.parseFloat);
    expect(predicted.sort((a, b) => a - b)).toEqual(entries.map(Number));
  });
});

/** The number moved by one label, either way, but not beyond the labels that are printed. */
function moved({ random }: Pick<Reader<RulerPicture>, 'random'>, labels: readonly number[], number: number): number {
  const [first = 0, second = 0] = labels;
  const label = second - first;
  const ways = [number - label, number + label].filter((way) => way >= first && way <= (labels.at(-1) ?? 0));
  return ways[Math.floor(random.uniform() * ways.length)] ?? number;
}

function printed(marks: readonly { readonly label: string | null }[]): number[] {
  return marks.flatMap(({ label }) => (label === null ? [] : [Number(label)])).sort((a, b) => a - b);
}

const upright = (reader: Reader<LiquidColumnPicture>): string =>
  reading(reader, lowestPoint(reader), (number) =>
    moved(
      reader,
      labelled(reader.picture.marks).map((one) => one.number),
      number,
    ),
  );

for (const family of ['graduated-glass', 'burettes', 'hydrometers'] as const)
  proveSlip<LiquidColumnPicture>(SLIP, { family, kind: 'liquid-column', handled: eyeBrought, seed: 12 }, upright);
proveSlip<LiquidColumnPicture>(
  SLIP,
  { family: 'thermometers', kind: 'liquid-column', handled: lowered, seed: 12 },
  upright,
);
proveSlip<RulerPicture>(SLIP, { family: 'rulers', kind: 'ruler', handled: ruler.laid, seed: 13 }, (reader) =>
  ruler.length(reader, ruler.far(reader), (number) => moved(reader, printed(reader.picture.marks), number)),
);
// A caliper’s main scale is numbered in centimetres.
proveSlip<CaliperPicture>(
  SLIP,
  { family: 'calipers', kind: 'caliper', handled: caliper.eyeOver, seed: 14 },
  (reader) => {
    const labels = printed(reader.picture.marks).map((centimetres) => 10 * centimetres);
    // Both ways of an oval thing are read from the same label.
    const by = moved(reader, labels, caliper.observedOn(reader)) - caliper.observedOn(reader);
    return caliper.read(reader, (seen) => caliper.observed(seen) + by);
  },
);
proveSlip<MicrometerPicture>(
  SLIP,
  { family: 'micrometers', kind: 'micrometer', handled: (task) => task, seed: 15 },
  (reader) =>
    micrometer.turned(reader, (halves, divisions) =>
      moved(reader, printed(reader.picture.marks), halves / 2 + divisions / 100),
    ),
);
