import { createStore, del, set, values } from 'idb-keyval';
import { ask } from '../api/request.ts';
import { LetterQueue, type KeptLetter } from './letter-queue.ts';

// Each letter has a place of its own in the store, so that tabs cannot overwrite each other's. A browser may have no storage at all.
const store = typeof indexedDB === 'undefined' ? undefined : createStore('green-beam', 'outbox');

/** The browser's one outbox. */
export const outbox = new LetterQueue({
  send: (letter) => ask('POST', letter.path, letter.body),
  kept: () => values<KeptLetter>(store),
  keep: (kept) => set(kept.letter.id, kept, store),
  forget: (id) => del(id, store),
  pause: (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds)),
  now: () => Date.now(),
});
