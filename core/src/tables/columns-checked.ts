import { conversionFactor, parseUnit, sameKind, writtenUnit, type Unit } from '../units/unit.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import { isUnit, type Cell, type NumberCell } from './cell.ts';
import type { TableFinding } from './finding.ts';
import { needsNoUnit } from './heading.ts';
import { isConstant, unitOf } from './relations.ts';
import type { ColumnTool } from './tool-of-column.ts';
import type { Column, Understood } from './understand.ts';

/** What most of some things are; null where none is more than a half of them. */
function mostOf<T>(things: readonly T[]): T | null {
  const counts = new Map<T, number>();
  for (const thing of things) counts.set(thing, (counts.get(thing) ?? 0) + 1);
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  return most && most[1] * 2 > things.length ? most[0] : null;
}

const numbersIn = (cells: readonly Cell[]): NumberCell[] => cells.filter((cell) => cell.kind === 'number');

/** Headings that need a unit and have none; the unit that follows from the columns it is worked out of is proposed. */
export function unitsMissing(understood: Understood, follows: (column: number) => Unit | null): TableFinding[] {
  return understood.columns.flatMap((column, c): TableFinding[] => {
    if (!column.isNumeric || unitOf(column) !== null || needsNoUnit(column.heading.name)) return [];
    // Nowhere in the table does a unit stand: then it is asked for at every heading.
    const unit = follows(c);
    return [
      {
        ...understood.spotOf(-1, c),
        kind: 'unit-missing',
        message: `“${column.heading.text || 'This column'}” has no unit. A number without its unit says nothing.`,
        repair: unit && column.heading.name !== '' ? `${column.heading.name} / ${writtenUnit(unit)}` : null,
      },
    ];
  });
}

/** Cells that are no number where the others are. */
export function notNumbers(understood: Understood): TableFinding[] {
  return understood.columns.flatMap((column, c) =>
    column.cells.flatMap((cell, row): TableFinding[] => {
      const at = understood.spotOf(row, c);
      if (cell.kind === 'formula' || cell.kind === 'broken')
        return [
          {
            ...at,
            kind: 'formula',
            message: 'A formula stands here. Copy the table with its values.',
            repair: null,
          },
        ];
      if (!column.isNumeric) return [];
      if (cell.kind === 'date')
        return [
          {
            ...at,
            kind: 'date-for-number',
            message: 'This looks like a date. A spreadsheet may have made it out of a number with a point.',
            repair: null,
          },
        ];
      return cell.kind === 'text'
        ? [{ ...at, kind: 'not-a-number', message: 'This is not a number, or its unit is not known.', repair: null }]
        : [];
    }),
  );
}

/** Cells with another unit than their column. */
export function unitsMixed(understood: Understood, written: (text: string) => string): TableFinding[] {
  return understood.columns.flatMap((column, c) => {
    if (!column.isNumeric) return [];
    const units = numbersIn(column.cells).map(({ unit }) => unit);
    const usual = column.heading.unit ?? mostOf(units);
    if (usual === null || !units.some((unit) => unit !== '' && unit !== usual)) return [];
    return column.cells.flatMap((cell, row): TableFinding[] => {
      if (cell.kind !== 'number' || cell.unit === '' || cell.unit === usual) return [];
      if (!isUnit(usual)) return [];
      const [from, to] = [parseUnit(cell.unit), parseUnit(usual)];
      const isSame = sameKind(from, to);
      if (isSame && conversionFactor(from, to).toNumber() === 1) return [];
      const factor = isSame ? conversionFactor(from, to).toNumber() : null;
      const own = factor === null ? 0 : Math.max(0, cell.decimals - Math.round(Math.log10(factor)));
      const others = mostOf(numbersIn(column.cells).map((one) => one.decimals)) ?? own;
      const value = cell.value * (factor ?? 1);
      // Zeros that another unit has brought along are not written.
      const decimals = Math.abs(Number(value.toFixed(others)) - value) <= 1e-9 * Math.abs(value) ? others : own;
      return [
        {
          ...understood.spotOf(row, c),
          kind: 'unit-mixed',
          message: `The rest of this column is in ${usual}, this is in ${cell.unit}.`,
          repair: factor === null ? null : written(writtenAtPlace(value, -decimals)),
        },
      ];
    });
  });
}

