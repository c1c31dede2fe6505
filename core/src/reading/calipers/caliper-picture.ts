import { marksOf } from '../../scales/linear-scale.ts';
import { vernierDivision } from '../../scales/vernier.ts';
import { heldAt, type Held } from '../jaws/held.ts';
import { inDrawing, type Handled, type PicturedEye, type RuledMark } from '../picture/picture-parts.ts';
import { EYE_DISTANCE } from '../scale/scale-indication.ts';
import { VERNIER_GAP, type CaliperIndication } from './caliper-indication.ts';

/** A vernier caliper drawn in millimetres, x to the right of its main zero. */
export interface CaliperPicture {
  readonly kind: 'caliper';
  readonly instrumentId: string;
  readonly unitMark: string;
  readonly marks: readonly RuledMark[];
  /** Lines of the vernier, to the right of its own zero. */
  readonly vernierMarks: readonly RuledMark[];
  /** How far the slide begins before the vernier's zero. */
  readonly edge: number;
  /** Where the vernier's zero stands on the thing, and with the jaws closed where that is to be looked at. */
  readonly slideX: number;
  readonly closedX: number | null;
  readonly held: Held;
  readonly thing: { readonly name: string };
  readonly handled: Handled | null;
  readonly eye: PicturedEye;
}

/** What a caliper is opened further than the thing, before it is brought to it, in mm. */
const OPEN_BY = 14;
/** The main scale runs on beyond what the slide reaches, in mm. */
const RUNS_ON = 40;

export function caliperPicture({ tool, mark, situation }: CaliperIndication, eyeHeight: number): CaliperPicture {
  const { vernier, numbers, main } = tool;
  const division = vernierDivision(vernier);
  const { zeroError, loose, oval = 0 } = situation;
  const vernierMark = (line: number): RuledMark => {
    const numbered = line % numbers.every === 0;
    return {
      x: inDrawing(line * division),
      rank: numbered ? 'long' : 'short',
      label: numbered ? (numbers.printed[line / numbers.every] ?? null) : null,
    };
  };
  return {
    kind: 'caliper',
    instrumentId: tool.id,
    unitMark: tool.unit,
    // The main scale is numbered in centimetres.
    marks: marksOf(main).map(({ at, rank, label }) => ({
      x: at,
      rank,
      label: label === null ? null : String(at / 10),
    })),
    vernierMarks: Array.from({ length: vernier.lines + 1 }, (_, line) => vernierMark(line)),
    edge: tool.edge,
    slideX: inDrawing(mark + oval),
    // By hand the jaws can be closed on anything, and on nothing.
    closedX: zeroError === undefined && !loose ? null : inDrawing(zeroError ?? 0),
    held: heldAt(situation, OPEN_BY, main.to - RUNS_ON),
    thing: { name: situation.thing ?? 'acrylic rod' },
    handled: loose ? 'close' : null,
    eye: { height: eyeHeight, distance: EYE_DISTANCE, gap: VERNIER_GAP },
  };
}
