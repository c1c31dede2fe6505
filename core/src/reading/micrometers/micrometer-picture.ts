import { SLEEVE, THIMBLE_DIVISIONS } from '../../instruments/micrometers.ts';
import { marksOf } from '../../scales/linear-scale.ts';
import { heldAt, inDrawingFine, type Held } from '../jaws/held.ts';
import { inDrawing, type Handled } from '../picture/picture-parts.ts';
import type { MicrometerIndication } from './micrometer-indication.ts';

/** A micrometer: how far its thimble has uncovered the sleeve, in millimetres, and how it is turned. */
export interface MicrometerPicture {
  readonly kind: 'micrometer';
  readonly instrumentId: string;
  readonly unitMark: string;
  /** Whole millimetres above the datum line, halves below it. */
  readonly marks: readonly { readonly x: number; readonly side: 'above' | 'below'; readonly label: string | null }[];
  readonly thimbleDivisions: number;
  /** Lines of the vernier on the sleeve, in thimble divisions above the datum line; empty where there is none. */
  readonly sleeveLines: readonly number[];
  /** Millimetres uncovered on the thing, and with the faces closed where that is to be looked at. */
  readonly openX: number;
  readonly closedX: number | null;
  readonly held: Held;
  readonly thing: { readonly name: string };
  readonly handled: Handled | null;
}

/** What a micrometer is opened further than the thing, before it is brought to it, in mm. */
const OPEN_BY = 1.9;

/** A sleeve's lines: whole millimetres above, numbered each five, and the halves between them below. */
function sleeveMarks(): MicrometerPicture['marks'] {
  return marksOf(SLEEVE).map(({ at, label }) => ({ x: at, side: Number.isInteger(at) ? 'above' : 'below', label }));
}

export function micrometerPicture({ tool, mark, situation }: MicrometerIndication): MicrometerPicture {
  const { zeroError, loose, oval = 0 } = situation;
  return {
    kind: 'micrometer',
    instrumentId: tool.id,
    unitMark: tool.unit,
    marks: sleeveMarks(),
    thimbleDivisions: THIMBLE_DIVISIONS,
    sleeveLines:
      tool.sleeveLines === 0
        ? []
        : Array.from({ length: tool.sleeveLines + 1 }, (_, line) => inDrawing((line * 9) / 10)),
    openX: inDrawingFine(mark + oval),
    // By hand the faces can be closed on anything, and on nothing.
    closedX: zeroError === undefined && !loose ? null : inDrawing(zeroError ?? 0),
    held: heldAt(situation, OPEN_BY, tool.range[1]),
    thing: { name: situation.thing ?? 'acrylic rod' },
    handled: loose ? 'close' : null,
  };
}
