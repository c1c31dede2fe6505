import type { LiquidColumnPicture } from '../../src/index.ts';
import { SCATTER, type Reader } from './prove-readers.ts';

/** A reader of an upright tool: measures positions with a ruler, takes the division from the printed numerals, and estimates with a scatter. */
export type UprightReader = Reader<LiquidColumnPicture>;

interface Numbered {
  readonly y: number;
  readonly number: number;
}

/** The numbered lines, smallest number first. */
export function labelled(marks: LiquidColumnPicture['marks']): Numbered[] {
  return marks
    .flatMap(({ y, label }) => (label === null ? [] : [{ y, number: Number(label) }]))
    .sort((a, b) => a.number - b.number);
}

/** What counting the lines of one picture gives; done once for each. */
interface Counted {
  readonly division: number;
  /** Every line with its number, smallest first. */
  readonly lines: readonly Numbered[];
}

const COUNTED = new WeakMap<LiquidColumnPicture, Counted>();

function counted(picture: LiquidColumnPicture): Counted {
  const known = COUNTED.get(picture) ?? count(picture);
  COUNTED.set(picture, known);
  return known;
}

/** The division is the difference of two labels over the spaces between them; every other line is counted from a label. */
function count({ marks }: LiquidColumnPicture): Counted {
  const [first, second] = labelled(marks);
  const upward = second!.y < first!.y;
  const ordered = [...marks].sort((a, b) => (upward ? b.y - a.y : a.y - b.y));
  const place = ({ y }: Numbered): number => ordered.findIndex((mark) => mark.y === y);
  const start = place(first!);
  const division = Number(((second!.number - first!.number) / (place(second!) - start)).toPrecision(6));
  return { division, lines: ordered.map(({ y }, i) => ({ y, number: first!.number + (i - start) * division })) };
}

/** Division in the printed unit. */
export function division({ picture }: Pick<UprightReader, 'picture'>): number {
  return counted(picture).division;
}

/** The number that stands at a height, as far as it can be judged: the part of a space is estimated with scatter. */
export function numberAt(reader: UprightReader, y: number): number {
  const { lines } = counted(reader.picture);
  const upward = lines[1]!.y < lines[0]!.y;
  const after = lines.findIndex((line) => (upward ? line.y < y : line.y > y));
  const i = after < 0 ? lines.length - 2 : Math.max(0, after - 1);
  const [low, high] = [lines[i]!, lines[i + 1]!];
  const part = (y - low.y) / (high.y - low.y);
  return low.number + (part + SCATTER * reader.random.normal()) * division(reader);
}

export function lowestPoint({ picture }: UprightReader): number {
  return picture.surfaceY;
}

/** Where the liquid meets the glass: of a float, the top of the climb on its stem. */
export function edge({ picture }: UprightReader): number {
  const atGlass = picture.vessel === 'hydrometer' ? picture.profile[0]! : picture.profile.at(-1)!;
  return picture.surfaceY - atGlass[1];
}

/** Where the mark appears against the scale from the eye's present height, by similar triangles; a far scale lies as far behind it. */
export function apparent({ picture }: UprightReader): number {
  const { height, gap, distance } = picture.eye;
  const onNear = picture.surfaceY - (height * gap) / distance;
  return picture.scaleSide === 'near' ? onNear : onNear + (2 * height * gap) / distance;
}

/** What is written by the rule of tenths is a multiple of this: a tenth of the power of ten, a fifth of a division by fives. */
export function stepFor(size: number): number {
  const power = 10 ** Math.floor(Math.log10(size) + 1e-9);
  return Math.round(size / power) === 5 ? power : power / 10;
}

export function decimalsFor(step: number): number {
  return Math.max(0, Math.round(-Math.log10(step)));
}

/** Approximate marks are written to the unit, whatever their size. */
export function step(reader: Pick<UprightReader, 'picture'>): number {
  return /beaker|flask/.test(reader.picture.vessel) ? 1 : stepFor(division(reader));
}

/** A number with as many digits as the tool gives, and its unit. */
export function written(reader: UprightReader, number: number): string {
  const size = step(reader);
  return `${(Math.round(number / size) * size + 0).toFixed(decimalsFor(size))} ${reader.picture.unitMark}`;
}

/** The labels on either side of a number: the one passed on the way from zero, and the next. */
export function labelsAround(reader: UprightReader, number: number): { passed: number; next: number } {
  const [first, second] = labelled(reader.picture.marks);
  const each = second!.number - first!.number;
  const passed = Math.sign(number) * Math.floor(Math.abs(number) / each + 1e-9) * each;
  return { passed, next: passed + (number < 0 ? -each : each) };
}
