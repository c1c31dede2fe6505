import type { Picture, RevealStep } from '@green-beam/core';
import { useEffect } from 'react';
import type { Sight } from '../../instruments/sight.ts';
import { prefersStill } from '../../ui/prefers-still.ts';

/** How far back a micrometer is turned before it is opened again, in mm, and how long that takes, in ms. */
const BACK = 0.62;
const OPENING = 4200;

/** At the step that reads the sleeve, a micrometer is opened slowly to where it stands, so that its last line is seen to appear. */
export function useOpening(picture: Picture | null, sight: Sight, step: RevealStep['kind'] | undefined): void {
  useEffect(() => {
    if (picture?.kind !== 'micrometer' || step !== 'label' || prefersStill()) return undefined;
    const began = performance.now();
    let frame = 0;
    const turn = (): void => {
      const part = Math.min(1, (performance.now() - began) / OPENING);
      sight.moveMark(picture.openX - BACK * (1 - part));
      if (part < 1) frame = requestAnimationFrame(turn);
    };
    frame = requestAnimationFrame(turn);
    return () => {
      cancelAnimationFrame(frame);
      sight.moveMark(picture.openX);
    };
  }, [picture, sight, step]);
}
