import type { LiquidColumnPicture } from './picture.ts';

const ORDINALS = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth'];

function ordinal(n: number): string {
  return ORDINALS[n - 1] ?? `${n}th`;
}

function nearness(part: number): string {
  if (part < 0.06 || part > 0.94) return '';
  if (part < 0.2) return 'just above the lower one';
  if (part < 0.45) return 'nearer the lower one';
  if (part <= 0.55) return 'midway';
  return part <= 0.8 ? 'nearer the upper one' : 'just below the upper one';
}

/**
 * A description in words that a reading can be taken from, made from the picture alone: where the middle of the surface stands among
 * the lines, as seen from the eye's present height.
 * @param apparentY height of the reading mark against the scale, in drawing units.
 */
export function describeColumn(picture: LiquidColumnPicture, apparentY: number): string {
  const above = [...picture.marks].sort((a, b) => b.y - a.y);
  const next = above.findIndex((mark) => mark.y < apparentY - 1e-6);
  const [below, over] = [above[next - 1], above[next]];
  if (!below || !over) return next === 0 ? 'The surface lies below the lowest line.' : 'The surface lies at or above the uppermost line.';
  const labelIndex = above.slice(0, next).findLastIndex((mark) => mark.label !== null);
  const label = above[labelIndex]?.label ?? '';
  const line = next - 1 - labelIndex;
  const part = (below.y - apparentY) / (below.y - over.y);
  const name = (index: number): string => (index === 0 ? `the line labelled ${label}` : `the ${ordinal(index)} line above ${label}`);
  if (part < 0.06) return `The surface lies on ${name(line)}.`;
  const upper = over.label === null ? name(line + 1) : `the line labelled ${over.label}`;
  if (part > 0.94) return `The surface lies on ${upper}.`;
  return `The surface lies between ${name(line)} and ${upper}, ${nearness(part)}.`;
}
