import type { RulerPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import type { ControlsProps } from '../view.ts';
import type { RulerState } from './ruler-state.ts';

/** A thing to be laid at a ruler: its left end is put where it is to begin, then its right end is read. */
export default function Laying({ picture, state, change }: ControlsProps<RulerPicture, RulerState>): ReactNode {
  const { name } = picture.thing;
  return (
    <>
      <p className="text-small text-muted">
        The {name} is not in place yet. Slide its left end to the mark where it begins, then read its right end.
      </p>
      <div className="mt-1 flex flex-wrap gap-2">
        {(['left', 'right'] as const).map((end) => (
          <Button
            key={end}
            look="plain"
            aria-pressed={state.end === end}
            className={state.end === end ? 'bg-wash' : ''}
            onClick={() => change((now) => ({ ...now, end }))}
          >
            Look at its {end} end
          </Button>
        ))}
      </div>
    </>
  );
}
