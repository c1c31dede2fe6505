import { useCallback, useEffect, useRef, useState } from 'react';
import type { SimulationNews, SimulationOrder, SimulationOutcome } from './simulation.worker.ts';

/** How a simulation stands. */
export type SimulationState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'running'; readonly done: number }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'done'; readonly outcome: SimulationOutcome; readonly of: SimulationOrder }
  | { readonly kind: 'failed'; readonly message: string };

/** A simulation that is run on request, in a worker of its own, and can be cancelled. */
export function useSimulation(): {
  readonly state: SimulationState;
  readonly start: (order: SimulationOrder) => void;
  readonly cancel: () => void;
} {
  const [state, setState] = useState<SimulationState>({ kind: 'idle' });
  const worker = useRef<Worker | null>(null);
  const stop = useCallback((): void => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => stop, [stop]);
  const start = useCallback(
    (order: SimulationOrder): void => {
      stop();
      const started = new Worker(new URL('./simulation.worker.ts', import.meta.url), { type: 'module' });
      worker.current = started;
      setState({ kind: 'running', done: 0 });
      started.addEventListener('message', ({ data }: MessageEvent<SimulationNews>) => {
        if (data.kind === 'progress') setState({ kind: 'running', done: data.done });
        else {
          setState(data.kind === 'done' ? { ...data, of: order } : data);
          stop();
        }
      });
      started.addEventListener('error', () => {
        setState({ kind: 'failed', message: 'The simulation could not be started. Load the page again.' });
        stop();
      });
      started.postMessage(order);
    },
    [stop],
  );
  const cancel = useCallback((): void => {
    stop();
    setState({ kind: 'cancelled' });
  }, [stop]);
  return { state, start, cancel };
}
