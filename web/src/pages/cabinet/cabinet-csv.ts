import type { ToolShown } from '@green-beam/contract';
import { instrumentById, instrumentIds } from '@green-beam/core';
import Papa from 'papaparse';
import { toleranceOf } from './tool-words.ts';

const COLUMNS = [
  'code',
  'tool',
  'kind',
  'unit',
  'range',
  'division',
  'tolerance',
  'keeper',
  'state',
  'zero error',
] as const;

/** A cabinet as CSV: a tool on each line, numbers with a point. A cell that a spreadsheet would take for a formula is written as text. */
export function csvOf(tools: readonly ToolShown[]): string {
  const rows = tools.map((tool) => {
    const { range, division, unit } = instrumentById(tool.instrumentId);
    return [
      tool.code,
      tool.instrumentId,
      tool.kind,
      unit,
      `${range[0]} to ${range[1]}`,
      division,
      toleranceOf(tool),
      tool.keeper,
      tool.state,
      tool.zeroError ?? '',
    ];
  });
  return Papa.unparse({ fields: [...COLUMNS], data: rows }, { escapeFormulae: true, newline: '\r\n' });
}

/** Tools by id or by name, as a person would write them. */
function instrumentIdOf(written: string): string {
  const text = written.trim().toLowerCase();
  return instrumentIds().find((id) => id === text || instrumentById(id).name.toLowerCase() === text) ?? written.trim();
}

function numberIn(written: string | undefined): number | string | null {
  const text = (written ?? '').trim().replace('−', '-');
  if (text === '') return null;
  const number = Number(text.replace(',', '.'));
  // What is no number is left for the server to name.
  return Number.isFinite(number) ? number : text;
}

/** A text without the sign that keeps a spreadsheet from reckoning with it. */
function asWritten(cell: string | undefined): string | undefined {
  return cell
    ?.trim()
    .replace(/^'(?=[=+\-@\t\r])/, '')
    .trim();
}

/** Rows of a list of tools, pasted or from a file, in any order of columns; what a column lacks is left to its default. */
export function toolRowsOf(text: string): Record<string, unknown>[] {
  const { data } = Papa.parse<Record<string, string>>(text.replace(/^\uFEFF/, '').trim(), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (heading) => heading.trim().toLowerCase(),
  });
  return data.map((row) => {
    const written = {
      keeper: asWritten(row['keeper']),
      kind: row['kind']?.trim().toLowerCase(),
      state: row['state']?.trim().toLowerCase().replaceAll(' ', '-'),
    };
    const given = Object.fromEntries(
      Object.entries(written).filter(([, value]) => value !== undefined && value !== ''),
    );
    return {
      code: asWritten(row['code']) ?? '',
      instrumentId: instrumentIdOf(row['tool'] ?? row['instrument'] ?? ''),
      tolerance: ownTolerance(row),
      zeroError: numberIn(row['zero error']),
      ...given,
    };
  });
}

/** The maker’s tolerance is not written down as the tool’s own. */
function ownTolerance(row: Record<string, string>): number | string | null {
  const written = numberIn(row['tolerance']);
  const id = instrumentIdOf(row['tool'] ?? row['instrument'] ?? '');
  return instrumentIds().includes(id) && written === instrumentById(id).tolerance.b ? null : written;
}
