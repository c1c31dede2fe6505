import type { LiquidColumnPicture, RulerPicture } from './picture.ts';

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];

function ordinal(n: number): string {
  return ORDINALS[n - 1] ?? `${n}th`;
}

/** A line as it is met on the way from the lower (or left) end of the scale. */
interface Line {
  readonly at: number;
  readonly label: string | null;
}

interface Words {
  readonly subject: string;
  /** The way from the lower end on: “above”, “to the right of”. */
  readonly on: string;
  readonly before: string;
  readonly lower: string;
  readonly upper: string;
}

const UPRIGHT: Words = {
  subject: 'The surface lies',
  on: 'above',
  before: 'below',
  lower: 'the lower one',
  upper: 'the upper one',
};
const ACROSS: Words = {
  subject: 'It lies',
  on: 'to the right of',
  before: 'to the left of',
  lower: 'the left one',
  upper: 'the right one',
};

function nearness(part: number, { lower, upper, on, before }: Words): string {
  if (part < 0.2) return `just ${on} ${lower}`;
  if (part < 0.45) return `nearer ${lower}`;
  if (part <= 0.55) return 'midway';
  return part <= 0.8 ? `nearer ${upper}` : `just ${before} ${upper}`;
}

/** Names a line by the nearest label before it or, before the first label, by the one after it. */
function nameOf(lines: readonly Line[], index: number, words: Words): string {
  const line = lines[index];
  if (line?.label !== null && line?.label !== undefined) return `the line labelled ${line.label}`;
  const before = lines.slice(0, index).findLastIndex((one) => one.label !== null);
  if (before >= 0) return `the ${ordinal(index - before)} line ${words.on} ${lines[before]?.label ?? ''}`;
  const after = lines.findIndex((one, i) => i > index && one.label !== null);
  return after < 0
    ? `the ${ordinal(index + 1)} line`
    : `the ${ordinal(after - index)} line ${words.before} ${lines[after]?.label ?? ''}`;
}

function among(
  lines: readonly Line[],
  at: number,
  words: Words,
  ends: { readonly before: string; readonly beyond: string },
): string {
  const next = lines.findIndex((line) => line.at > at + 1e-6);
  const [below, over] = [lines[next - 1], lines[next]];
  if (!below || !over) return next === 0 ? ends.before : ends.beyond;
  const part = (at - below.at) / (over.at - below.at);
  if (part < 0.06) return `${words.subject} on ${nameOf(lines, next - 1, words)}.`;
  if (part > 0.94) return `${words.subject} on ${nameOf(lines, next, words)}.`;
  return `${words.subject} between ${nameOf(lines, next - 1, words)} and ${nameOf(lines, next, words)}, ${nearness(part, words)}.`;
}

/**
 * A description in words that a reading can be taken from, made from the picture alone: where the middle of the surface stands among
 * the lines, as seen from the eye's present height.
 * @param apparentY height of the reading mark against the scale, in drawing units.
 */
export function describeColumn(picture: LiquidColumnPicture, apparentY: number): string {
  const lines = picture.marks.map(({ y, label }): Line => ({ at: -y, label })).sort((a, b) => a.at - b.at);
  const words = picture.vessel === 'thermometer' ? { ...UPRIGHT, subject: 'The end of the thread lies' } : UPRIGHT;
  if (lines.length === 1) {
    const above = -apparentY - (lines[0]?.at ?? 0);
    return `${words.subject} ${Math.abs(above) < 0.3 ? 'on the ring' : above > 0 ? 'above the ring' : 'below the ring'}.`;
  }
  return among(lines, -apparentY, words, {
    before: `${words.subject} below the lowest line.`,
    beyond: `${words.subject} at or above the uppermost line.`,
  });
}

/** As `describeColumn`, for one end of a thing at a ruler. @param x where it seems to lie, in mm to the right of the ruler's physical end. */
export function describeEnd({ marks, thing }: RulerPicture, which: 'left' | 'right', x: number): string {
  const lines = marks.map(({ x: at, label }): Line => ({ at, label })).sort((a, b) => a.at - b.at);
  const before =
    Math.abs(x) < 0.05
      ? `The ${which} end lies at the ruler’s own end, before the zero line.`
      : `The ${which} end lies before the zero line.`;
  return among(
    lines,
    x,
    { ...ACROSS, subject: `The ${which} end of the ${thing.name} lies` },
    { before, beyond: `The ${which} end lies beyond the last line.` },
  );
}

/** Both ends of a thing at a ruler. @param shift by how much the thing, as it lies and is seen, seems further right than in the picture. */
export function describeRuler(picture: RulerPicture, shift: number): string {
  return `${describeEnd(picture, 'left', picture.thing.fromX + shift)} ${describeEnd(picture, 'right', picture.thing.toX + shift)}`;
}
