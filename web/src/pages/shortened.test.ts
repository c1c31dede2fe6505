import { expect, it } from 'vitest';
import { shortened } from './shortened.ts';

it.each([
  ['52.6 mL', 24, '52.6 mL'],
  ['x'.repeat(24), 24, 'x'.repeat(24)],
  ['x'.repeat(25), 24, `${'x'.repeat(23)}…`],
  ['Run: no unit in the heading', 12, 'Run: no uni…'],
  ['🧪🧪🧪🧪', 3, '🧪🧪…'],
  ['', 24, ''],
])('%s, at most %d, is %s', (text, most, short) => {
  expect(shortened(text, most)).toBe(short);
});
