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
