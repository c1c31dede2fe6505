import { describe, expect, it } from 'vitest';
import { quoteOf } from './about.ts';

describe('the beginning of a paragraph', () => {
  it.each([
    ['A bubble.', 'A bubble.'],
    ['  two   words \n here ', 'two words here'],
    ['', ''],
    [
      'Small bubbles in the holes of the washers would make the volume too large.',
      'Small bubbles in the holes of the washers would make the …',
    ],
    ['x'.repeat(100), `${'x'.repeat(60)} …`],
  ])('%j is %j', (paragraph, quote) => expect(quoteOf(paragraph)).toBe(quote));
});
