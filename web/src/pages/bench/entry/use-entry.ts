import type { AttemptResult, BenchAction, BenchTask, NewAttempt } from '@green-beam/contract';
import { useCallback, useEffect, useRef, useState } from 'react';
import { RefusedError } from '../../../api/request.ts';
import { newId } from '../../../outbox/new-id.ts';
import type { BenchSource } from '../bench-source.ts';
import type { EntryMade } from './use-made.ts';

/** Work on one item: what has been written, what came of it, and everything done on the way. */
export interface ItemWork {
  readonly entry: string;
  readonly made: readonly EntryMade[];
  readonly last: AttemptResult | null;
  readonly sending: boolean;
  /** An entry is kept here until the server can be reached. */
  readonly notChecked: boolean;
  readonly refused: string | null;
  readonly hints: number;
  write(entry: string): void;
  note(kind: BenchAction['kind'], to?: number): void;
  nextHint(): void;
  send(kind: NewAttempt['kind'], entry: string): Promise<void>;
}

/** Keeps the state of one item; mount it with the task's id as key. @param eyeHeight where the eye is left, for what is read by it. */
export function useEntry(task: BenchTask, source: BenchSource, eyeHeight: () => number = () => 0): ItemWork {
  const [entry, setEntry] = useState('');
  const made = source.made.get(task.id) ?? [];
  const [sending, setSending] = useState(false);
  const [refused, setRefused] = useState<string | null>(null);
  const [hints, setHints] = useState(0);
  const actions = useRef<BenchAction[]>([]);
  const since = useRef(0);
  useEffect(() => {
    since.current = performance.now();
  }, []);
  const last = made.at(-1)?.result ?? null;

  const note = useCallback((kind: BenchAction['kind'], to: number | null = null): void => {
    if (actions.current.length < 400)
      actions.current.push({ kind, at: Math.round(performance.now() - since.current), to });
  }, []);
  const nextHint = (): void => {
    if (hints >= task.hints.length || last?.closed) return;
    note('hint', hints + 1);
    setHints(hints + 1);
  };
  const send = async (kind: NewAttempt['kind'], text: string): Promise<void> => {
    if (sending || source.notChecked.has(task.id) || last?.closed) return;
    setSending(true);
    setRefused(null);
    const timeTaken = Math.round(performance.now() - since.current);
    try {
      const result = await source.submit(task, {
        id: newId(),
        taskId: task.id,
        kind,
        entry: text,
        eyeHeight: eyeHeight(),
        actions: [...actions.current],
        hints,
        timeTaken,
      });
      if (result.verdict !== 'unreadable') setEntry('');
    } catch (error) {
      setRefused(
        error instanceof RefusedError ? error.message : 'The entry could not be sent. It is still in the field.',
      );
    } finally {
      setSending(false);
    }
  };
  return {
    entry,
    made,
    last,
    sending,
    notChecked: source.notChecked.has(task.id),
    refused,
    hints,
    write: setEntry,
    note,
    nextHint,
    send,
  };
}
