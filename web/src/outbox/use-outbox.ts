import { useSyncExternalStore } from 'react';
import { outbox, type OutboxState } from './outbox.ts';

/** What is still unsent, as it changes. */
export function useOutbox(): OutboxState {
  return useSyncExternalStore(outbox.subscribe, outbox.snapshot);
}
