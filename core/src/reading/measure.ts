import { isDifference } from './correction.ts';
import type { Instrument } from '../instruments/instrument.ts';
import {
  acceptanceBand,
  estimateFor,
  HAIR,
  isCoincidence,
  readingStep,
  stepOfDivision,
  type ReadingStep,
} from './expected-reading.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';

/** Scatter of an estimated digit, in divisions: 0.07 for the eye and the rounding to a tenth. */
const SCATTER = 0.08;
/** Scatter of the line that seems to coincide, in lines. */
const LINES = 0.4;

function scatterOf(instrument: Instrument): number {
  return isCoincidence(instrument) ? LINES : SCATTER;
}

/** What an entry is compared with: the instrument's step and division, the accepted band and the scatter. */
export interface Measure extends ReadingStep {
  readonly division: number;
  readonly band: number;
  readonly scatter: number;
  /** Another place the last digit may have: who mistakes a division may still write as many decimals as the class does on this tool. */
  readonly otherPlace: number | null;
}

/** Tasks never change, so it is worked out once for each. */
const MEASURES = new WeakMap<ReadingTask, Measure>();

export function measureOf(task: ReadingTask): Measure {
  const known = MEASURES.get(task) ?? measured(task);
  MEASURES.set(task, known);
  return known;
}

function measured(task: ReadingTask): Measure {
  const instrument = instrumentOf(task);
  const difference = isDifference(task);
  return {
    ...readingStep(instrument, task.rules),
    division: instrument.division,
    band: acceptanceBand(instrument, task.rules, difference),
    scatter:
      estimateFor(instrument, task.rules) === null && !isCoincidence(instrument)
        ? HAIR
        : scatterOf(instrument) * instrument.division * (difference ? Math.SQRT2 : 1),
    otherPlace: null,
  };
}

/** How somebody reads who takes a division of the scale for another size. */
export function measureWith(task: ReadingTask, division: number): Measure {
  const instrument = instrumentOf(task);
  const { band, division: real, place } = measureOf(task);
  return {
    ...stepOfDivision(division, estimateFor(instrument, task.rules) ?? 'nearest-division'),
    division,
    band: (band * division) / real,
    scatter: scatterOf(instrument) * division,
    otherPlace: place,
  };
}
