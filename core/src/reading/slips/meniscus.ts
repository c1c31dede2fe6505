import { liquidColumnOf, type LiquidColumn } from '../liquid-column.ts';
import { yOnTube } from '../picture.ts';
import type { PathPiece } from '../path.ts';
import type { ReadingTask } from '../reading-task.ts';
import type { SightSlip } from './slip.ts';

function shiftWhen(task: ReadingTask, applies: (column: LiquidColumn) => boolean): number | null {
  const column = liquidColumnOf(task);
  return column && applies(column) ? column.wallHeight / column.millimetresPerUnit : null;
}

function wallPath(task: ReadingTask): PathPiece[] {
  const column = liquidColumnOf(task);
  return column ? [{ kind: 'level', y: yOnTube(column.cylinder, column.value) - column.wallHeight, side: 'wall', text: 'the wall' }] : [];
}

function liquidName(task: ReadingTask): string {
  const name = task.situation.liquid ?? 'the liquid';
  return name.charAt(0).toUpperCase() + name.slice(1);
}

export const meniscusEdge: SightSlip = {
  id: 'meniscus-edge',
  stage: 'sight',
  name: 'Read at the wall',
  baseRate: 0.12,
  why: (task) => `${liquidName(task)} climbs the glass. The scale was made for the lowest point of the curve, so the edge always reads too much.`,
  lookAt: () => 'the lowest point of the curve, in the middle of the tube',
  shift: (task) => shiftWhen(task, (column) => column.wallHeight > 0),
  path: wallPath,
};

export const meniscusLow: SightSlip = {
  id: 'meniscus-low',
  stage: 'sight',
  name: 'Read at the wall, below the dome',
  baseRate: 0.12,
  why: (task) => `${liquidName(task)} does not wet this wall and stands in a dome. The scale is read at the top of the dome, so the edge always reads too little.`,
  lookAt: () => 'the top of the dome, in the middle of the tube',
  shift: (task) => shiftWhen(task, (column) => column.wallHeight < 0),
  path: wallPath,
};
