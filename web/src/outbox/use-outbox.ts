import { useSyncExternalStore } from 'react';
import type { OutboxState } from './unsent-queue.ts';
import { outbox } from './outbox.ts';

/** What is still unsent, as it changes. */
export function useOutbox(): OutboxState {
  return useSyncExternalStore(outbox.subscribe, outbox.snapshot);
}
