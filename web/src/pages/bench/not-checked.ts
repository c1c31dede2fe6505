import { useEffect, useRef } from 'react';
import type { Letter } from '../../outbox/letter-queue.ts';
import { useOutbox } from '../../outbox/use-outbox.ts';

/** The reading that an unsent letter answers; null for letters about anything else. */
function taskOf({ body, path }: Letter, classId: string): string | null {
  if (path !== `/classes/${classId}/attempts` || typeof body !== 'object' || body === null || !('taskId' in body)) return null;
  return typeof body.taskId === 'string' ? body.taskId : null;
}

const NONE: ReadonlySet<string> = new Set();

/**
 * Readings whose entries wait in this browser while the server cannot be reached.
 * @param onJudged called when entries that waited have been taken by the server, those from before a reload among them.
 */
export function useNotChecked(classId: string, personId: string, onJudged: () => void): ReadonlySet<string> {
  const { waiting, stuck } = useOutbox();
  const ids = waiting.filter((letter) => letter.personId === personId).flatMap((letter) => taskOf(letter, classId) ?? []);
  const waited = useRef(false);
  const none = ids.length === 0;
  useEffect(() => {
    if (stuck && !none) waited.current = true;
    if (!none || !waited.current) return;
    waited.current = false;
    onJudged();
  }, [stuck, none, onJudged]);
  return stuck ? new Set(ids) : NONE;
}
