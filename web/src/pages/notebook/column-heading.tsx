import { instrumentById, type ComputedQuantity, type ReadQuantity } from '@green-beam/core';
import type { ReactNode } from 'react';

interface ColumnHeadingProps {
  readonly quantity: ReadQuantity | ComputedQuantity;
  /** The tool the column is read on; null for what is worked out. */
  readonly instrumentId: string | null;
  readonly mayWrite: boolean;
  readonly onChoose: (instrumentId: string) => void;
}

/** A column's name, its unit, and the tool that says how many decimals belong in it. */
export function ColumnHeading({ quantity, instrumentId, mayWrite, onChoose }: ColumnHeadingProps): ReactNode {
  const choices = quantity.kind === 'read' ? quantity.instruments : [];
  return (
    <th scope="col" className={`px-3 py-2 text-right font-semibold ${quantity.kind === 'computed' ? 'bg-ink/[0.035]' : ''}`}>
      {quantity.name}
      <span className="block">{quantity.unit}</span>
      {instrumentId !== null &&
        (mayWrite && choices.length > 1 ? (
          <select aria-label={`Tool for ${quantity.name.toLowerCase()}`} value={instrumentId} onChange={(event) => onChoose(event.target.value)} className="-mr-1 min-h-9 max-w-full bg-transparent text-right font-normal text-muted">
            {choices.map((id) => (
              <option key={id} value={id}>{instrumentById(id).name}</option>
            ))}
          </select>
        ) : (
          <span className="block min-h-9 content-center font-normal text-muted">{instrumentById(instrumentId).name}</span>
        ))}
    </th>
  );
}
