import { useSyncExternalStore } from 'react';

/** What decides how a scale is seen: how far off the level the eye is, in mm, and where the reading mark stands at present, in drawing units. */
export interface Seen {
  readonly height: number;
  readonly markAt: number;
}

/** The eye and the mark. They live outside the page’s state, so that dragging the eye redraws only what it moves. */
export interface Sight {
  readonly seen: () => Seen;
  readonly moveEye: (height: number) => void;
  readonly moveMark: (to: number) => void;
  /** Calls back after every movement, until the returned function is called. */
  readonly subscribe: (moved: () => void) => () => void;
}

export function createSight(start: Seen): Sight {
  let seen = start;
  const listeners = new Set<() => void>();
  const change = (next: Seen): void => {
    if (next.height === seen.height && next.markAt === seen.markAt) return;
    seen = next;
    for (const moved of listeners) moved();
  };
  return {
    seen: () => seen,
    moveEye: (height) => change({ ...seen, height }),
    moveMark: (markAt) => change({ ...seen, markAt }),
    subscribe: (moved) => {
      listeners.add(moved);
      return () => listeners.delete(moved);
    },
  };
}

/** The eye and the mark, now and after every movement. */
export function useSeen(sight: Sight): Seen {
  return useSyncExternalStore(sight.subscribe, sight.seen);
}

/** Where the mark stands, now and whenever it has moved; a moving eye alone changes nothing. */
export function useMarkAt(sight: Sight): number {
  return useSyncExternalStore(sight.subscribe, () => sight.seen().markAt);
}

/** The same eye, aimed at a mark that stands still: at a ring, whatever the surface near it does. */
export function aimedAt(sight: Sight, markAt: number): Sight {
  let from = sight.seen();
  let aimed: Seen = { height: from.height, markAt };
  const seen = (): Seen => {
    const now = sight.seen();
    if (now !== from && now.height !== from.height) aimed = { height: now.height, markAt };
    from = now;
    return aimed;
  };
  return { seen, moveEye: sight.moveEye, moveMark: () => undefined, subscribe: sight.subscribe };
}
