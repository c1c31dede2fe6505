import { parse, type HTMLElement } from 'node-html-parser';
import type { ReactNode } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';

/** What somebody makes of a part of a page. */
export interface Rendered {
  readonly root: HTMLElement;
  /** What stands there to be seen. */
  readonly seen: string;
  /** What a screen reader reads out. */
  readonly heard: string;
}

function textWithout(root: HTMLElement, selector: string): string {
  const copy = parse(root.toString());
  copy.querySelectorAll(selector).forEach((node) => node.remove());
  return copy.textContent.replace(/\s+/g, ' ').trim();
}

/** What is to be seen of an element. */
export function seenOf(root: HTMLElement): string {
  return textWithout(root, '.sr-only');
}

/** Renders a part of a page as it first stands there. */
export function rendered(part: ReactNode): Rendered {
  const root = parse(renderToStaticMarkup(part));
  return { root, seen: seenOf(root), heard: textWithout(root, '[aria-hidden="true"]') };
}

/** The texts of all elements a selector finds. */
export function textsOf(root: HTMLElement, selector: string): string[] {
  return root.querySelectorAll(selector).map((node) => node.textContent.replace(/\s+/g, ' ').trim());
}
