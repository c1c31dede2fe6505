import type { MicrometerPicture } from '../../src/index.ts';
import type { Habit, Reader } from './prove-readers.ts';
import { turnedAt, written } from './slide-reader.ts';

/** By the rule of tenths, or by the sleeve's vernier, a micrometer is written to a thousandth. */
const LAST_DIGIT = 0.001;

export function faceError({ picture }: Reader<MicrometerPicture>): number {
  return picture.closedX ?? 0;
}

export function turned(
  reader: Reader<MicrometerPicture>,
  value: (halves: number, divisions: number) => number,
): string {
  const { halves, divisions } = turnedAt(reader.picture, reader.picture.openX, reader.random);
  return written(value(halves, divisions) - faceError(reader), LAST_DIGIT);
}

export const careful: Habit<MicrometerPicture> = (reader) =>
  turned(reader, (halves, divisions) => halves / 2 + divisions / 100);
