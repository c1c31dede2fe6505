import { expect, it } from 'vitest';
import { suggestedTitle } from './suggested-title.ts';

const CYLINDERS = ['cylinder-10', 'cylinder-25'];

it.each([
  ['every tool', [], [], 'Every tool'],
  ['a family', CYLINDERS, [], 'Cylinders'],
  ['two families', [...CYLINDERS, 'burette-50'], [], 'Cylinders and burettes'],
  ['tools and exercises', [...CYLINDERS, 'convert-units'], [], 'Cylinders and conversions'],
  ['many families', ['ruler-inch', 'cylinder-10', 'burette-25', 'clock'], [], 'Rulers, cylinders, burettes and more'],
  ['a tool of the equipment', [], [{ code: 'C-03', instrumentId: 'cylinder-50' }], '50 mL cylinder C-03'],
])('suggests a title for %s', (_what, subjectIds, tools, title) => {
  expect(suggestedTitle(subjectIds, tools)).toBe(title);
});
