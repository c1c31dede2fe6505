/** A mark with a name, as it lies on a chart; in pixels. */
export interface NamedMark {
  readonly name: string;
  /** From where to where it reaches to the sides, with its bar. */
  readonly from: number;
  readonly to: number;
  readonly y: number;
}

/** Where a name stands. */
export interface NameBeside {
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'end';
}

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

/** Of letters of 14 px: about so wide each, and so high; so far a name stands off its mark. */
const LETTER = 7.4;
const HIGH = 15;
const OFF = 8;
/** So many lines up or down a name is moved at most. */
const LINES = 4;
const MARK = 8;

const overlap = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

function boxOf({ name }: NamedMark, { x, y, anchor }: NameBeside): Box {
  const width = LETTER * name.length;
  const left = anchor === 'start' ? x : x - width;
  return { left, right: left + width, top: y - HIGH / 2, bottom: y + HIGH / 2 };
}

/** Places for a name, the best first: beside its mark, then line by line up and down, right before left. */
function* placesFor({ from, to, y }: NamedMark): Generator<NameBeside> {
  for (let line = 0; line <= LINES; line += 1)
    for (const way of line === 0 ? [0] : [-1, 1])
      for (const anchor of ['start', 'end'] as const)
        yield { x: anchor === 'start' ? to + OFF : from - OFF, y: y + way * line * HIGH, anchor };
}

/**
 * Where the names of marks stand, so that none covers another, a mark or the edge, as far as there is room.
 * @param bounds of the chart.
 */
export function namesBeside(marks: readonly NamedMark[], bounds: Box): NameBeside[] {
  const taken: Box[] = marks.map(({ from, to, y }) => ({ left: from, right: to, top: y - MARK, bottom: y + MARK }));
  return marks.map((mark) => {
    const fallback: NameBeside = { x: mark.to + OFF, y: mark.y, anchor: 'start' };
    const places = [...placesFor(mark)];
    const found = places.find((place) => {
      const box = boxOf(mark, place);
      const isInside =
        box.left >= bounds.left && box.right <= bounds.right && box.top >= bounds.top && box.bottom <= bounds.bottom;
      return isInside && !taken.some((other) => overlap(box, other));
    });
    const place = found ?? fallback;
    taken.push(boxOf(mark, place));
    return place;
  });
}
