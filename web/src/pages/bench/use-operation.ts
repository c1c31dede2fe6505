import { partOfTheWay, type LiquidColumnPicture, type Picture } from '@green-beam/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import type { Sight } from '../../instruments/sight.ts';
import { prefersStill } from '../../ui/prefers-still.ts';

/** How long a tap is open, in ms. */
const DRAINING = 2200;
/** Nearer to its rest than this, in mm, a thread is not drawn any more. */
const AT_REST = 0.01;

/** Something to be done with a tool before it is read. */
export interface Operation {
  readonly kind: 'lower' | 'drain';
  readonly label: string;
  readonly done: boolean;
  /** What to know before it is done. */
  readonly before: string;
  act(): void;
  /** Fills a burette up to its starting mark again; null where there is no going back. */
  readonly again: (() => void) | null;
}

function mayBeOperated(picture: Picture): picture is LiquidColumnPicture & { readonly startY: number } {
  return picture.kind === 'liquid-column' && picture.startY !== null;
}

/** Lowering a bulb or opening a tap: the mark moves as it would, in real time, and what was done is noted. */
export function useOperation(picture: Picture, sight: Sight, note: (kind: 'lower' | 'drain') => void, closed: boolean): Operation | null {
  const [done, setDone] = useState(false);
  const frame = useRef(0);
  // Once the answer is out the mark is put to rest, and nothing moves it any more.
  useEffect(() => {
    if (closed) cancelAnimationFrame(frame.current);
  }, [closed]);
  useEffect(() => () => cancelAnimationFrame(frame.current), []);
  const run = useCallback((markAt: (elapsed: number) => { readonly at: number; readonly last: boolean }) => {
    const start = performance.now();
    const step = (): void => {
      const { at, last } = markAt(performance.now() - start);
      sight.moveMark(at);
      if (!last) frame.current = requestAnimationFrame(step);
    };
    frame.current = requestAnimationFrame(step);
  }, [sight]);
  if (!mayBeOperated(picture)) return null;
  const { startY, surfaceY, liquid, vessel } = picture;
  const thermometer = vessel === 'thermometer';
  const act = (): void => {
    if (done) return;
    setDone(true);
    note(thermometer ? 'lower' : 'drain');
    if (thermometer) {
      run((elapsed) => {
        const at = startY + (surfaceY - startY) * partOfTheWay(elapsed);
        const last = Math.abs(at - surfaceY) < AT_REST;
        return { at: last ? surfaceY : at, last };
      });
    } else if (prefersStill()) sight.moveMark(surfaceY);
    else run((elapsed) => ({ at: startY + (surfaceY - startY) * Math.min(1, elapsed / DRAINING), last: elapsed >= DRAINING }));
  };
  const again = (): void => {
    cancelAnimationFrame(frame.current);
    sight.moveMark(startY);
    setDone(false);
  };
  return thermometer
    ? { kind: 'lower', label: `Lower the bulb into the ${liquid}`, done, before: 'The thermometer still hangs in the air of the room.', act, again: null }
    : { kind: 'drain', label: 'Open the tap', done, before: 'Read where it starts, then let it run.', act, again };
}
