import { useEffect, useRef } from 'react';
import type { UnsentEntry } from '../../../outbox/unsent-queue.ts';
import { useOutbox } from '../../../outbox/use-outbox.ts';

/** The reading that an unsent entry answers; null for entries about anything else. */
function taskOf({ body, path }: UnsentEntry, classId: string): string | null {
  if (path !== `/classes/${classId}/attempts` || typeof body !== 'object' || body === null || !('taskId' in body))
    return null;
  return typeof body.taskId === 'string' ? body.taskId : null;
}

/**
 * Readings whose entries wait in this browser: while the server cannot be reached, and those from before a reload until they are taken.
 * @param postedHere ids of the entries this page has posted itself and hears the answer of.
 * @param onJudged called when entries that waited have been taken by the server.
 */
export function useNotChecked(
  classId: string,
  personId: string,
  postedHere: ReadonlySet<string>,
  onJudged: () => void,
): ReadonlySet<string> {
  const { waiting, stuck } = useOutbox();
  const waited = useRef(false);
  const ids = waiting
    .filter((entry) => entry.personId === personId && (stuck || !postedHere.has(entry.id)))
    .flatMap((entry) => taskOf(entry, classId) ?? []);
  const none = ids.length === 0;
  useEffect(() => {
    if (!none) waited.current = true;
    if (!none || !waited.current) return;
    waited.current = false;
    onJudged();
  }, [none, onJudged]);
  return new Set(ids);
}
