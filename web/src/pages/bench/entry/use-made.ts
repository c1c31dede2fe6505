import type { AttemptResult } from '@green-beam/contract';
import { useCallback, useState } from 'react';

/** One entry made on a reading, as the answer line lists it. */
export interface EntryMade {
  readonly text: string;
  readonly result: AttemptResult;
}

export interface Made {
  /** Entries made on each reading since the page was opened, by the reading’s id. */
  readonly made: ReadonlyMap<string, readonly EntryMade[]>;
  add(taskId: string, entry: EntryMade): void;
  clear(): void;
}

/** Keeps what was entered and what came of it, so that a reading can be left and come back to. */
export function useMade(): Made {
  const [made, setMade] = useState<ReadonlyMap<string, readonly EntryMade[]>>(new Map());
  const add = useCallback(
    (taskId: string, entry: EntryMade) =>
      setMade((before) => new Map(before).set(taskId, [...(before.get(taskId) ?? []), entry])),
    [],
  );
  const clear = useCallback(() => setMade(new Map()), []);
  return { made, add, clear };
}
