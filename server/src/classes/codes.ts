import { randomInt } from 'node:crypto';

/** No letters or digits that look alike on a board. */
const LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ';
const DIGITS = '23456789';

function drawn(alphabet: string, length: number): string {
  return Array.from({ length }, () => alphabet[randomInt(alphabet.length)]).join('');
}

/** A class code such as `KTR-482`. */
export function newClassCode(): string {
  return `${drawn(LETTERS, 3)}-${drawn(DIGITS, 3)}`;
}

/** The code of a printed sheet, such as `KTR-4827`: long enough that a slip of the pen meets no other sheet. */
export function newSheetCode(): string {
  return `${drawn(LETTERS, 3)}-${drawn(DIGITS, 4)}`;
}
