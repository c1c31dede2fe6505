const SUPERSCRIPTS: Record<string, string> = {
  '⁰': '0',
  '¹': '1',
  '²': '2',
  '³': '3',
  '⁴': '4',
  '⁵': '5',
  '⁶': '6',
  '⁷': '7',
  '⁸': '8',
  '⁹': '9',
  '⁻': '-',
  '⁺': '+',
};
const MINUS_SIGNS = /[\u2010-\u2015\u2212\uFE58\uFE63\uFF0D]/g;
const DIGIT_ZEROS = [0x0660, 0x06f0, 0x0966];

function asciiDigit(character: string): string {
  const code = character.codePointAt(0) ?? 0;
  const zero = DIGIT_ZEROS.find((start) => code >= start && code < start + 10);
  return zero === undefined ? character : String(code - zero);
}

/**
 * Brings what a keyboard of any language produces to plain characters: full-width and Arabic-Indic digits to 0–9, every kind of
 * minus sign to `-`, signs that look like a degree to `°`, superscripts to `^…`, the multiplication signs × and · to `*`, and unusual spaces to a space.
 */
export function plainText(typed: string): string {
  return isPlain(typed) ? typed.trim() : brought(typed);
}

/** Whether a text has none but the characters of a plain keyboard. */
export function isPlain(typed: string): boolean {
  return ALREADY_PLAIN.test(typed);
}

const ALREADY_PLAIN = /^[ -~]*$/;

function brought(typed: string): string {
  return typed
    .replace(/[º˚∘ᵒ]|⁰(?= ?[CF])/g, '°')
    .replace(/[⁰¹²³⁴⁵⁶⁷⁸⁹⁻⁺]+/g, (run) => '^' + Array.from(run, (c) => SUPERSCRIPTS[c]).join(''))
    .replace(MINUS_SIGNS, '-')
    .normalize('NFKC')
    .replace(/[\u0660-\u0669\u06f0-\u06f9\u0966-\u096f]/g, asciiDigit)
    .replace(/\u066B/g, '.')
    .replace(/\u00B5/g, '\u03BC')
    .replace(/[×⋅·∙]/g, '*')
    .replace(/÷/g, '/')
    .replace(/\s/g, ' ')
    .trim();
}

/**
 * Where a character of the plain text stands in the text as typed: spaces before it, and superscripts that became several characters,
 * are counted back.
 */
export function placeInTyped(typed: string, at: number): number {
  const lead = typed.length - typed.trimStart().length;
  let [low, high] = [lead, typed.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    // A letter after what is cut off keeps spaces at its end from being dropped.
    if (plainText(`${typed.slice(0, middle + 1)}x`).length - 1 > at) high = middle;
    else low = middle + 1;
  }
  return low;
}
