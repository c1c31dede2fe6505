import { useLayoutEffect, useRef, type RefObject } from 'react';
import type { Seen, Sight } from './sight.ts';

/** Attributes of an SVG element by their names in the document. */
export type Drawn = Readonly<Record<string, string | number>>;

/**
 * Draws an element anew at every movement of the eye or the mark, straight into the document: at sixty movements a second the page’s
 * own rendering would be the larger part of the work. The attributes given here must not be given in JSX as well.
 * @param drawnAt the attributes for what is seen; the same function as long as nothing else changes.
 */
export function useDrawn<Element extends SVGElement>(
  sight: Sight,
  drawnAt: (seen: Seen) => Drawn,
): RefObject<Element | null> {
  const ref = useRef<Element>(null);
  useLayoutEffect(() => {
    const drawn = new Map<string, string>();
    const draw = (): void => {
      const element = ref.current;
      if (!element) return;
      for (const [name, value] of Object.entries(drawnAt(sight.seen()))) {
        const text = String(value);
        // Even an attribute set to what it was makes the browser work out the element’s style again.
        if (drawn.get(name) !== text) element.setAttribute(name, text);
        drawn.set(name, text);
      }
    };
    draw();
    return sight.subscribe(draw);
  }, [sight, drawnAt]);
  return ref;
}
