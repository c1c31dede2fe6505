import { scaleReadingOf, seenAt, type ScaleReading } from '../scale-reading.ts';
import { drawnAt } from '../picture.ts';
import type { PathPiece } from '../path.ts';
import type { ReadingTask } from '../reading-task.ts';
import type { SightSlip } from './slip.ts';

function shiftWhen(task: ReadingTask, applies: (reading: ScaleReading) => boolean): number | null {
  const reading = scaleReadingOf(task);
  return reading && applies(reading) ? seenAt(reading, reading.edge) - reading.present : null;
}

function wallPath(task: ReadingTask): PathPiece[] {
  const reading = scaleReadingOf(task);
  return reading
    ? [
        {
          kind: 'level',
          y: drawnAt(reading, reading.value) - reading.edge,
          side: 'wall',
          text: reading.tool.body.kind === 'float' ? 'the stem' : 'the wall',
        },
      ]
    : [];
}

function liquidName(task: ReadingTask): string {
  const name = task.situation.liquid ?? 'the liquid';
  return name.charAt(0).toUpperCase() + name.slice(1);
}

/** Where the number is too large or too small depends on which way the numbers grow. */
function tooMuch(task: ReadingTask): string {
  return scaleReadingOf(task)?.tool.scale.direction === 'down' ? 'too little' : 'too much';
}

export const meniscusEdge: SightSlip = {
  id: 'meniscus-edge',
  stage: 'sight',
  name: 'Read at the wall',
  baseRate: 0.12,
  why: (task) =>
    scaleReadingOf(task)?.tool.body.kind === 'float'
      ? `${liquidName(task)} climbs the stem. This class reads at the level of the liquid around it, so the top of the climb always reads too little.`
      : `${liquidName(task)} climbs the glass. The scale was made for the lowest point of the curve, so the edge always reads ${tooMuch(task)}.`,
  lookAt: (task) =>
    scaleReadingOf(task)?.tool.body.kind === 'float'
      ? 'the level surface of the liquid, away from the stem'
      : 'the lowest point of the curve, in the middle of the tube',
  shift: (task) => shiftWhen(task, (reading) => reading.edge > 0),
  path: wallPath,
};

export const meniscusLow: SightSlip = {
  id: 'meniscus-low',
  stage: 'sight',
  name: 'Read at the wall, below the dome',
  baseRate: 0.12,
  why: (task) =>
    `${liquidName(task)} does not wet this wall and stands in a dome. The scale is read at the top of the dome, so the edge always reads ${tooMuch(task) === 'too much' ? 'too little' : 'too much'}.`,
  lookAt: () => 'the top of the dome, in the middle of the tube',
  shift: (task) => shiftWhen(task, (reading) => reading.edge < 0),
  path: wallPath,
};
