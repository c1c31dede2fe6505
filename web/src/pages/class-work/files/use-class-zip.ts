import type { RunPage, RunSummary } from '@green-beam/contract';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ask } from '../../../api/request.ts';
import { saveAs } from '../../../ui/save-as.ts';
import type { ZipNews, ZipOrder } from './zip.worker.ts';

export type ZipState =
  | { readonly kind: 'idle' }
  | { readonly kind: 'running'; readonly done: number; readonly of: number }
  | { readonly kind: 'saved'; readonly of: number }
  | { readonly kind: 'failed'; readonly message: string };

/** Sends one order to a worker, and waits for its answer. */
function answerOf(worker: Worker, order: ZipOrder): Promise<ZipNews> {
  return new Promise((resolve, reject) => {
    worker.addEventListener('message', ({ data }: MessageEvent<ZipNews>) => resolve(data), { once: true });
    worker.addEventListener('error', () => reject(new Error('The files could not be put together.')), { once: true });
    worker.postMessage(order);
  });
}

/** Fetches every page of a class and saves them as one file; it says how far it has got, and can be cancelled. */
export function useClassZip(classId: string): {
  readonly state: ZipState;
  readonly start: () => void;
  readonly cancel: () => void;
} {
  const [state, setState] = useState<ZipState>({ kind: 'idle' });
  const worker = useRef<Worker | null>(null);
  const stop = useCallback((): void => {
    worker.current?.terminate();
    worker.current = null;
  }, []);
  useEffect(() => stop, [stop]);

  const run = useCallback(
    async (mine: Worker): Promise<void> => {
      const isOver = (): boolean => worker.current !== mine;
      const list = await ask<RunSummary[]>('GET', `/classes/${classId}/runs`);
      for (const [done, { id }] of list.entries()) {
        if (isOver()) return;
        setState({ kind: 'running', done, of: list.length });
        const page = await ask<RunPage>('GET', `/classes/${classId}/runs/${id}`);
        if (isOver()) return;
        if ((await answerOf(mine, { kind: 'page', page })).kind === 'failed')
          throw new Error(`“${page.specimen}” could not be saved.`);
      }
      const news = await answerOf(mine, { kind: 'end' });
      if (isOver()) return;
      if (news.kind !== 'done') throw new Error('The files could not be put together.');
      saveAs('laboratories.zip', new Blob([news.bytes]), 'application/zip');
      setState({ kind: 'saved', of: list.length });
    },
    [classId],
  );
  const start = useCallback((): void => {
    stop();
    const started = new Worker(new URL('./zip.worker.ts', import.meta.url), { type: 'module' });
    worker.current = started;
    setState({ kind: 'running', done: 0, of: 0 });
    run(started)
      .catch((error: unknown) => {
        if (worker.current === started) setState({ kind: 'failed', message: (error as Error).message });
      })
      .finally(() => {
        if (worker.current === started) stop();
      });
  }, [run, stop]);
  const cancel = useCallback((): void => {
    stop();
    setState({ kind: 'idle' });
  }, [stop]);
  return { state, start, cancel };
}
