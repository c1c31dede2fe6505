import { asDisplayed, besides, shownBy } from './balance-reading.ts';
import { instrumentOf, type ReadingTask } from './reading-task.ts';

/** What is written: the reading itself, less a zero error, or the difference of two readings. */
export type Asked = 'observed' | 'corrected' | 'delivered';

/** What a task asks for: the difference where a starting mark is given, else the corrected reading. */
export function askedFor({ situation }: ReadingTask): Asked {
  if (situation.ask) return situation.ask;
  return situation.from === undefined ? 'corrected' : 'delivered';
}

/** What is taken off the reading before it is written, in the instrument's unit: the zero error, a vessel, or the starting mark. */
export function takenOff(task: ReadingTask): number {
  const instrument = instrumentOf(task);
  switch (askedFor(task)) {
    case 'observed':
      return 0;
    case 'corrected':
      return instrument.reads === 'display'
        ? asDisplayed(instrument, besides(task.situation))
        : besides(task.situation);
    case 'delivered':
      return task.situation.from ?? 0;
  }
}

/** The number that is right to write, before it is rounded: what the tool shows, less what is taken off. */
export function trueAnswer(task: ReadingTask): number {
  const instrument = instrumentOf(task);
  const { value, from = 0 } = task.situation;
  if (instrument.reads === 'ring') return instrument.volume;
  if (instrument.reads === 'scale' && instrument.body.kind === 'rule')
    return askedFor(task) === 'observed' ? value + from : value;
  return Number((shownBy(instrument, task.situation) - takenOff(task)).toFixed(9));
}

/** A vessel weighed by riders is read as well; on a display it has no scatter. */
function weighedTwice(task: ReadingTask): boolean {
  return instrumentOf(task).reads === 'beams' && askedFor(task) === 'corrected' && (task.situation.container ?? 0) > 0;
}

/** A difference of two readings has both readings' scatter. */
export function isDifference(task: ReadingTask): boolean {
  return askedFor(task) === 'delivered' || weighedTwice(task);
}
