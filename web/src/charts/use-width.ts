import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/**
 * The width in pixels of an element, now and whenever it changes, so that a chart is drawn at the size at which it is seen and its
 * numerals stay legible on a phone.
 * @param otherwise taken until the element is there.
 */
export function useWidth<Element extends HTMLElement>(
  otherwise: number,
): { readonly ref: RefObject<Element | null>; readonly width: number } {
  const ref = useRef<Element>(null);
  const [width, setWidth] = useState(otherwise);
  useLayoutEffect(() => {
    const element = ref.current;
    if (!element) return undefined;
    const observer = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.width > 0) setWidth(Math.floor(entry.contentRect.width));
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return { ref, width };
}
