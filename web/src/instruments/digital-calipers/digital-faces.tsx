import type { DisplayPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';
import Faces from '../jaws/faces.tsx';
import type { Faces as FacesOf } from '../jaws/held-state.ts';
import type { ControlsProps } from '../view.ts';
import type { DigitalHold } from './digital-hold.ts';

/** Jaws with a display: they can be zeroed where they stand, and count in inches. */
export default function DigitalFaces({
  picture,
  faces,
  ...props
}: ControlsProps<DisplayPicture, DigitalHold> & { readonly faces: FacesOf }): ReactNode {
  const { sight, state, change, note } = props;
  const zero = (): void => {
    const { markAt } = sight.seen();
    note('zero', Number(markAt.toFixed(4)));
    change((now) => ({ ...now, zeroed: markAt }));
  };
  return (
    <Faces
      {...props}
      faces={faces}
      thing={picture.thing.name}
      name="jaws"
      howTo="Drag the slide, or use the arrow keys, until the jaws touch."
    >
      <Button look="plain" onClick={zero}>
        Zero
      </Button>
      <Button
        look="plain"
        aria-pressed={state.inches}
        onClick={() => change((now) => ({ ...now, inches: !now.inches }))}
      >
        {state.inches ? 'Show mm' : 'Show inches'}
      </Button>
    </Faces>
  );
}
