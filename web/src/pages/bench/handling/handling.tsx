import type { Picture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { Bulb } from './bulb.tsx';
import { Floats } from './floats.tsx';
import type { HandledBy } from './handled-by.ts';
import { Laying } from './laying.tsx';
import { Pipette } from './pipette.tsx';
import { Tap } from './tap.tsx';

function Controls({ picture, ...handled }: HandledBy<Picture>): ReactNode {
  if (picture.kind === 'ruler') return <Laying picture={picture} {...handled} />;
  if (picture.kind === 'display') return null;
  const props = { picture, ...handled };
  switch (picture.handled) {
    case 'tap':
      return <Tap {...props} />;
    case 'bulb':
      return <Bulb {...props} />;
    case 'pipette':
      return <Pipette {...props} />;
    case 'try':
      return <Floats {...props} />;
    default:
      return null;
  }
}

/** What is known of a tool, what is to be done with it before it is read, and what to beware of. */
export function Handling({ cautions, ...handled }: HandledBy<Picture> & { readonly cautions: readonly string[] }): ReactNode {
  const numerals = useNumerals();
  const { picture, closed } = handled;
  const note = picture.kind === 'liquid-column' ? picture.note : null;
  const toDo = picture.kind !== 'display' && picture.handled !== null && !closed;
  if (note === null && !toDo && cautions.length === 0) return null;
  return (
    <div className="mt-3">
      {note !== null && <p className="border-l-[3px] border-hairline pl-4">{numerals(note)}</p>}
      {toDo && (
        <div className="mt-3">
          <Controls {...handled} />
        </div>
      )}
      {cautions.length > 0 && !closed && (
        <details className="mt-2 text-small">
          <summary className="min-h-8 cursor-pointer font-semibold text-doubt">Take care: {cautions[0]?.replace(/:.*|\.$/, '').toLowerCase()}</summary>
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
