import { describe, expect, it } from 'vitest';
import { decoded } from './decoded.ts';

const TEXT = 'Tür;Länge (cm)\n1;12,41 ± 0,05\n';

/** Two bytes a letter. */
function utf16(text: string, isLittle: boolean, mark: boolean): Uint8Array {
  const codes = Array.from(`${mark ? '\uFEFF' : ''}${text}`, (letter) => letter.charCodeAt(0));
  return Uint8Array.from(codes.flatMap((code) => (isLittle ? [code & 255, code >> 8] : [code >> 8, code & 255])));
}

describe('a file’s text', () => {
  it.each([
    ['UTF-8', new TextEncoder().encode(TEXT)],
    ['UTF-8', new TextEncoder().encode(`\uFEFF${TEXT}`)],
    ['UTF-16', utf16(TEXT, true, true)],
    ['UTF-16', utf16(TEXT, false, true)],
    ['UTF-16', utf16(TEXT, true, false)],
    ['UTF-16', utf16(TEXT, false, false)],
    ['Windows-1252', Uint8Array.from(Array.from(TEXT, (letter) => letter.charCodeAt(0)))],
  ])('is read as it was written: %s', (encoding, bytes) => {
    expect(decoded(bytes)).toEqual({ text: TEXT, encoding });
  });

  it('of nothing is nothing', () => expect(decoded(new Uint8Array())).toEqual({ text: '', encoding: 'UTF-8' }));
});
