import { useLayoutEffect, useRef, useSyncExternalStore, type RefObject } from 'react';
import type { Drawn } from '../sight/use-drawn.ts';
import type { Balance, BalanceNow } from './balance.ts';

/** A balance, now and after every movement of its pointer or its riders. */
export function useBalance(balance: Balance): BalanceNow {
  return useSyncExternalStore(balance.subscribe, balance.now);
}

/** What lies on the pan and how the screw is turned, now and whenever that changes; a swinging pointer alone changes nothing. */
export function useLaden(balance: Balance): Pick<BalanceNow, 'vessel' | 'thing' | 'free' | 'screw'> {
  useSyncExternalStore(balance.subscribe, () => {
    const { vessel, thing, free, screw } = balance.now();
    return `${String(vessel)} ${String(thing)} ${String(free)} ${screw}`;
  });
  return balance.now();
}

/** As `useDrawn`, for what moves with a balance. A style is set as such, anything else as an attribute. */
export function useWeighed<Element extends SVGElement | HTMLElement>(
  balance: Balance,
  drawnAt: (now: BalanceNow) => Drawn,
): RefObject<Element | null> {
  const ref = useRef<Element>(null);
  useLayoutEffect(() => {
    const drawn = new Map<string, string>();
    const draw = (): void => {
      for (const [name, value] of Object.entries(drawnAt(balance.now()))) {
        const text = String(value);
        if (drawn.get(name) === text) continue;
        if (name === 'turned') ref.current?.style.setProperty('transform', text);
        else ref.current?.setAttribute(name, text);
        drawn.set(name, text);
      }
    };
    draw();
    return balance.subscribe(draw);
  }, [balance, drawnAt]);
  return ref;
}
