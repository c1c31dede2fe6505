import { describe, expect, it } from 'vitest';
import { proofread, seededRandom, type TableFinding } from '../../src/index.ts';
import { shuffled } from '../../src/simulation/shuffled.ts';
import { cleanTable, faultyTable, PLANTED_KINDS, type TableToRead } from './tables-to-read.ts';

const TABLES = 500;

function isFound({ kind, cells }: TableToRead['planted'][number], findings: readonly TableFinding[]): boolean {
  return findings.some(
    (one) => one.kind === kind && cells.some(([row, column]) => row === one.row && column === one.column),
  );
}

const shown = ({ table }: Pick<TableToRead, 'table'>): string => table.map((row) => row.join(' | ')).join('\n');

describe('tables with planted faults', () => {
  it.each(PLANTED_KINDS)('%s: at least 95 in 100 are found and named', (kind) => {
    const random = seededRandom(4000 + PLANTED_KINDS.indexOf(kind));
    const missed = Array.from({ length: 120 }, () => faultyTable(random, [kind])).filter(
      ({ table, planted }) => !planted.every((one) => isFound(one, proofread(table).findings)),
    );
    expect(
      missed.length,
      missed
        .slice(0, 2)
        .map((one) => `${shown(one)}\n${JSON.stringify(one.planted)}\n${JSON.stringify(proofread(one.table).findings)}`)
        .join('\n\n'),
    ).toBeLessThanOrEqual(6);
  });

  it(`of ${TABLES} tables with one to three faults, at least 95 in 100 faults are found and named`, () => {
    const random = seededRandom(77);
    let [planted, found] = [0, 0];
    const missed: string[] = [];
    for (let i = 0; i < TABLES; i += 1) {
      const kinds = shuffled(random, PLANTED_KINDS).slice(0, 1 + random.below(3));
      const table = faultyTableOrFewer(random, kinds);
      const { findings } = proofread(table.table);
      for (const one of table.planted) {
        planted += 1;
        if (isFound(one, findings)) found += 1;
        else missed.push(`${shown(table)}\n${JSON.stringify(one)}\n${JSON.stringify(findings)}`);
      }
    }
    expect(planted).toBeGreaterThan(TABLES);
    expect(found / planted, missed.slice(0, 4).join('\n\n')).toBeGreaterThanOrEqual(0.95);
  });
});

/** Not every table has room for every fault: those that do not fit are left out. */
function faultyTableOrFewer(random: ReturnType<typeof seededRandom>, kinds: readonly string[]): TableToRead {
  for (let chance = 0; chance < 3; chance += 1) {
    const tried = tryTable(random, kinds);
    if (tried) return tried;
  }
  return faultyTable(random, kinds.slice(0, 1));
}

function tryTable(random: ReturnType<typeof seededRandom>, kinds: readonly string[]): TableToRead | null {
  try {
    return faultyTable(random, kinds, 60);
  } catch {
    return null;
  }
}

describe('tables without a fault', () => {
  it(`of ${TABLES} at most 2 in 100 have anything to be said of them`, () => {
    const random = seededRandom(88);
    const alarms = Array.from({ length: TABLES }, () => cleanTable(random)).filter(
      (table) => proofread(table).findings.length > 0,
    );
    expect(
      alarms.length,
      alarms
        .slice(0, 4)
        .map((table) => `${shown({ table })}\n${JSON.stringify(proofread(table).findings)}`)
        .join('\n\n'),
    ).toBeLessThanOrEqual(TABLES / 50);
  });
});
