import { instrumentOf, type ReadingTask } from './reading-task.ts';
import { estimateFor } from './expected-reading.ts';

const ESTIMATE_HINTS = {
  tenths: 'Part the space beyond that mark into ten in your mind: the digit you estimate is the last one you write.',
  'half-division': 'Judge whether the surface is nearer to the mark, the middle of the space, or the next mark: this class writes halves.',
  'nearest-division': 'Take the nearest mark: this class writes no digit beyond the marks.',
} as const;

/** Hints in the reading order; they name what to do and never a number of this picture. */
export function hintsFor(task: ReadingTask): string[] {
  const instrument = instrumentOf(task);
  if (instrument.reads === 'display') return ['Wait for the stability mark.', 'Write every digit shown, zeros too.', 'Add the unit.'];
  const surface = task.situation.surface === 'domed' ? 'the top of the dome' : task.situation.surface === 'flat' ? 'the flat surface' : 'the lowest point of the curve';
  return [
    'Level the beam: move the eye until the surface closes to one line.',
    `Look at ${surface}, in the middle of the tube.`,
    'Take two neighbouring labels and count the spaces between them: that gives one division.',
    'Start from the label below and count the marks the surface has passed.',
    ESTIMATE_HINTS[estimateFor(instrument, task.rules)],
    'Write the unit printed on the glass.',
  ];
}
