import { useEffect, useState } from 'react';
import type { Shown } from './shown.ts';

/** A display renews its digits so many times a second. */
const RENEWED = 8;

/** What is on a display, renewed as long as it changes. @param at what it shows at a moment of the page’s clock; the same function as long as nothing else changes. */
export function useShown(at: (now: number) => Shown): Shown {
  const [shown, setShown] = useState(() => at(performance.now()));
  useEffect(() => {
    const renew = (): boolean => {
      const next = at(performance.now());
      setShown((before) => (before.characters === next.characters && before.stable === next.stable ? before : next));
      return next.stable;
    };
    if (renew()) return undefined;
    const timer = setInterval(() => {
      if (renew()) clearInterval(timer);
    }, 1000 / RENEWED);
    return () => clearInterval(timer);
  }, [at]);
  return shown;
}
