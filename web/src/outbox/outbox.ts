import { ask } from '../api/request.ts';
import { LetterQueue, type KeptLetter } from './letter-queue.ts';

/** Each letter has a place of its own in the store, so that tabs cannot overwrite each other's. */
const PLACE = 'green-beam letter ';

/** What is kept at a place; what another program has spoilt is passed over. */
function letterAt(place: string): KeptLetter[] {
  try {
    return [JSON.parse(localStorage.getItem(place) ?? '') as KeptLetter];
  } catch {
    return [];
  }
}

/** The browser's one outbox. Its store is written at once: a page that is closed or loaded again the moment after loses nothing. */
export const outbox = new LetterQueue({
  send: (letter) => ask('POST', letter.path, letter.body),
  kept: async () =>
    Object.keys(localStorage)
      .filter((place) => place.startsWith(PLACE))
      .flatMap(letterAt),
  keep: async (kept) => localStorage.setItem(PLACE + kept.letter.id, JSON.stringify(kept)),
  forget: async (id) => localStorage.removeItem(PLACE + id),
  pause: (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds)),
  now: () => Date.now(),
});
