import type { Picture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { BeamsOnPaper, DisplayOnPaper } from './balances-on-paper.tsx';
import { RulerOnPaper } from './ruler-on-paper.tsx';
import { CaliperOnPaper, MicrometerOnPaper } from './slides-on-paper.tsx';
import { UprightOnPaper } from './upright-on-paper.tsx';

/** Any picture as it is printed: nothing on it moves, and the eye is level with the mark. */
export function PaperPicture({ picture, label }: { readonly picture: Picture; readonly label: string }): ReactNode {
  switch (picture.kind) {
    case 'liquid-column':
      return <UprightOnPaper picture={picture} label={label} />;
    case 'ruler':
      return <RulerOnPaper picture={picture} label={label} />;
    case 'caliper':
      return <CaliperOnPaper picture={picture} label={label} />;
    case 'micrometer':
      return <MicrometerOnPaper picture={picture} label={label} />;
    case 'beams':
      return <BeamsOnPaper picture={picture} label={label} />;
    case 'display':
      return <DisplayOnPaper picture={picture} label={label} />;
  }
}
