/** Students in groups, by their ids. */
export type Groups = readonly (readonly string[])[];

/** Most people of one group. */
export const MOST = 4;

/**
 * Puts students into groups by chance: as many as are needed for none to be larger than wished, and none smaller by more than one.
 * @param chance uniform in [0, 1).
 */
export function byChance(students: readonly string[], size: number, chance: () => number): Groups {
  const order = [...students];
  for (let i = order.length - 1; i > 0; i -= 1) {
    const j = Math.floor(chance() * (i + 1));
    [order[i], order[j]] = [order[j] as string, order[i] as string];
  }
  const count = Math.ceil(order.length / size);
  return Array.from({ length: count }, (_, group) => order.filter((_one, i) => i % count === group));
}

/** The groups of last time, of those students who are still there; who was in none of them is left over. */
export function asLastTime(last: Groups, students: readonly string[]): Groups {
  return last.map((group) => group.filter((id) => students.includes(id))).filter((group) => group.length > 0);
}

/** One student alone each. */
export function eachAlone(students: readonly string[]): Groups {
  return students.map((id) => [id]);
}

/** Moves a student to a group by its place; to a new one at the end; or, with null, out of every group. Empty groups are gone. */
export function moved(groups: Groups, id: string, to: number | null): Groups {
  const without = groups.map((group) => group.filter((one) => one !== id));
  if (to === null) return without.filter((group) => group.length > 0);
  const target = without[to];
  const placed = target ? without.map((group, i) => (i === to ? [...group, id] : group)) : [...without, [id]];
  return placed.filter((group) => group.length > 0);
}

/** Who is in no group. */
export function leftOver(groups: Groups, students: readonly string[]): string[] {
  const placed = new Set(groups.flat());
  return students.filter((id) => !placed.has(id));
}
