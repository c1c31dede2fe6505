import type { CaliperPicture } from '@green-beam/core';

/** A window on the scales: pixels per millimetre, and the millimetre of the main scale at its left edge. */
export interface View {
  readonly scale: number;
  readonly fromX: number;
  readonly width: number;
}

/** How far the eye can be dragged to either side, in mm, and how far from the scales it is drawn, in pixels. */
export const EYE_RANGE = 90;
export const EYE_RUN = 190;

/** Room beside the vernier in the middle view, in mm: enough that two numbers of the main scale are seen. */
const BESIDE = 9;
/** What the reading glass shows, in main divisions. */
const UNDER_GLASS = 7.6;

export function vernierLength({ vernierMarks }: CaliperPicture): number {
  return vernierMarks.at(-1)?.x ?? 0;
}

/** The whole vernier with the marks beside it, its zero at a position of the main scale. */
export function middleView(picture: CaliperPicture, position: number, width: number): View {
  const shown = Math.max(28, vernierLength(picture) + 2 * BESIDE);
  return { scale: width / shown, fromX: position + vernierLength(picture) / 2 - shown / 2, width };
}

/** What lies under the glass when it is held over a place of the vernier, in mm from the vernier's zero. */
export function glassView(position: number, over: number, width: number): View {
  return { scale: width / UNDER_GLASS, fromX: position + over - UNDER_GLASS / 2, width };
}

export function at(view: View, x: number): number {
  return (x - view.fromX) * view.scale;
}

/** The line of the vernier that lies on a main mark, or nearest to one, when its zero stands at a position. */
export function coincidingLine({ marks, vernierMarks }: CaliperPicture, position: number): number {
  const spacing = (marks[1]?.x ?? 1) - (marks[0]?.x ?? 0);
  const off = (line: number): number => {
    const on = (position + (vernierMarks[line]?.x ?? 0)) / spacing;
    return Math.abs(on - Math.round(on));
  };
  return vernierMarks.slice(0, -1).reduce((best, _, line) => (off(line) < off(best) ? line : best), 0);
}
