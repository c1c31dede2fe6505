import type { Picture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { Bulb } from './bulb.tsx';
import { Faces } from './faces.tsx';
import { Floats } from './floats.tsx';
import type { HandledBy } from './handled-by.ts';
import { Laying } from './laying.tsx';
import { Pipette } from './pipette.tsx';
import { Tap } from './tap.tsx';
import { WeighOnBeams } from './weigh-on-beams.tsx';
import { WeighOnDisplay } from './weigh-on-display.tsx';

/** What is to be done with a tool before it is read. */
export default function Controls({ picture, ...handled }: HandledBy<Picture>): ReactNode {
  if (picture.kind === 'ruler') return <Laying picture={picture} {...handled} />;
  if (picture.kind === 'caliper' || picture.kind === 'micrometer' || (picture.kind === 'display' && picture.jaws))
    return <Faces picture={picture} {...handled} />;
  if (picture.kind === 'beams') return <WeighOnBeams picture={picture} {...handled} />;
  if (picture.kind === 'display') return <WeighOnDisplay picture={picture} {...handled} />;
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
    case 'lay':
    case 'weigh':
    case 'settle':
    case 'close':
    case null:
      return null;
  }
}
