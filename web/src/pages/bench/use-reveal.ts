import type { RevealStep } from '@green-beam/core';
import { useEffect, useState } from 'react';
import { prefersStill } from '../../ui/prefers-still.ts';

const STEP_TIME = 850;

/** The steps of an answer, one after the other; all at once for people who prefer less motion. */
export function useReveal(steps: readonly RevealStep[] | null): readonly RevealStep[] {
  const [shown, setShown] = useState(1);
  useEffect(() => {
    setShown(1);
    if (!steps) return undefined;
    if (prefersStill()) {
      setShown(steps.length);
      return undefined;
    }
    const timer = setInterval(() => setShown((count) => Math.min(steps.length, count + 1)), STEP_TIME);
    return () => clearInterval(timer);
  }, [steps]);
  return steps?.slice(0, shown) ?? [];
}
