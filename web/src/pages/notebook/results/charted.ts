import type { Members, WorkedAggregate, WorkedRun } from '@green-beam/core';

/** A mean or a line that a result rests on, with the quantity that it is. */
export interface Charted {
  readonly quantity: string;
  readonly members: Members;
  readonly aggregate: WorkedAggregate;
}

const CHARTED: readonly WorkedAggregate['name'][] = ['mean', 'slope'];

function ownOf(run: WorkedRun, quantity: string, members: Members): Charted[] {
  const aggregates = run.workingOf(quantity, members)?.aggregates ?? [];
  return aggregates
    .filter(({ name, rows }) => CHARTED.includes(name) && rows.length > 0)
    .map((aggregate) => ({ quantity, members, aggregate }));
}

/**
 * The means and lines that can be drawn for a result: its own, or those of the quantities that it is worked out from.
 * @param depth how far back they are looked for.
 */
export function chartedFor(run: WorkedRun, quantity: string, members: Members, depth = 2): Charted[] {
  const own = ownOf(run, quantity, members);
  if (own.length > 0 || depth === 0) return own;
  const terms = run.setting.layout.formulas.get(quantity)?.terms ?? new Map<string, never>();
  const found = [...terms.values()].flatMap((term) =>
    term.kind === 'cell' ? chartedFor(run, term.quantity, { ...members, ...term.members }, depth - 1) : [],
  );
  const byLatex = new Map(found.map((one) => [one.aggregate.latex, one]));
  return [...byLatex.values()];
}
