import type { Ingredient } from '@green-beam/core';

/** An ingredient with a name that can stand in a calculation: `after`, or `density2` where there are several. */
export interface Chip extends Ingredient {
  readonly label: string;
}

/** Short names for the numbers of a calculation, each another one. */
export function chipsOf(ingredients: readonly Ingredient[]): Chip[] {
  const counts = new Map<string, number>();
  for (const { quantity } of ingredients) counts.set(quantity, (counts.get(quantity) ?? 0) + 1);
  const used = new Set<string>();
  return ingredients.map((one) => {
    const members = Object.values(one.members).map((member) => member.replace(/[^A-Za-z0-9]/g, ''));
    const wanted = (counts.get(one.quantity) ?? 0) > 1 ? `${one.quantity}${members.join('')}` : one.quantity;
    let label = wanted;
    for (let n = 2; used.has(label); n += 1) label = `${wanted}_${n}`;
    used.add(label);
    return { ...one, label };
  });
}
