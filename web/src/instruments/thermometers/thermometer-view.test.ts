import { pictureOf, readingTask, type LiquidColumnPicture } from '@green-beam/core';
import { expect, it } from 'vitest';
import { THERMOMETER_VIEW } from './thermometer-view.tsx';

it('a thermometer hangs in the air while its thread has not begun to move', () => {
  const of = (more: object): LiquidColumnPicture =>
    pictureOf(readingTask('thermometer-degree', { value: 60, ...more })) as LiquidColumnPicture;
  expect(THERMOMETER_VIEW.begin(of({ settled: false, shown: 20 }))).toBe('air');
  expect(THERMOMETER_VIEW.begin(of({}))).toBe('liquid');
});
