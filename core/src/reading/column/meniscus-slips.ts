import type { ScaleTool } from '../../instruments/instrument.ts';
import { worstEstimate } from '../indication/acceptance.ts';
import type { AnySituation } from '../indication/indication.ts';
import type { PathPiece } from '../picture/path.ts';
import { seenAt, type ScaleIndication } from '../scale/scale-indication.ts';
import type { SightSlip, SlipIdentity } from '../slips/slip.ts';

/** A surface with a curve at a wall. */
export interface Curved extends ScaleIndication<ScaleTool, AnySituation & { readonly liquid?: string }> {
  /** Height in mm of the liquid at the wall above the mark that is read; negative for a dome, 0 where there is nothing else to read. */
  readonly edge: number;
}

/** Read at the wall instead of the mark: the same habit in a tube and at a stem. */
export const MENISCUS_EDGE = {
  id: 'meniscus-edge',
  stage: 'sight',
  name: 'Read at the wall',
  baseRate: 0.12,
} as const satisfies SlipIdentity & Pick<SightSlip, 'stage'>;

/** What reading at the edge makes of a reading, in the instrument's unit. */
export function edgeShift(indication: Curved): number {
  return seenAt(indication, indication.edge) - indication.present;
}

/** The shift, where it is further than an estimate can be off: in a wide vessel the climb is a small part of a division. */
function edgeNoticed(indication: Curved): number | null {
  const shift = edgeShift(indication);
  return Math.abs(shift) > worstEstimate(indication) ? shift : null;
}

/** Where the edge is on the picture. */
export function wallPath({ positionOf, mark, edge }: Curved, text: string): PathPiece[] {
  return [{ kind: 'level', y: positionOf(mark) - edge, side: 'wall', text }];
}

/** The liquid at the beginning of a sentence. */
export function liquidAtStart({ situation: { liquid = 'the liquid' } }: Curved): string {
  return liquid.charAt(0).toUpperCase() + liquid.slice(1);
}

/** Where the number is too large or too small depends on which way the numbers grow. */
function tooMuch({ tool }: Curved): boolean {
  return tool.scale.direction === 'up';
}

const meniscusEdge: SightSlip<Curved> = {
  ...MENISCUS_EDGE,
  why: (indication) =>
    `${liquidAtStart(indication)} climbs the glass. The scale is made for the lowest point of the curve. The edge always reads ${tooMuch(indication) ? 'too much' : 'too little'}.`,
  lookAt: () => 'the lowest point of the curve, in the middle of the tube',
  shift: (indication) => (indication.edge > 0 ? edgeNoticed(indication) : null),
  path: (indication) => wallPath(indication, 'the wall'),
};

const meniscusLow: SightSlip<Curved> = {
  id: 'meniscus-low',
  stage: 'sight',
  name: 'Read at the wall, below the dome',
  baseRate: 0.12,
  why: (indication) =>
    `${liquidAtStart(indication)} does not wet this wall, so its surface is a dome. Read at the top of the dome. The edge always reads ${tooMuch(indication) ? 'too little' : 'too much'}.`,
  lookAt: () => 'the top of the dome, in the middle of the tube',
  shift: (indication) => (indication.edge < 0 ? edgeNoticed(indication) : null),
  path: (indication) => wallPath(indication, 'the wall'),
};

/** What is read at the wall of a tube or a cup. */
export const MENISCUS_SLIPS: readonly SightSlip<Curved>[] = [meniscusEdge, meniscusLow];
