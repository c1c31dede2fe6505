import { displayReadingOf, beamReadingOf } from './balance-reading.ts';
import type { ReadingTask } from './reading-task.ts';
import { scaleReadingOf } from './scale-reading.ts';
import { caliperReadingOf, micrometerReadingOf } from './slide-reading.ts';

/** Where the mark that is read stands, in the instrument's unit, before anything is taken off; null for a ring, which is only set. */
export function markRead(task: ReadingTask): number | null {
  return (
    scaleReadingOf(task)?.value ??
    caliperReadingOf(task)?.position ??
    micrometerReadingOf(task)?.position ??
    beamReadingOf(task)?.load ??
    displayReadingOf(task)?.value ??
    null
  );
}
