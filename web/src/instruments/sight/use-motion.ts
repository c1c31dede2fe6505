import { useCallback, useEffect, useRef } from 'react';
import type { Sight } from './sight.ts';

/** Where the mark stands after so many ms of a motion, and whether that is its end. */
export type Course = (elapsed: number) => { readonly at: number; readonly last: boolean };

export interface Motion {
  /** Moves the mark along a course in real time, instead of what moved it before. */
  run(course: Course, onEnd?: () => void): void;
  stop(): void;
}

/** Motions of a surface, a thread or a float. Once the answer is out nothing moves any more. */
export function useMotion(sight: Sight, closed: boolean): Motion {
  const frame = useRef(0);
  const stop = useCallback(() => cancelAnimationFrame(frame.current), []);
  useEffect(() => {
    if (closed) stop();
  }, [closed, stop]);
  useEffect(() => stop, [stop]);
  const run = useCallback(
    (course: Course, onEnd?: () => void): void => {
      stop();
      const start = performance.now();
      const step = (): void => {
        const { at, last } = course(performance.now() - start);
        sight.moveMark(at);
        if (last) onEnd?.();
        else frame.current = requestAnimationFrame(step);
      };
      frame.current = requestAnimationFrame(step);
    },
    [sight, stop],
  );
  return { run, stop };
}