/** Fewer values do not show how many decimals a column has. */
const FEWEST = 3;

/**
 * Readings with other decimals than their tool has, where it is known, or than the rest of their column.
 * @param isRead whether a column was read, not worked out.
 */
export function unevenDecimals(
  understood: Understood,
  isRead: (column: number) => boolean,
  written: (text: string) => string,
  toolOf: (column: number) => ColumnTool | null,
): TableFinding[] {
  return understood.columns.flatMap((column, c) => {
    if (!column.isNumeric || !isRead(c) || isConstant(column)) return [];
    const tool = toolOf(c);
    const numbers = numbersIn(column.cells).filter(({ text }) => !/[e×x*·]/i.test(text));
    const usual = tool?.decimals ?? mostOf(numbers.map(({ decimals }) => decimals));
    if (usual === null || (!tool && numbers.length < FEWEST)) return [];
    const many = `${usual} ${usual === 1 ? 'decimal' : 'decimals'}`;
    const reason = tool ? `A reading of the ${tool.name} has ${many}.` : `The others have ${many}.`;
    return column.cells.flatMap((cell, row): TableFinding[] => {
      if (cell.kind !== 'number' || cell.decimals === usual || /[e×x*·]/i.test(cell.text)) return [];
      const isShort = cell.decimals < usual;
      return [
        {
          ...understood.spotOf(row, c),
          kind: 'uneven-decimals',
          message: `${reason} ${isShort ? 'If the last digit was a zero, write it.' : tool ? 'It cannot show more.' : 'The same tool cannot show more.'}`,
          repair: written(writtenAtPlace(cell.value, -usual)),
        },
      ];
    });
  });
}

/** Bounds of what can be, by the unit. */
const NEVER_BELOW_ZERO = ['g', 'mL', 'cm', 's', 'K', 'g/mL', 'cm^2'].map((unit) => parseUnit(unit));
const DENSITY = parseUnit('g/mL');
/** From cork dust to iridium, in g/mL. */
const DENSITIES = [0.005, 22.7] as const;
const TEMPERATURE = parseUnit('°C');
/** What a thermometer of a school laboratory can meet, in °C. */
const TEMPERATURES = [-80, 360] as const;

function whyImpossible(cell: NumberCell, { heading }: Column, unit: Unit): string | null {
  const is = (other: Unit): boolean => sameKind(unit, other);
  if (is(TEMPERATURE) && writtenUnit(unit) === '°C') {
    if (/water|bath/i.test(heading.name) && cell.value > 101) return 'Water boils at about 100 °C.';
    return cell.value < TEMPERATURES[0] || cell.value > TEMPERATURES[1] ? 'No thermometer here reads that.' : null;
  }
  if (/change|difference|error|correction|gain|loss/i.test(heading.name)) return null;
  if (cell.value < 0 && NEVER_BELOW_ZERO.some(is)) return 'It cannot be below zero.';
  if (!is(DENSITY)) return null;
  const density = cell.value * conversionFactor(unit, DENSITY).toNumber();
  if (density < DENSITIES[0] || density > DENSITIES[1]) return 'Nothing on earth has such a density.';
  return null;
}

/** Values that cannot be. */
export function impossible(understood: Understood): TableFinding[] {
  return understood.columns.flatMap((column, c) => {
    const unit = unitOf(column);
    if (!column.isNumeric || !unit) return [];
    return column.cells.flatMap((cell, row): TableFinding[] => {
      const why = cell.kind === 'number' ? whyImpossible(cell, column, unit) : null;
      return why === null ? [] : [{ ...understood.spotOf(row, c), kind: 'impossible', message: why, repair: null }];
    });
  });
}
