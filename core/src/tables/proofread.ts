import { completeRules, type HouseRules } from '../rules/house-rules.ts';
import { multiplyUnits, parseUnit, sameKind, writtenUnit, type Unit } from '../units/unit.ts';
import { impossible, notNumbers, unevenDecimals, unitsMissing, unitsMixed } from './columns-checked.ts';
import { TABLE_FAULTS, type TableFinding } from './finding.ts';
import { isConstant, numberAt, relationsOf, unitOf, unitWorkedOut, type Fitting } from './relations.ts';
import { copiedRows, exchangedRows, notContinued, outliers, runningOf, tooEven, type Running } from './rows-checked.ts';
import { columnTool, toolQuestion, toolsFor } from './tool-of-column.ts';
import { understand, type Ask, type Column, type Understood } from './understand.ts';
import { faultOf, reasonOf, WorkedCells, type Computed } from './worked-cells.ts';

/** What a table is read by. */
export interface ProofreadOptions {
  readonly rules?: Partial<HouseRules>;
  /** What somebody has said where the table does not decide, by the id of the question. */
  readonly answers?: Readonly<Record<string, string>>;
}

/** A column as it was understood. */
export interface ColumnRead {
  readonly name: string;
  /** How it is worked out, in the names of other columns; null where it was read. */
  readonly by: string | null;
  /** Tools on which it can have been read; the answer to `toolQuestion` says which. */
  readonly tools: readonly string[];
}

export interface Proofread {
  readonly findings: readonly TableFinding[];
  /** What the table itself does not decide. */
  readonly asks: readonly Ask[];
  readonly columns: readonly ColumnRead[];
  /** Repeats stand side by side. */
  readonly isTurned: boolean;
  /** How many lines stand above the headings. */
  readonly skipped: number;
  /** How many rows of values there are. */
  readonly rows: number;
}

/** A table cannot be proof-read. */
export class TableError extends Error {
  override readonly name = 'TableError';
}

/** More than that nobody proof-reads in one piece. */
const MOST_CELLS = 100_000;
const MOST_COLUMNS = 60;

function checkSize(table: readonly (readonly string[])[]): void {
  const cells = table.reduce((sum, row) => sum + row.length, 0);
  const widest = table.reduce((most, row) => Math.max(most, row.length), 0);
  if (!table.some((row) => row.some((text) => text.trim() !== '')))
    throw new TableError('table: There is nothing in it. Paste the table with its headings.');
  if (cells > MOST_CELLS)
    throw new TableError(
      `table: ${table.length} rows are too many. Up to ${MOST_CELLS} cells are read at once; paste a part of it.`,
    );
  if (widest > MOST_COLUMNS)
    throw new TableError(`table: ${widest} columns are too many. Up to ${MOST_COLUMNS} are read at once.`);
}

const SIGNS: Readonly<Record<string, string>> = { difference: '−', sum: '+', product: '×', quotient: '÷' };

function formulaInWords({ columns }: Understood, { kind, inputs, constant }: Fitting): string {
  const names = inputs.map((input) => columns[input]?.heading.name ?? `column ${input + 1}`);
  const sign = SIGNS[kind];
  if (sign !== undefined) return names.join(` ${sign} `);
  if (kind === 'mean') return `mean of ${names.join(', ')}`;
  const accepted = constant?.text ?? names[1] ?? '';
  return `(${names[0] ?? ''} − ${accepted}) ÷ ${accepted} × 100 %`;
}

/** Two ways to work a column out that come to the same in this table, and would not in another one. */
function areOpen(first: Fitting, second: Fitting): boolean {
  return (
    first.holds === first.of && second.holds === second.of && first.kind === second.kind && first.kind === 'difference'
  );
}

/** How each column is worked out, and what has to be asked. */
function computedColumns(
  understood: Understood,
  answers: Readonly<Record<string, string>>,
): { readonly computed: Computed[]; readonly asks: Ask[]; readonly ways: (Fitting | null)[] } {
  const asks: Ask[] = [];
  const ways = understood.columns.map((column, target): Fitting | null => {
    if (isConstant(column)) return null;
    const fitting = relationsOf(understood, target);
    const [first, second] = fitting;
    if (!first) return null;
    if (!second || !areOpen(first, second)) return first;
    const id = `column-${target}`;
    const open = fitting.filter((one) => areOpen(first, one)).slice(0, 4);
    asks.push({
      id,
      question: `How was “${column.heading.name}” worked out?`,
      choices: open.map((one, i) => ({ id: String(i), text: formulaInWords(understood, one) })),
    });
    return open[Number(answers[id] ?? 0)] ?? first;
  });
  return {
    asks,
    ways,
    computed: ways.flatMap((relation, target) => (relation ? [{ target, relation }] : [])),
  };
}

