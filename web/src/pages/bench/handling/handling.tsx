import { noteOn, type Picture } from '@green-beam/core';
import { lazy, Suspense, type ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import type { HandledBy } from './handled-by.ts';

// Many pictures are only read; what is needed to handle a tool is fetched with the first that is handled.
const Controls = lazy(() => import('./controls.tsx'));

/** What is known of a tool, what is to be done with it before it is read, and what to beware of. */
export function Handling({
  cautions,
  ...handled
}: HandledBy<Picture> & { readonly cautions: readonly string[] }): ReactNode {
  const numerals = useNumerals();
  const { picture, closed } = handled;
  const note = noteOn(picture);
  const toDo = picture.handled !== null && !closed;
  if (note === null && !toDo && cautions.length === 0) return null;
  return (
    <div className="mt-3">
      {note !== null && <p className="border-l-[3px] border-hairline pl-4">{numerals(note)}</p>}
      {toDo && (
        <div className="mt-3">
          <Suspense fallback={<p className="min-h-11" />}>
            <Controls {...handled} />
          </Suspense>
        </div>
      )}
      {cautions.length > 0 && !closed && (
        <details className="mt-2 text-small">
          <summary className="min-h-8 cursor-pointer font-semibold text-doubt">
            Take care: {cautions[0]?.replace(/:.*|\.$/, '').toLowerCase()}
          </summary>
          <ul className="mt-1 pl-4">
            {cautions.map((caution) => (
              <li key={caution}>{caution}</li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
