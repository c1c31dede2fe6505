import type { WorkedAggregate, WorkedRun } from '@green-beam/core';
import { lazy, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../numbers/measured-number.tsx';
import { Steps } from '../../numbers/steps.tsx';
import { WrittenResult } from '../../numbers/written-result.tsx';
import { FetchedPart } from '../../ui/fetched-part.tsx';
import type { CellPlace } from './on-page.ts';

const Typeset = lazy(() => import('../../numbers/typeset.tsx'));

/** What a mean, a spread or a slope was taken of. */
function Aggregate({ aggregate }: { readonly aggregate: WorkedAggregate }): ReactNode {
  const numerals = useNumerals();
  return (
    <section className="border-t border-hairline py-3">
      <FetchedPart fallback={<p className="text-muted">Typesetting …</p>}>
        <Typeset latex={aggregate.latex} />
        <table className="mt-2">
          <thead>
            <tr className="text-small">
              <td />
              {aggregate.headings.map((heading) => (
                <th key={heading} scope="col" className="px-4 text-right font-normal">
                  <Typeset latex={heading} />
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {aggregate.rows.map(({ name, numbers }) => (
              <tr key={name} className="border-t border-hairline">
                <th scope="row" className="pr-4 text-left text-small font-normal">
                  {name}
                </th>
                {numbers.map((number, i) => (
                  <td key={i} className="px-4 py-1 text-right font-mono">
                    {numerals(number)}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </FetchedPart>
    </section>
  );
}

interface WorkingShownProps {
  readonly run: WorkedRun;
  readonly place: CellPlace;
  /** The number it comes to. */
  readonly text: string;
}

/** How a number comes about: the formula, the numbers in it, what its means are of, and each step with the digits carried and the rule that decided them. */
export function WorkingShown({ run, place: { quantity, members }, text }: WorkingShownProps): ReactNode {
  const working = run.workingOf(quantity, members);
  if (!working) return null;
  const isOneAggregate = working.steps.length === 0 && working.aggregates.length > 0;
  return (
    <>
      <FetchedPart fallback={<p className="text-muted">Typesetting …</p>}>
        <Typeset latex={working.symbolic} />
        {!isOneAggregate && <Typeset latex={working.substituted} />}
      </FetchedPart>
      {working.aggregates.map((aggregate) => (
        <Aggregate key={aggregate.latex} aggregate={aggregate} />
      ))}
      {working.steps.length === 0 ? (
        !isOneAggregate && <p className="border-t border-hairline py-3 text-muted">It is used as it is.</p>
      ) : (
        <Steps steps={working.steps} />
      )}
      <WrittenResult>
        <MeasuredNumber text={text} unit={working.unit} />
      </WrittenResult>
    </>
  );
}