/** The unit that a column has by the columns it is worked out of; null where it was read, or where theirs are not known. */
function unitThatFollows({ columns }: Understood, way: Fitting | null): Unit | null {
  if (!way) return null;
  const units = way.inputs.map((input) => {
    const column = columns[input];
    return column ? unitOf(column) : null;
  });
  return unitWorkedOut(way, units);
}

/** Columns whose unit is of another kind than what they are worked out as. */
function unitsWrong(understood: Understood, ways: readonly (Fitting | null)[]): TableFinding[] {
  return understood.columns.flatMap((column, c): TableFinding[] => {
    const [own, follows] = [unitOf(column), unitThatFollows(understood, ways[c] ?? null)];
    if (!own || !follows || column.heading.unit === null || sameKind(own, follows)) return [];
    const unit = writtenUnit(multiplyUnits(follows, parseUnit('')));
    return [
      {
        ...understood.spotOf(-1, c),
        kind: 'unit-wrong',
        message: `It is worked out as ${formulaInWords(understood, ways[c] as Fitting)}, so its unit is ${unit}.`,
        repair: column.heading.text.replace(column.heading.unit, unit),
      },
    ];
  });
}

/** Start and end in each other’s place: both cells, and the difference where it was taken as it stood. */
function exchangedFindings(
  understood: Understood,
  { target, relation }: Computed,
  cellText: (row: number, column: number) => string,
): { readonly rows: ReadonlySet<number>; readonly findings: TableFinding[] } {
  if (relation.kind !== 'difference') return { rows: new Set(), findings: [] };
  const rows = exchangedRows(understood, relation, target);
  const [a = 0, b = 0] = relation.inputs;
  return {
    rows: new Set(rows),
    findings: rows.flatMap((row): TableFinding[] =>
      [
        [a, b],
        [b, a],
      ].map(([at = 0, other = 0]) => ({
        ...understood.spotOf(row, at),
        kind: 'exchanged' as const,
        message: `The difference is right if ${cellText(row, a)} and ${cellText(row, b)} change places.`,
        repair: cellText(row, other),
      })),
    ),
  };
}

/** The means and sums at the foot of the table. */
function footFindings(worked: WorkedCells): TableFinding[] {
  const { understood, written } = worked;
  return understood.feet.flatMap(({ kind, cells }, foot) =>
    kind === 'other'
      ? []
      : understood.columns.flatMap((column, c): TableFinding[] => {
          const cell = cells[c];
          if (!column.isNumeric || cell?.kind !== 'number') return [];
          const found = worked.judgedFoot(kind, c, cell);
          const fault = found && faultOf(kind, cell, found.judged);
          if (!found || !fault) return [];
          const right = written(found.judged.right);
          return [
            {
              ...understood.footSpot(foot, c),
              kind: fault,
              message: reasonOf(fault, found.worked, right, found.judged.slip),
              repair: right,
            },
          ];
        }),
  );
}

/** What may be wrong with a result by its digits alone. */
const DIGITS: readonly TableFinding['kind'][] = ['too-many-digits', 'too-few-digits', 'zero-lost'];

const keyOf = ({ row, column }: { readonly row: number; readonly column: number }): string => `${row} ${column}`;

/** Of findings in one cell the one that explains most: what comes first in the list stays. */
function oneEach(findings: readonly TableFinding[]): TableFinding[] {
  const taken = new Set<string>();
  return findings.filter((finding) => {
    const key = keyOf(finding);
    if (taken.has(key)) return false;
    taken.add(key);
    return true;
  });
}

/** Digits of a result that are wrong only since a reading’s own digits are: with the reading mended they are right. */
function followsFrom(uneven: readonly TableFinding[], finding: TableFinding, worked: WorkedCells): boolean {
  if (!DIGITS.includes(finding.kind)) return false;
  const { understood, computed } = worked;
  const repairs = new Map(uneven.map((one) => [keyOf(one), one.repair]));
  return computed.some((one) => {
    for (let row = 0; row < understood.rows; row += 1) {
      if (keyOf(understood.spotOf(row, one.target)) !== keyOf(finding)) continue;
      const mended = one.relation.inputs.map((input) => repairs.get(keyOf(understood.spotOf(row, input))) ?? null);
      return mended.some((text) => text !== null) && worked.isRightWith(one, row, mended);
    }
    return false;
  });
}

