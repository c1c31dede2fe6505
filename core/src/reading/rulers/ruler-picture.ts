import { marksOf } from '../../scales/linear-scale.ts';
import { inDrawing, type Handled, type PicturedEye, type RuledMark } from '../picture/picture-parts.ts';
import { EYE_DISTANCE } from '../scale/scale-indication.ts';
import { among, type Line, type Words } from '../words/lines.ts';
import type { RulerIndication } from './ruler-indication.ts';

/** A thing laid against a ruler, in millimetres to the right of the ruler's physical end. */
export interface RulerPicture {
  readonly kind: 'ruler';
  readonly instrumentId: string;
  readonly unitMark: string;
  readonly length: number;
  readonly marks: readonly RuledMark[];
  readonly thing: { readonly name: string; readonly fromX: number; readonly toX: number };
  readonly handled: Handled | null;
  readonly eye: PicturedEye;
}

export function rulerPicture({ tool, mark, gap, situation, positionOf }: RulerIndication, eye: number): RulerPicture {
  const x = (at: number): number => inDrawing(positionOf(at));
  return {
    kind: 'ruler',
    instrumentId: tool.id,
    unitMark: tool.unit,
    length: inDrawing(x(tool.scale.to) + 4),
    marks: marksOf(tool.scale).map(({ at, rank, label }) => ({ x: x(at), rank, label })),
    thing: { name: situation.thing ?? 'slate tile', fromX: x(situation.from ?? 0), toX: x(mark) },
    handled: situation.loose ? 'lay' : null,
    eye: { height: eye, distance: EYE_DISTANCE, gap },
  };
}

const ACROSS: Omit<Words, 'subject'> = {
  on: 'to the right of',
  before: 'to the left of',
  lower: 'the left one',
  upper: 'the right one',
};

/** One end of a thing in words a reading can be made from. @param x where it seems to lie, in mm to the right of the ruler's physical end. */
export function describeEnd({ marks, thing }: RulerPicture, which: 'left' | 'right', x: number): string {
  const lines = marks.map(({ x: at, label }): Line => ({ at, label })).sort((a, b) => a.at - b.at);
  const before =
    Math.abs(x) < 0.05
      ? `The ${which} end lies at the ruler’s own end, before the zero line.`
      : `The ${which} end lies before the zero line.`;
  const words = { ...ACROSS, subject: `The ${which} end of the ${thing.name} lies` };
  return among(lines, x, words, { before, beyond: `The ${which} end lies beyond the last line.` });
}

/** Both ends of a thing at a ruler. @param shift by how much the thing, as it lies and is seen, seems further right than in the picture. */
export function describeRuler(picture: RulerPicture, shift: number): string {
  const { fromX, toX } = picture.thing;
  return `${describeEnd(picture, 'left', fromX + shift)} ${describeEnd(picture, 'right', toX + shift)}`;
}
