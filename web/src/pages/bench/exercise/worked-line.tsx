import type { HouseRules } from '@green-beam/core';
import { lazy, useMemo, type ReactNode } from 'react';
import { CalculatedNumber } from '../../../numbers/calculated-number.tsx';
import { Chain, isConversion } from '../../../numbers/chain.tsx';
import { Steps } from '../../../numbers/steps.tsx';
import { useTape } from '../../../numbers/use-tape.ts';
import { WrittenResult } from '../../../numbers/written-result.tsx';
import { FetchedPart } from '../../../ui/fetched-part.tsx';

const Typeset = lazy(() => import('../../../numbers/typeset.tsx'));

/** A line of working, typeset and worked out step by step; each step can be asked why it has the digits it has. */
export function WorkedLine({ line, rules }: { readonly line: string; readonly rules: HouseRules }): ReactNode {
  const lines = useMemo(() => [line], [line]);
  // What is set is written with a point, whatever the class writes.
  const pointed = useMemo<HouseRules>(() => ({ ...rules, decimalMark: 'point' }), [rules]);
  const calculation = useTape(lines, pointed).results[0]?.calculation ?? null;
  if (!calculation) return <div className="min-h-40" />;
  return (
    <section className="mt-8" aria-label="The working">
      {calculation.steps.some(({ operation }) => operation !== 'convert') && (
        <FetchedPart fallback={<p className="min-h-12" />}>
          <Typeset latex={calculation.latex} />
        </FetchedPart>
      )}
      {isConversion(calculation) && <Chain calculation={calculation} />}
      <div className="border-t border-hairline">
        <Steps steps={calculation.steps} />
      </div>
      <WrittenResult>
        <CalculatedNumber calculation={calculation} />
      </WrittenResult>
    </section>
  );
}
