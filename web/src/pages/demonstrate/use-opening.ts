import type { Picture, RevealStep } from '@green-beam/core';
import { useEffect } from 'react';
import type { Sight } from '../../instruments/sight/sight.ts';
import { viewOf } from '../../instruments/views.ts';
import { prefersStill } from '../../ui/prefers-still.ts';

/** How long a tool takes to come to its reading, in ms. */
const OPENING = 4200;

/** At a step that is read from a moving tool, the tool comes slowly to where it stands. */
export function useOpening(picture: Picture | null, sight: Sight, step: RevealStep['kind'] | undefined): void {
  useEffect(() => {
    if (picture === null || step === undefined || prefersStill()) return undefined;
    const view = viewOf(picture);
    const from = view.comesFrom?.(picture, step) ?? null;
    if (from === null) return undefined;
    const to = view.readAt(picture, sight.seen().markAt);
    const began = performance.now();
    let frame = 0;
    const turn = (): void => {
      const part = Math.min(1, (performance.now() - began) / OPENING);
      sight.moveMark(to - (to - from) * (1 - part));
      if (part < 1) frame = requestAnimationFrame(turn);
    };
    frame = requestAnimationFrame(turn);
    return () => {
      cancelAnimationFrame(frame);
      sight.moveMark(to);
    };
  }, [picture, sight, step]);
}
