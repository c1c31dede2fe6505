import type { Address } from '@green-beam/core';

/** What a comment would be about: a cell, an answer, a part of the report, or one paragraph of it. */
export interface About {
  readonly at: Address;
  /** The beginning of the paragraph; null for the whole. */
  readonly quote: string | null;
}

const LONGEST = 60;

/** The beginning of a paragraph, by which it is found again. */
export function quoteOf(paragraph: string): string {
  const words = paragraph.replace(/\s+/g, ' ').trim();
  return words.length <= LONGEST ? words : `${words.slice(0, LONGEST).replace(/\s\S*$/, '')} …`;
}
