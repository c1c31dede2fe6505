import type { Random } from './random.ts';

/** The items in an order by lot. */
export function shuffled<T>(random: Random, items: readonly T[]): T[] {
  const left = [...items];
  return items.flatMap(() => left.splice(random.below(left.length), 1));
}
