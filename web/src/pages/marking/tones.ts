import { numberOf, placesOf, type OwnWork, type WorkedRun } from '@green-beam/core';
import type { CellPlace } from '../notebook/on-page.ts';
import type { CellTone } from '../notebook/report/report-table.tsx';

const WRONG: ReadonlySet<string> = new Set(['slip', 'unexplained', 'unreadable']);

/** Apart by more than rounding can make it: by more than one and a half of the last digit. */
function isApart(run: WorkedRun, book: WorkedRun, { quantity, members }: CellPlace): boolean {
  const [one, other] = [run, book].map((worked) => numberOf(worked.cellAt(quantity, members)));
  if (!one || !other) return false;
  const digit = 10 ** Math.max(one.place, other.place, -300);
  return Math.abs(one.value.minus(other.value).toNumber()) > 1.5 * digit;
}

/** A slip of its own, what only follows from one, or neither. */
export function toneOf(run: WorkedRun, book: WorkedRun, own: OwnWork, place: CellPlace): CellTone {
  const { quantity, members } = place;
  const state = own.at(quantity, members)?.state;
  if (state !== undefined && WRONG.has(state)) return 'slip';
  const kind = run.setting.layout.quantities.get(quantity)?.kind;
  if (kind !== 'computed') return null;
  return isApart(run, book, place) ? 'carried' : null;
}

/** The first cell in which there is a slip, in the order of the laboratory. */
export function firstDoubtful(run: WorkedRun, book: WorkedRun, own: OwnWork): CellPlace | null {
  for (const { id, over, only } of run.setting.layout.quantities.values())
    for (const members of placesOf(run.setting, over, only)) {
      const place = { quantity: id, members };
      if (toneOf(run, book, own, place) === 'slip') return place;
    }
  return null;
}
