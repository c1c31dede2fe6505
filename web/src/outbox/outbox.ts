import { ask } from '../api/request.ts';
import { UnsentQueue, type StoredEntry, type UnsentEntry } from './unsent-queue.ts';

/** Each entry has a place of its own in the store, so that tabs cannot overwrite each other's. */
const PLACE = 'green-beam letter ';

const WITHOUT_WORDS = { written: 'an entry' };

/** What is kept at a place; what another program has spoilt is passed over. */
function entryAt(place: string): StoredEntry[] {
  try {
    const { letter, ...stored } = JSON.parse(localStorage.getItem(place) ?? '') as StoredEntry & {
      letter?: UnsentEntry;
    };
    // What an earlier version of this page has stored names it otherwise, or has no words for it.
    return [{ ...stored, entry: { ...WITHOUT_WORDS, ...(letter ?? stored.entry) } }];
  } catch {
    return [];
  }
}

/** The browser's one outbox. Its store is written at once: a page that is closed or loaded again the moment after loses nothing. */
export const outbox = new UnsentQueue({
  send: (entry) => ask('POST', entry.path, entry.body),
  kept: async () =>
    Object.keys(localStorage)
      .filter((place) => place.startsWith(PLACE))
      .flatMap(entryAt),
  keep: async (kept) => localStorage.setItem(PLACE + kept.entry.id, JSON.stringify(kept)),
  forget: async (id) => localStorage.removeItem(PLACE + id),
  pause: (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds)),
  now: () => Date.now(),
});