/** Breaks in a running table that the repair of another cell mends. */
function mendedElsewhere(
  finding: TableFinding,
  others: readonly TableFinding[],
  understood: Understood,
  running: Running,
  text: (row: number, column: number) => string,
): boolean {
  for (let row = 1; row < understood.rows; row += 1) {
    if (keyOf(understood.spotOf(row, running.start)) !== keyOf(finding)) continue;
    const repaired = (r: number, c: number): string =>
      others.find((other) => keyOf(other) === keyOf(understood.spotOf(r, c)) && other.repair !== null)?.repair ??
      text(r, c);
    return repaired(row - 1, running.end) === repaired(row, running.start);
  }
  return false;
}

/**
 * Proof-reads a table of measurements as it was pasted: finds by itself what its columns are and how they are worked out, and what is wrong
 * in which cell. Rows and columns of findings are counted from 0, through the table as it was given.
 * @throws TableError for a table that is empty or too large; HouseRuleError naming the field.
 */
export function proofread(
  table: readonly (readonly string[])[],
  { rules, answers = {} }: ProofreadOptions = {},
): Proofread {
  checkSize(table);
  const { understood, asks } = understand(table, answers);
  const { computed, asks: more, ways } = computedColumns(understood, answers);
  const written = (text: string): string => (understood.mark === 'comma' ? text.replace('.', ',') : text);
  const cellText = (row: number, column: number): string =>
    written(numberAt(understood.columns[column], row)?.text ?? '');
  const isRead = (column: number): boolean => ways[column] === null;
  const read = understood.columns.flatMap((column, c) => (column.isNumeric && isRead(c) ? [c] : []));
  const worked = new WorkedCells(understood, computed, written, rules);

  const exchanged = computed.map((one) => exchangedFindings(understood, one, cellText));
  const wrong = computed.flatMap((one, i) => worked.findings(one, exchanged[i]?.rows ?? new Set()));
  const uneven = unevenDecimals(understood, isRead, written, (c) =>
    columnTool(understood.columns[c] as Column, answers[toolQuestion(c)], completeRules(rules)),
  );
  const explained = [
    ...exchanged.flatMap(({ findings }) => findings),
    ...wrong.filter((finding) => !followsFrom(uneven, finding, worked)),
  ];
  const running = computed.flatMap(({ relation }) => {
    const [end, start] = relation.inputs;
    const found =
      relation.kind === 'difference' && end !== undefined && start !== undefined
        ? runningOf(understood, start, end)
        : null;
    return found ? [found] : [];
  });
  const breaks = running.flatMap((one) =>
    notContinued(understood, one, cellText).filter(
      (finding) => !mendedElsewhere(finding, explained, understood, one, cellText),
    ),
  );
  // Where a cylinder or a burette stood at first is nobody’s repeat.
  const taken = new Set(computed.flatMap(({ relation }) => (relation.kind === 'difference' ? relation.inputs : [])));
  const isRepeated = understood.columns.some(({ role }) => role === 'repeat');
  const repeats = isRepeated
    ? understood.columns.flatMap((column, c) => (column.isNumeric && !taken.has(c) ? [c] : []))
    : [];
  const findings = oneEach([
    ...explained,
    ...breaks,
    ...notNumbers(understood),
    ...unitsMixed(understood, written),
    ...unitsMissing(understood, (c) => unitThatFollows(understood, ways[c] ?? null)),
    ...unitsWrong(understood, ways),
    ...uneven,
    ...footFindings(worked),
    ...impossible(understood),
    ...copiedRows(understood, read),
    ...tooEven(
      understood,
      repeats.filter((c) => isRead(c)),
    ),
  ]);
  const touched = new Set(findings.map(({ row, column }) => (understood.isTurned ? column : row)));
  const far = outliers(understood, repeats).filter(
    (finding) => !touched.has(understood.isTurned ? finding.column : finding.row),
  );
  return {
    findings: oneEach([...findings, ...far]).sort((a, b) => a.row - b.row || a.column - b.column),
    asks: [...asks, ...more],
    columns: understood.columns.map((column, c) => {
      const { heading } = column;
      const way = ways[c];
      const tools = way || isConstant(column) ? [] : toolsFor(column);
      return { name: heading.name, by: way ? formulaInWords(understood, way) : null, tools };
    }),
    isTurned: understood.isTurned,
    skipped: understood.skipped,
    rows: understood.rows,
  };
}

/** What a kind of finding is called. */
export function tableFaultName(kind: TableFinding['kind']): string {
  return TABLE_FAULTS[kind];
}
