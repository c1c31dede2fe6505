import type { ClassResults, GroupToPool, ResultToPool } from '@green-beam/contract';

/** A result that groups can be compared by. */
export interface ComparedResult {
  /** What tells it from the others of the laboratory. */
  readonly key: string;
  readonly name: string;
  readonly unit: string;
  readonly rows: readonly ResultRow[];
}

/** One group’s. */
export interface ResultRow {
  readonly group: GroupToPool;
  readonly result: ResultToPool;
  /** Standard uncertainty by quadrature, of all its parts; null where there is none. */
  readonly standard: number | null;
}

const sum = (parts: Readonly<Record<string, number>>): number =>
  Object.values(parts).reduce((all, one) => all + one, 0);

/** Standard uncertainty of a result, from the parts of its variance. */
export function standardOf({ variance }: ResultToPool): number | null {
  if (!variance) return null;
  const { own, tools, given } = variance;
  return Math.sqrt(Math.max(0, own + sum(tools) + sum(given)));
}

function keyOf({ quantity, members, unit }: ResultToPool): string {
  return JSON.stringify([quantity, Object.entries(members).sort(), unit]);
}

/** What of a laboratory can be compared, in its order; in each the groups from the lowest result to the highest. */
export function comparedResults({ groups }: ClassResults): ComparedResult[] {
  const found = new Map<string, { name: string; unit: string; rows: ResultRow[] }>();
  for (const group of groups)
    for (const result of group.results) {
      if (!Number.isFinite(result.value)) continue;
      const key = keyOf(result);
      const known = found.get(key) ?? { name: result.name, unit: result.unit, rows: [] };
      known.rows.push({ group, result, standard: standardOf(result) });
      found.set(key, known);
    }
  return [...found].map(([key, { name, unit, rows }]) => ({
    key,
    name,
    unit,
    rows: rows.sort((a, b) => a.result.value - b.result.value),
  }));
}

/** What all groups compared with; null where they compared with different values, or with none. */
export function acceptedByAll({ rows }: ComparedResult): { readonly least: number; readonly most: number } | null {
  const accepted = rows.map(({ result }) => result.accepted);
  const [first] = accepted;
  if (!first) return null;
  return accepted.every((one) => one?.least === first.least && one.most === first.most) ? first : null;
}
