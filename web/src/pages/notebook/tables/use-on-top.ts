import { autoUpdate } from '@floating-ui/dom';
import { useLayoutEffect, type RefObject } from 'react';

/**
 * Lays an element with `popover="manual"` in the browser’s top layer, over the place that is kept for it. There a key draws the
 * element alone; in its place it would have everything around it laid out and painted anew.
 */
export function useOnTop(place: RefObject<HTMLElement | null>, laid: RefObject<HTMLElement | null>): void {
  useLayoutEffect(() => {
    const [under, over] = [place.current, laid.current];
    if (!under || !over) return undefined;
    over.showPopover();
    return autoUpdate(under, over, () => {
      const { left, top } = under.getBoundingClientRect();
      over.style.left = `${left + window.scrollX}px`;
      over.style.top = `${top + window.scrollY}px`;
    });
  }, [place, laid]);
}
