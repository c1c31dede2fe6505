import type { LabSheetFault } from '@green-beam/contract';
import { useEffect, useRef, useState } from 'react';
import type { FaultsFound, FaultsOrder } from '../faults.worker.ts';

/** Typing goes on for so long before it is looked through, in ms. */
const PAUSE = 150;

/**
 * Everything that is wrong in what is being written, looked for beside the page as it changes; null until it has been looked through for
 * the first time.
 */
export function useFaults(draft: unknown): readonly LabSheetFault[] | null {
  const [faults, setFaults] = useState<readonly LabSheetFault[] | null>(null);
  const worker = useRef<Worker | null>(null);
  const latest = useRef(0);
  useEffect(() => {
    const started = new Worker(new URL('../faults.worker.ts', import.meta.url), { type: 'module' });
    worker.current = started;
    started.addEventListener('message', ({ data }: MessageEvent<FaultsFound>) => {
      if (data.number === latest.current) setFaults(data.faults);
    });
    return () => started.terminate();
  }, []);
  useEffect(() => {
    latest.current += 1;
    const order: FaultsOrder = { number: latest.current, draft };
    const timer = setTimeout(() => worker.current?.postMessage(order), PAUSE);
    return () => clearTimeout(timer);
  }, [draft]);
  return faults;
}
