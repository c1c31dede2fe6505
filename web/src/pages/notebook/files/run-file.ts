import type { RunPage } from '@green-beam/contract';
import { tidyTable, type WorkedRun } from '@green-beam/core';
import Papa from 'papaparse';
import { fileNameOf } from '../../../ui/file-name.ts';

/** A run’s numbers as one table, units in the headings; formulas are neutralised. */
export function runCsv(run: WorkedRun): string {
  const { headings, rows } = tidyTable(run);
  return Papa.unparse(
    { fields: [...headings], data: rows.map((row) => [...row]) },
    { escapeFormulae: /^[=@]/, newline: '\r\n' },
  );
}

/** A run with its whole history, and what it was worked out by. */
export function runJson(page: RunPage): string {
  const { protocol, arrangement, rules, rulesName, specimen, startedAt, handedInAt, people, events } = page;
  const file = {
    format: 'green-beam-run',
    version: 1,
    specimen,
    startedAt,
    handedInAt,
    protocol,
    arrangement,
    rules: { name: rulesName, rules },
    people: Object.fromEntries(Object.entries(people).map(([id, { label }]) => [id, label])),
    events,
  };
  return JSON.stringify(file, null, 1);
}

/** What the files of a run are called. */
export function runFileName({ specimen }: Pick<RunPage, 'specimen'>, ending: 'csv' | 'json'): string {
  return `${fileNameOf(specimen, 'laboratory')}.${ending}`;
}
