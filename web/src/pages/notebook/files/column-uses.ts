import { enteredQuantities, quantityUses, type ColumnUse, type Setting } from '@green-beam/core';

/** A use of a column, to be chosen from a list. */
export interface UseChoice {
  readonly key: string;
  readonly name: string;
  readonly use: ColumnUse;
}

/** A use as one text; the unit is beside it. */
export function keyOfUse(use: ColumnUse): string {
  switch (use.kind) {
    case 'nothing':
      return '';
    case 'dimension':
      return `dimension ${use.dimension}`;
    case 'quantity':
      return `quantity ${use.quantity} ${JSON.stringify(use.members)}`;
  }
}

/** Everything that a column of a table can be in a laboratory. */
export function usesOf(setting: Setting): UseChoice[] {
  const dimensions = [...setting.layout.dimensions.values()].map(({ id, name }) => ({
    name,
    use: { kind: 'dimension', dimension: id } as const,
  }));
  const quantities = enteredQuantities(setting).flatMap((quantity) =>
    quantityUses(setting, quantity).map(({ members, name }) => ({
      name: 'unit' in quantity && quantity.unit !== '' ? `${name} (${quantity.unit})` : name,
      use: { kind: 'quantity', quantity: quantity.id, members, unit: null } as const,
    })),
  );
  return [...dimensions, ...quantities].map((choice) => ({ ...choice, key: keyOfUse(choice.use) }));
}
