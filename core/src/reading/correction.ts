import { instrumentOf, type ReadingTask } from './reading-task.ts';

/** What is written: the reading itself, less a zero error, or the difference of two readings. */
export type Asked = 'observed' | 'corrected' | 'delivered';

/** What a task asks for: the difference where a starting mark is given, else the corrected reading. */
export function askedFor({ situation }: ReadingTask): Asked {
  if (situation.ask) return situation.ask;
  return situation.from === undefined ? 'corrected' : 'delivered';
}

/** What is taken off the reading before it is written, in the instrument's unit: the zero error, or the starting mark. */
export function takenOff(task: ReadingTask): number {
  const { zeroError = 0, from = 0 } = task.situation;
  switch (askedFor(task)) {
    case 'observed':
      return 0;
    case 'corrected':
      return zeroError;
    case 'delivered':
      return from;
  }
}

/** The number that is right to write, before it is rounded: what the tool shows, less what is taken off. */
export function trueAnswer(task: ReadingTask): number {
  const instrument = instrumentOf(task);
  const { value, zeroError = 0, from = 0 } = task.situation;
  if (instrument.reads === 'ring') return instrument.volume;
  if (instrument.reads === 'scale' && instrument.body.kind === 'rule') return askedFor(task) === 'observed' ? value + from : value;
  return value + zeroError - takenOff(task);
}

/** A difference of two readings has both readings' scatter. */
export function isDifference(task: ReadingTask): boolean {
  return askedFor(task) === 'delivered';
}
