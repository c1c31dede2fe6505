import { grubbs } from '../statistics/grubbs.ts';
import type { TableFinding } from './finding.ts';
import { numberAt, type Relation } from './relations.ts';
import type { Understood } from './understand.ts';

/** A column whose values begin where those of another one ended, row after row. */
export interface Running {
  readonly start: number;
  readonly end: number;
}

/** In so many rows one value goes on from the last, for the table to be a running one. */
const MOSTLY = 0.6;

/** Whether readings go on from row to row: the start of one is the end of the last. */
export function runningOf({ columns, rows }: Understood, start: number, end: number): Running | null {
  let [of, holds] = [0, 0];
  for (let row = 1; row < rows; row += 1) {
    const [before, now] = [numberAt(columns[end], row - 1), numberAt(columns[start], row)];
    if (!before || !now) continue;
    of += 1;
    if (before.value === now.value) holds += 1;
  }
  return holds >= 2 && holds >= MOSTLY * of ? { start, end } : null;
}

/** Starts that are not the end of the row before. @param cellText as it stands in the table. */
export function notContinued(
  understood: Understood,
  { start, end }: Running,
  cellText: (row: number, column: number) => string,
): TableFinding[] {
  const found: TableFinding[] = [];
  for (let row = 1; row < understood.rows; row += 1) {
    const [before, now] = [numberAt(understood.columns[end], row - 1), numberAt(understood.columns[start], row)];
    if (!before || !now || before.value === now.value) continue;
    found.push({
      ...understood.spotOf(row, start),
      kind: 'not-continued',
      message: `The one before ended at ${cellText(row - 1, end)}. Each one begins where the last one ended.`,
      repair: cellText(row - 1, end),
    });
  }
  return found;
}

/** Rows with the same readings as another, where readings differ elsewhere. @param read columns that were read. */
export function copiedRows(understood: Understood, read: readonly number[]): TableFinding[] {
  const varied = read.filter((c) => {
    const texts = understood.columns[c]?.cells.flatMap((cell) => (cell.kind === 'number' ? [cell.text] : [])) ?? [];
    return new Set(texts).size >= 3;
  });
  if (varied.length < 2) return [];
  const seen = new Map<string, number>();
  const found: TableFinding[] = [];
  for (let row = 0; row < understood.rows; row += 1) {
    const texts = varied.map((c) => numberAt(understood.columns[c], row)?.text ?? null);
    if (texts.includes(null)) continue;
    const earlier = seen.get(texts.join(' '));
    if (earlier === undefined) seen.set(texts.join(' '), row);
    else
      found.push({
        ...understood.spotOf(row, varied[0] ?? 0),
        kind: 'copied-row',
        message: `All its readings are those of ${understood.lineName(earlier)}. Were they read again, or copied?`,
        repair: null,
      });
  }
  return found;
}

/** Repeats scatter by less than this part of their size; what scatters more are different things. */
const REPEATS = 0.1;
/** So many times the range of all the others it must lie away from them: many columns are looked at, and chance finds one. */
const AWAY = 3;
const RESOLUTIONS = 4.5;

/** Repeats that lie far from the others, by Grubbs’ test. @param repeats columns whose rows are the same again. */
export function outliers(understood: Understood, repeats: readonly number[]): TableFinding[] {
  return repeats.flatMap((c): TableFinding[] => {
    const cells = understood.columns[c]?.cells ?? [];
    const numbers = cells.flatMap((cell, row) => (cell.kind === 'number' ? [{ cell, row }] : []));
    if (numbers.length < 4) return [];
    const values = numbers.map(({ cell }) => cell.value);
    const sorted = [...values].sort((a, b) => a - b);
    const middle = sorted[Math.floor(sorted.length / 2)] ?? 0;
    const { suspect, G, critical } = grubbs(values);
    const at = numbers[suspect];
    const others = values.filter((_, i) => i !== suspect);
    const range = Math.max(...others) - Math.min(...others);
    if (!at || G <= critical || range > REPEATS * Math.abs(middle)) return [];
    const away = Math.min(...others.map((other) => Math.abs(other - at.cell.value)));
    if (away <= Math.max(AWAY * range, RESOLUTIONS * 10 ** -at.cell.decimals)) return [];
    return [
      {
        ...understood.spotOf(at.row, c),
        kind: 'outlier',
        message: 'It lies farther from the other repeats than chance would bring it. Look at how it was read.',
        repair: null,
      },
    ];
  });
}

/** Rows in which a difference was taken the other way round, so that start and end seem exchanged. */
export function exchangedRows(understood: Understood, relation: Relation, target: number): number[] {
  const [a = -1, b = -1] = relation.inputs;
  const rows: number[] = [];
  for (let row = 0; row < understood.rows; row += 1) {
    const [first, second, written] = [a, b, target].map((c) => numberAt(understood.columns[c], row));
    if (!first || !second || !written || first.value >= second.value) continue;
    const turned = second.value - first.value;
    if (Math.abs(turned - written.value) <= 0.75 * 10 ** -written.decimals) rows.push(row);
  }
  return rows;
}

/** Fewer that are the same are no wonder. */
const FEWEST_EVEN = 5;
/** Units of what is read on a scale, where the last digit is estimated. */
const ESTIMATED = /^(mL|cm³|cm\^3|cm|mm|°C)$/;

/** Estimated readings that are all the same: a tool that cannot see the scatter, or numbers that were filled in. */
export function tooEven(understood: Understood, repeats: readonly number[]): TableFinding[] {
  return repeats.flatMap((c): TableFinding[] => {
    const column = understood.columns[c];
    const texts = column?.cells.flatMap((cell) => (cell.kind === 'number' ? [cell.text] : [])) ?? [];
    if (texts.length < FEWEST_EVEN || new Set(texts).size > 1 || !ESTIMATED.test(column?.heading.unit ?? '')) return [];
    return [
      {
        ...understood.spotOf(-1, c),
        kind: 'too-even',
        message: `All ${texts.length} are the same to the last digit, which is estimated. Were they read each time?`,
        repair: null,
      },
    ];
  });
}
