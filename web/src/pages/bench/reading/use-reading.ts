import { useCallback, useEffect, useState } from 'react';
import { createSight, type Sight } from '../../../instruments/sight/sight.ts';
import type { Handling } from '../../../instruments/view.ts';
import { viewOf } from '../../../instruments/views.ts';
import type { BenchSource, ReadingTask } from '../bench-source.ts';
import { useEntry, type ItemWork } from '../entry/use-entry.ts';

/** Work on one reading: what is seen, and what has been done with the tool, with what is entered. */
export interface Reading extends ItemWork {
  readonly sight: Sight;
  restEye(eyeHeight: number): void;
  /** What has been done with the tool, as far as it shows. */
  readonly state: unknown;
  change: Handling<unknown>['change'];
}

/** Keeps the state of one reading; mount it with the task's id as key. */
export function useReading(task: ReadingTask, source: BenchSource): Reading {
  const { picture } = task;
  const view = viewOf(picture);
  const [sight] = useState(() => createSight(view.seenFirst(picture)));
  const entry = useEntry(task, source, () => sight.seen().height);
  const [state, setState] = useState<unknown>(() => view.begin(picture));
  const change = useCallback((changed: (now: unknown) => unknown) => setState(changed), []);
  const { note } = entry;
  const isClosed = entry.last?.closed ?? false;
  useEffect(() => {
    if (!isClosed) return;
    sight.moveEye(0);
    sight.moveMark(view.readAt(picture, sight.seen().markAt));
    setState((now: unknown) => (view.readOff ? view.readOff(picture, now) : now));
  }, [isClosed, sight, view, picture]);
  return { ...entry, sight, restEye: (to) => note('eye', to), state, change };
}
