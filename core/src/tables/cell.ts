import { parseWrittenNumber, UnreadableNumberError } from '../numbers/written-number.ts';
import { parseUnit, UnknownUnitError } from '../units/unit.ts';

/** The sign that a table writes before decimals. */
export type DecimalMark = 'point' | 'comma';

/** A cell of a table as it can be reckoned with, or why it cannot. */
export type Cell =
  | { readonly kind: 'empty' | 'text' | 'date' | 'formula' | 'broken' }
  | {
      readonly kind: 'number';
      /** With a point, whatever the table writes. */
      readonly text: string;
      readonly value: number;
      readonly decimals: number;
      /** As it stands in the cell; empty where it does not. */
      readonly unit: string;
    };

export type NumberCell = Extract<Cell, { kind: 'number' }>;

const MONTH = '(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec|mai|okt|dez)[a-z]*';
const DATE = new RegExp(
  `^(?:\\d{1,4}[./-]\\d{1,2}[./-]\\d{2,4}(?:[ T].*)?|\\d{1,2}\\.\\d{1,2}\\.|\\d{1,2}[.\\- ]*${MONTH}\\.?(?:[\\- ]\\d{2,4})?|${MONTH}\\.?[\\- ]\\d{1,4})$`,
  'i',
);
const NUMBER =
  /^([+−–-]?\s*\d[\d\s\u00a0\u202f’']*(?:[.,]\d+)*(?:\s*(?:[eE][+−-]?\d+|[×x*·]\s*10\s*(?:\^\s*[+−-]?\d+|[⁺⁻⁰¹²³⁴⁵⁶⁷⁸⁹]+)))?)\s*(.*)$/u;

/** Whether a text is a unit that can be reckoned with. */
export function isUnit(text: string): boolean {
  if (text === '') return false;
  try {
    parseUnit(text);
    return true;
  } catch (error) {
    if (error instanceof UnknownUnitError) return false;
    throw error;
  }
}

/** Digits with a point before the decimals and nothing between thousands. */
function plainDigits(written: string, mark: DecimalMark): string {
  const digits = written.replace(/[\s\u00a0\u202f’']/gu, '').replace(/[−–]/g, '-');
  return mark === 'comma' ? digits.replace(/\./g, '').replace(',', '.') : digits.replace(/,(?=\d{3}(?:\D|$))/g, '');
}

/** What stands in a cell. */
export function readCell(raw: string, mark: DecimalMark): Cell {
  const text = raw.trim();
  if (text === '' || /^[-–—]$/.test(text)) return { kind: 'empty' };
  if (text.startsWith('=')) return { kind: 'formula' };
  if (/^#[A-Z]+[/!?]/i.test(text)) return { kind: 'broken' };
  if (DATE.test(text)) return { kind: 'date' };
  const [, written = '', unit = ''] = NUMBER.exec(text) ?? [];
  if (written === '' || (unit !== '' && !isUnit(unit))) return { kind: 'text' };
  const digits = plainDigits(written, mark);
  try {
    const { value } = parseWrittenNumber(digits);
    return {
      kind: 'number',
      text: digits,
      value: value.toNumber(),
      decimals: (/^[^.eE×x*·]*\.(\d+)/.exec(digits)?.[1] ?? '').length,
      unit,
    };
  } catch (error) {
    if (error instanceof UnreadableNumberError) return { kind: 'text' };
    throw error;
  }
}

const COMMA = /^\D?\d+,\d+(?:\D|$)/;
const POINT = /^\D?\d+\.\d+(?:\D|$)/;
/** A comma before exactly three digits may part thousands. */
const MAY_BE_THOUSANDS = /^\D?\d{1,3}(?:,\d{3})+(?:\D|$)/;

/**
 * Which sign a table writes before decimals.
 * @returns null where every number with a comma could be a whole number of thousands as well, so that somebody has to say.
 */
export function decimalMarkOf(table: readonly (readonly string[])[]): DecimalMark | null {
  const cells = table.flat().map((text) => text.trim());
  const commas = cells.filter((text) => COMMA.test(text));
  if (commas.length === 0 || cells.some((text) => POINT.test(text))) return 'point';
  return commas.every((text) => MAY_BE_THOUSANDS.test(text)) ? null : 'comma';
}
