import { useSyncExternalStore } from 'react';

const NARROW = '(max-width: 40rem)';

function subscribe(changed: () => void): () => void {
  const query = window.matchMedia(NARROW);
  query.addEventListener('change', changed);
  return () => query.removeEventListener('change', changed);
}

/** Whether the window is as narrow as a phone held upright, just now. */
export function isNarrow(): boolean {
  return window.matchMedia(NARROW).matches;
}

/** Whether the window is as narrow as a phone held upright. */
export function useNarrow(): boolean {
  return useSyncExternalStore(subscribe, isNarrow);
}
