import { noteOn, type Picture } from '@green-beam/core';
import type { ReactNode } from 'react';
import type { ControlsProps } from '../../../instruments/view.ts';
import { viewOf } from '../../../instruments/views.ts';
import { useNumerals } from '../../../numbers/decimal-mark.ts';

/** What is known of a tool, what is to be done with it before it is read, and what to beware of. */
export function Handling({
  cautions,
  ...handled
}: ControlsProps<Picture, unknown> & { readonly cautions: readonly string[] }): ReactNode {
  const numerals = useNumerals();
  const { picture, closed } = handled;
  const note = noteOn(picture);
  const toDo = picture.handled !== null && !closed;
  if (note === null && !toDo && cautions.length === 0) return null;
  return (
    <div className="typing:hidden mt-3">
      {note !== null && <p className="border-l-[3px] border-hairline pl-4">{numerals(note)}</p>}
      {toDo && <div className="mt-3">{viewOf(picture).controls(handled)}</div>}
      {cautions.length > 0 && !closed && (
        <details className="mt-2 text-small">
          <summary className="min-h-8 cursor-pointer font-semibold text-doubt">
            Take care: {cautions[0]?.replace(/[.:].*$/s, '').toLowerCase()}
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
