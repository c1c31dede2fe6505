import { asOperated, startingEye, type ReadingTask, type RulerPicture } from '../../src/index.ts';
import { SCATTER, seenAs, type Reader } from './prove-readers.ts';
import { decimalsFor, stepFor } from './upright-reader.ts';

/** A reader of rulers: where the lines stand, what is printed on them, and where the thing ends. */
export type RulerReader = Reader<RulerPicture>;

interface Counted {
  readonly zeroX: number;
  readonly division: number;
  readonly spacing: number;
  readonly label: number;
}

export function counted({ picture }: RulerReader): Counted {
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
export function step(division: number): number {
  return division < 0.1 ? 0.01 : stepFor(division);
}

export function numberAt(reader: RulerReader, x: number): number {
  const { zeroX, spacing, division } = counted(reader);
  return ((x - zeroX) / spacing + SCATTER * reader.random.normal()) * division;
}

function rounded(reader: RulerReader, number: number): number {
  const size = step(counted(reader).division);
  return Math.round(number / size) * size;
}

export function written(reader: RulerReader, number: number): string {
  return `${(rounded(reader, number) + 0).toFixed(decimalsFor(step(counted(reader).division)))} ${reader.picture.unitMark}`;
}

/** Where the thing begins is always at a label, and is read there. */
export function beginning(reader: RulerReader): number {
  const { zeroX, spacing, division } = counted(reader);
  return Math.round((reader.picture.thing.fromX - zeroX) / spacing) * division;
}

export function length(
  reader: RulerReader,
  x: number,
  change: (number: number) => number = (number) => number,
): string {
  return written(reader, change(numberAt(reader, x)) - beginning(reader));
}

export const far = ({ picture }: RulerReader): number => picture.thing.toX;
export const careful = (reader: RulerReader): string => length(reader, far(reader));
export const passed = (reader: RulerReader, number: number): number =>
  Math.floor(number / counted(reader).label + 1e-9) * counted(reader).label;

/** A thing that lies loose is laid at the zero mark, as far from the ruler’s end as that stands. */
export function laid(task: ReadingTask, slip: string | null): ReadingTask {
  const zero = seenAs<RulerPicture>(task, 'ruler').marks.find(({ label }) => label === '0')!.x;
  return asOperated(task, {
    eyeHeight: slip === 'eye-aside' ? startingEye(task) : 0,
    done: [{ kind: 'lay', at: 0, to: zero }],
  });
}
