import { LAST, nameLatex, unitsLike, type Calculation, type HouseRules } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { CalculatedNumber } from '../../numbers/calculated-number.tsx';
import { Chain } from '../../numbers/chain.tsx';
import { Button } from '../../ui/button.tsx';
import { unitText } from '../../numbers/unit-text.ts';
import { useTape } from '../../numbers/use-tape.ts';

interface InAnotherUnitProps {
  /** The tape up to the line whose result is converted. */
  readonly lines: readonly string[];
  readonly unit: string;
  readonly name: string | null;
  readonly rules: HouseRules;
  readonly onAdd: (line: string) => void;
}

/** The result in another unit of its kind, with the chain that leads there; the class’s own unit is one tap away. */
export function InAnotherUnit({ lines, unit, name, rules, onAdd }: InAnotherUnitProps): ReactNode {
  const [chosen, setChosen] = useState('');
  const others = unitsLike(unit);
  const wanted = others.includes(chosen) ? chosen : '';
  const line = `${name ?? LAST} -> ${wanted}`;
  const { results } = useTape(wanted === '' ? [''] : [...lines, line], rules);
  const calculation = results.at(-1)?.calculation;
  if (others.length === 0) return null;
  return (
    <section aria-labelledby="other-unit" className="mt-8">
      <h3 id="other-unit" className="font-bold">
        In another unit
      </h3>
      <select
        aria-labelledby="other-unit"
        value={wanted}
        onChange={(event) => setChosen(event.target.value)}
        className="mt-1 min-h-11 w-48 border-b-2 border-ink bg-surface px-2"
      >
        <option value="">choose a unit</option>
        {others.map((other) => (
          <option key={other} value={other}>
            {unitText(other)}
          </option>
        ))}
      </select>
      {wanted !== '' && calculation && calculation.unit === (wanted === 'h:min:s' ? '' : wanted) && (
        <>
          <Chain calculation={calculation} />
          <p className="flex flex-wrap items-center justify-between gap-4 text-xl">
            <CalculatedNumber calculation={calculation} />
            <Button look="quiet" onClick={() => onAdd(line)}>
              Add as a line
            </Button>
          </p>
        </>
      )}
    </section>
  );
}

/** How a line reads in LaTeX, its result included. */
export function lineLatex(name: string | null, calculation: Calculation, result: string): string {
  const head = name === null ? '' : `${nameLatex(name)} = `;
  return `${head}${calculation.latex} = ${result}`;
}
