import type { CaliperPicture } from './caliper-picture.ts';

/** How far a line is from lying on a mark, in words. */
function lies(off: number, near: number): string {
  if (Math.abs(off) < near) return 'lies on a main mark';
  return off > 0 ? 'lies just to the right of one' : 'lies just to the left of one';
}

/** A line by its number, with the label nearest before it. */
function lineName({ vernierMarks }: CaliperPicture, line: number): string {
  const labelled = vernierMarks.slice(0, line + 1).findLastIndex(({ label }) => label !== null);
  const label = vernierMarks[labelled]?.label ?? '0';
  return line === labelled
    ? `The line numbered ${label} (line ${line})`
    : `The line ${line - labelled} after the number ${label} (line ${line})`;
}

/** Lines on each side of the one that coincides which are told of. */
const TOLD = 2;

/** A caliper as it stands, in words a reading can be made from. @param position where the vernier’s zero seems to be, in mm. */
export function describeCaliperAt(picture: CaliperPicture, position: number): string {
  const { marks, vernierMarks } = picture;
  const spacing = (marks[1]?.x ?? 1) - (marks[0]?.x ?? 0);
  const offs = vernierMarks.slice(0, -1).map(({ x }) => {
    const at = (position + x) / spacing;
    return (at - Math.round(at)) * spacing;
  });
  const nearest = offs.reduce((best, off, line) => (Math.abs(off) < Math.abs(offs[best] ?? Infinity) ? line : best), 0);
  const least = Math.abs(
    (vernierMarks[1]?.x ?? spacing) - Math.round((vernierMarks[1]?.x ?? spacing) / spacing) * spacing,
  );
  // A zero that coincides stands on its mark, also when it is a hair short of it.
  const onMark = nearest === 0;
  const passed = onMark
    ? marks.find(({ x }) => x === Math.round(position / spacing) * spacing)
    : marks.findLast(({ x }) => x <= position);
  const before =
    passed === undefined
      ? 'The vernier’s zero lies before the main zero.'
      : `The vernier’s zero lies ${onMark ? `on the main mark ${passed.x / 10} cm` : `past the main mark ${passed.x / 10} cm and before the next`}.`;
  const told = offs.map((_, line) => line).filter((line) => Math.abs(line - nearest) <= TOLD);
  return `${before} ${told.map((line) => `${lineName(picture, line)} ${lies(offs[line] ?? 0, least / 2)}.`).join(' ')}`;
}

/**
 * A caliper in words a reading can be made from: the main mark passed, and how the lines of the vernier lie about the one that
 * coincides; with the jaws closed as well, where that is to be looked at.
 * @param shift by how much the eye makes the vernier seem to lie further right, in mm.
 */
export function describeCaliper(picture: CaliperPicture, shift: number): string {
  const closed =
    picture.closedX === null ? '' : ` With the jaws closed: ${describeCaliperAt(picture, picture.closedX + shift)}`;
  const turned =
    picture.held.turnedX === null
      ? ''
      : ` Turned by a right angle: ${describeCaliperAt(picture, picture.held.turnedX + shift)}`;
  return `On the ${picture.thing.name}: ${describeCaliperAt(picture, picture.slideX + shift)}${turned}${closed}`;
}
