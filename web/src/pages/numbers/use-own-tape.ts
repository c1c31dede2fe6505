import type { TapeShown } from '@green-beam/contract';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useRef, useState } from 'react';
import { ask, RefusedError } from '../../api/request.ts';
import { EXAMPLE, keepTape, keptTape, newTape, type KeptTape } from './kept-tape.ts';

/** Typing has paused for so long, in ms, when a tape is sent to be kept. */
const PAUSE = 800;
/** After so long, in ms, it is tried again where the server could not be reached. */
const AGAIN = 5000;

export interface OwnTape {
  readonly tape: KeptTape;
  write(lines: readonly string[]): void;
  /** Begins a new tape; the present one stays among the earlier ones. */
  anew(): void;
  open(tape: KeptTape): void;
  remove(tapeId: string): Promise<void>;
  /** Other tapes of this person, the latest first; none for a visitor. */
  readonly earlier: readonly TapeShown[];
  /** What keeps the tape from being saved; null when it is, or when nobody is signed in. */
  readonly unsaved: string | null;
}

const sameLines = (one: readonly string[], other: readonly string[]): boolean => one.join('\n') === other.join('\n');
const isBlank = ({ lines }: KeptTape): boolean => lines.every((line) => line.trim() === '');

/** The tape a person works on: kept in this browser at once, and on the server for who is signed in. */
export function useOwnTape(personId: string | null): OwnTape {
  const queries = useQueryClient();
  const [left] = useState(() => keptTape(personId));
  const [tape, setTape] = useState<KeptTape>(() => left ?? newTape(EXAMPLE));
  const [touched, setTouched] = useState(false);
  const [unsaved, setUnsaved] = useState<string | null>(null);
  const [again, setAgain] = useState(0);
  const { data } = useQuery({
    queryKey: ['tapes', personId],
    queryFn: () => ask<TapeShown[]>('GET', '/tapes'),
    enabled: personId !== null,
  });
  const saved = useRef(new Map<string, readonly string[]>());

  // Where nothing was left in this browser, the latest tape from anywhere is gone on with.
  const latest = data?.[0];
  if (left === null && !touched && latest && latest.id !== tape.id) setTape({ id: latest.id, lines: latest.lines });

  useEffect(() => {
    if (touched || left !== null) keepTape(personId, tape);
  }, [personId, tape, touched, left]);

  useEffect(() => {
    for (const { id, lines } of data ?? []) if (!saved.current.has(id)) saved.current.set(id, lines);
    if (
      personId === null ||
      !touched ||
      data === undefined ||
      isBlank(tape) ||
      sameLines(saved.current.get(tape.id) ?? [], tape.lines)
    )
      return undefined;
    const send = async (): Promise<void> => {
      try {
        const kept = await ask<TapeShown>('PUT', `/tapes/${tape.id}`, { lines: tape.lines });
        saved.current.set(kept.id, kept.lines);
        setUnsaved(null);
        queries.setQueryData<TapeShown[]>(['tapes', personId], (tapes = []) => [
          kept,
          ...tapes.filter(({ id }) => id !== kept.id),
        ]);
      } catch (error) {
        setUnsaved(
          error instanceof RefusedError
            ? error.message
            : 'Stored in this browser. It will be saved when the server can be reached.',
        );
        if (!(error instanceof RefusedError)) timer = setTimeout(() => setAgain((count) => count + 1), AGAIN);
      }
    };
    let timer = setTimeout(() => void send(), PAUSE);
    return () => clearTimeout(timer);
  }, [personId, tape, touched, data, queries, again]);

  const change = useCallback((next: KeptTape): void => {
    setTouched(true);
    setTape(next);
  }, []);
  const remove = async (tapeId: string): Promise<void> => {
    await ask('DELETE', `/tapes/${tapeId}`);
    queries.setQueryData<TapeShown[]>(['tapes', personId], (tapes = []) => tapes.filter(({ id }) => id !== tapeId));
  };
  return {
    tape,
    write: (lines) => change({ ...tape, lines }),
    anew: () => change(newTape()),
    open: change,
    remove,
    earlier: (data ?? []).filter(({ id }) => id !== tape.id),
    unsaved,
  };
}
