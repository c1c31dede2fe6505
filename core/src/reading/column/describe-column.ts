import { among, type Line, type Words } from '../words/lines.ts';
import type { LiquidColumnPicture } from './column-picture.ts';

const UPRIGHT: Words = {
  subject: 'The surface lies',
  on: 'above',
  before: 'below',
  lower: 'the lower one',
  upper: 'the upper one',
};

/**
 * A description in words that a reading can be taken from, made from the picture alone: where the middle of the surface stands among
 * the lines, as seen from the eye's present height.
 * @param apparentY height of the reading mark against the scale, in drawing units.
 * @param subject what stands there, with its verb.
 */
export function describeColumn(
  { marks }: LiquidColumnPicture,
  apparentY: number,
  subject: string = UPRIGHT.subject,
): string {
  const lines = marks.map(({ y, label }): Line => ({ at: -y, label })).sort((a, b) => a.at - b.at);
  return among(
    lines,
    -apparentY,
    { ...UPRIGHT, subject },
    { before: `${subject} below the lowest line.`, beyond: `${subject} at or above the uppermost line.` },
  );
}
