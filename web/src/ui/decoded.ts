/** A file’s text, and how it was written. */
export interface Decoded {
  readonly text: string;
  readonly encoding: 'UTF-8' | 'UTF-16' | 'Windows-1252';
}

const startsWith = (bytes: Uint8Array, ...mark: readonly number[]): boolean =>
  mark.every((byte, i) => bytes[i] === byte);

/** In plain text of two bytes a letter, every other byte is empty. */
function emptyBytes(bytes: Uint8Array, odd: 0 | 1): number {
  let count = 0;
  const end = Math.min(bytes.length, 2000);
  for (let i = odd; i < end; i += 2) if (bytes[i] === 0) count += 1;
  return count / Math.max(1, end / 2);
}

/**
 * The text of a file in whatever encoding programs for tables save: UTF-8, UTF-16 with or without its mark, and what is none of them as
 * Windows-1252, which has a character for every byte.
 */
export function decoded(bytes: Uint8Array): Decoded {
  const as = (label: string, fatal = false): string => new TextDecoder(label, { fatal }).decode(bytes);
  if (startsWith(bytes, 0xff, 0xfe) || emptyBytes(bytes, 1) > 0.3) return { text: as('utf-16le'), encoding: 'UTF-16' };
  if (startsWith(bytes, 0xfe, 0xff) || emptyBytes(bytes, 0) > 0.3) return { text: as('utf-16be'), encoding: 'UTF-16' };
  try {
    return { text: as('utf-8', true), encoding: 'UTF-8' };
  } catch {
    return { text: as('windows-1252'), encoding: 'Windows-1252' };
  }
}
