import { useCallback, useEffect, useState } from 'react';
import { restingAt, seenFirst } from '../../instruments/seen-first.ts';
import { createSight, type Sight } from '../../instruments/sight.ts';
import { readOff, untouched, type ToolState } from '../../instruments/tool-state.ts';
import type { BenchSource, ReadingTask } from './bench-source.ts';
import { useEntry, type Entry } from './use-entry.ts';

/** Work on one reading: what is seen, and what has been done with the tool, beside what is entered. */
export interface Reading extends Entry {
  readonly sight: Sight;
  restEye(eyeHeight: number): void;
  /** What has been done with the tool, as far as it shows. */
  readonly tool: ToolState;
  changeTool(part: Partial<ToolState>): void;
}

/** Keeps the state of one reading; mount it with the task's id as key. */
export function useReading(task: ReadingTask, source: BenchSource): Reading {
  const [sight] = useState(() => createSight(seenFirst(task.picture)));
  const entry = useEntry(task, source, () => sight.seen().height);
  const [tool, setTool] = useState<ToolState>(() => untouched(task.picture));
  const changeTool = useCallback((part: Partial<ToolState>) => setTool((now) => ({ ...now, ...part })), []);
  const { note } = entry;
  const isClosed = entry.last?.closed ?? false;
  useEffect(() => {
    if (!isClosed) return;
    sight.moveEye(0);
    if (task.picture.kind === 'liquid-column') sight.moveMark(restingAt(task.picture));
    setTool((now) => readOff(task.picture, now));
  }, [isClosed, sight, task]);
  return { ...entry, sight, restEye: (to) => note('eye', to), tool, changeTool };
}
