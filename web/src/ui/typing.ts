import { useSyncExternalStore } from 'react';
import { isNarrow } from './use-narrow.ts';

/** A tap on a button takes the focus from the line first: what is on the page stays where it is until the tap is over, in milliseconds. */
const TAP = 350;

let typing = false;
let timer: ReturnType<typeof setTimeout> | undefined;
const listeners = new Set<() => void>();

function set(to: boolean): void {
  if (typing === to) return;
  typing = to;
  document.documentElement.toggleAttribute('data-typing', to);
  for (const changed of listeners) changed();
}

/** On a phone the keyboard covers half the page from now on. */
export function beginTyping(): void {
  clearTimeout(timer);
  if (isNarrow()) set(true);
}

export function endTyping(): void {
  clearTimeout(timer);
  timer = setTimeout(() => set(false), TAP);
}

function subscribe(changed: () => void): () => void {
  listeners.add(changed);
  return () => listeners.delete(changed);
}

/** Whether the keyboard of a phone is open: then only what is read and written has room. */
export function useTyping(): boolean {
  return useSyncExternalStore(subscribe, () => typing);
}
