import { useCallback, useEffect, useRef, useState } from 'react';

/** What a worker tells of a long piece of work. */
export type News<Outcome> =
  | { readonly kind: 'progress'; readonly done: number }
  | { readonly kind: 'done'; readonly outcome: Outcome }
  | { readonly kind: 'failed'; readonly message: string };

/** How the work stands. */
export type WorkState<Order, Outcome> =
  | { readonly kind: 'idle' }
  | { readonly kind: 'running'; readonly done: number }
  | { readonly kind: 'cancelled' }
  | { readonly kind: 'done'; readonly outcome: Outcome; readonly of: Order }
  | { readonly kind: 'failed'; readonly message: string };

/**
 * Work that is done on request, in a worker of its own, and can be cancelled.
 * @param begin makes the worker; the same function each time.
 * @param notBegun what is said where it does not start.
 */
export function useWorker<Order, Outcome>(
  begin: () => Worker,
  notBegun: string,
): {
  readonly state: WorkState<Order, Outcome>;
  readonly start: (order: Order) => void;
  readonly cancel: () => void;
} {
  const [state, setState] = useState<WorkState<Order, Outcome>>({ kind: 'idle' });
  const worker = useRef<Worker | null>(null);
  const stop = useCallback((): void => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => stop, [stop]);
  const start = useCallback(
    (order: Order): void => {
      stop();
      const started = begin();
      worker.current = started;
      setState({ kind: 'running', done: 0 });
      started.addEventListener('message', ({ data }: MessageEvent<News<Outcome>>) => {
        if (data.kind === 'progress') setState({ kind: 'running', done: data.done });
        else {
          setState(data.kind === 'done' ? { ...data, of: order } : data);
          stop();
        }
      });
      started.addEventListener('error', () => {
        setState({ kind: 'failed', message: notBegun });
        stop();
      });
      started.postMessage(order);
    },
    [begin, notBegun, stop],
  );
  const cancel = useCallback((): void => {
    stop();
    setState({ kind: 'cancelled' });
  }, [stop]);
  return { state, start, cancel };
}
