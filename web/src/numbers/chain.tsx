import { chainLatex, type Calculation, type Conversion } from '@green-beam/core';
import { lazy, type ReactNode } from 'react';
import { FetchedPart } from '../ui/fetched-part.tsx';

const Typeset = lazy(() => import('./typeset.tsx'));

/** True for a line that ends in a conversion. */
export function isConversion(calculation: Calculation): calculation is Conversion {
  return 'chain' in calculation;
}

/** How a result came into its unit: the chain of fractions, or the formula of a temperature. */
export function Chain({ calculation }: { readonly calculation: Calculation }): ReactNode {
  if (!isConversion(calculation)) return null;
  const { from, chain, formula, unit } = calculation;
  const latex = formula ?? (chain.length > 0 ? chainLatex(from, chain, unit) : null);
  if (latex === null) return null;
  return (
    <FetchedPart fallback={<p className="text-muted">Typesetting …</p>}>
      <Typeset latex={latex} />
    </FetchedPart>
  );
}
