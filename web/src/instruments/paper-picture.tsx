import {
  instrumentById,
  type DisplayPicture,
  type Instrument,
  type LiquidColumnPicture,
  type Picture,
} from '@green-beam/core';
import type { ReactNode } from 'react';
import { BeamsOnPaper } from './beam-balances/beams-on-paper.tsx';
import { BURETTE_LOOK } from './burettes/burette-look.ts';
import { CaliperOnPaper } from './calipers/caliper-on-paper.tsx';
import { ClockOnPaper } from './clocks/clock-on-paper.tsx';
import { DisplayOnPaper } from './display/display-on-paper.tsx';
import { GLASS_LOOK } from './graduated-glass/glass-look.ts';
import { HYDROMETER_LOOK } from './hydrometers/hydrometer-look.tsx';
import { MicrometerOnPaper } from './micrometers/micrometer-on-paper.tsx';
import { RING_LOOK } from './rings/ring-look.ts';
import { RulerOnPaper } from './rulers/ruler-on-paper.tsx';
import { THERMOMETER_LOOK } from './thermometers/thermometer-look.tsx';
import { withLook, type Look } from './upright/look.ts';
import { UprightOnPaper } from './upright/stage/upright-on-paper.tsx';

interface PaperProps<P> {
  readonly picture: P;
  readonly label: string;
}

/** How tools of one family are printed. P is their picture. */
interface OnPaper<P extends Picture = Picture> {
  /** It is read at its own height: made to fit a line of pictures, its numbers would be too small. */
  readonly hasOwnHeight: boolean;
  drawn(props: PaperProps<P>): ReactNode;
}

function upright(look: Look): OnPaper<LiquidColumnPicture> {
  return {
    hasOwnHeight: false,
    drawn: ({ picture, label }) => <UprightOnPaper picture={withLook(picture, look)} label={label} />,
  };
}

function display(viewNamed: (caption: string) => string): OnPaper<DisplayPicture> {
  return { hasOwnHeight: false, drawn: (props) => <DisplayOnPaper {...props} viewNamed={viewNamed} /> };
}

/** How each family is printed, one line each. */
const ON_PAPER: Readonly<Record<Instrument['family'], OnPaper>> = {
  'graduated-glass': upright(GLASS_LOOK),
  burettes: upright(BURETTE_LOOK),
  rings: upright(RING_LOOK),
  thermometers: upright(THERMOMETER_LOOK),
  hydrometers: upright(HYDROMETER_LOOK),
  rulers: { hasOwnHeight: false, drawn: RulerOnPaper },
  calipers: { hasOwnHeight: false, drawn: CaliperOnPaper },
  micrometers: { hasOwnHeight: false, drawn: MicrometerOnPaper },
  'beam-balances': { hasOwnHeight: true, drawn: BeamsOnPaper },
  'digital-balances': display((caption) => `with ${caption} on the pan`),
  'digital-calipers': display((caption) => caption),
  clocks: { hasOwnHeight: false, drawn: ClockOnPaper },
};

function onPaper({ instrumentId }: Picture): OnPaper {
  return ON_PAPER[instrumentById(instrumentId).family];
}

/** Whether a picture is printed at its own height, and not at that of its line. */
export function hasOwnHeight(picture: Picture): boolean {
  return onPaper(picture).hasOwnHeight;
}

/** Any picture as it is printed: nothing on it moves, and the eye is level with the mark. */
export function PaperPicture({ picture, label }: PaperProps<Picture>): ReactNode {
  const Drawn = onPaper(picture).drawn;
  return <Drawn picture={picture} label={label} />;
}
