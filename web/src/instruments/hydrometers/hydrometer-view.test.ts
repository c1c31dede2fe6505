import { pictureOf, readingTask, type LiquidColumnPicture } from '@green-beam/core';
import { expect, it } from 'vitest';
import { HYDROMETER_VIEW } from './hydrometer-view.tsx';
import { FLOATS, rightFloat } from './rack.ts';

const of = (id: string, value: number, more: object = {}): LiquidColumnPicture =>
  pictureOf(readingTask(id, { value, ...more })) as LiquidColumnPicture;

it('no hydrometer is in the liquid while the right one is still to be found', () => {
  const picture = of('hydrometer-1000', 1.05, { untried: true });
  expect(HYDROMETER_VIEW.begin(picture)).toBeNull();
  expect(HYDROMETER_VIEW.readOff?.(picture, null)).toBe(rightFloat(picture));
});

it('hydrometers stand in the rack from the lightest to the densest', () => {
  const ids = ['0700', '0800', '0900', '1000', '1100', '1200'];
  expect(ids.map((id) => rightFloat(of(`hydrometer-${id}`, Number(id) / 1000 + 0.05)))).toEqual([0, 1, 2, 3, 4, 5]);
  expect(FLOATS).toBe(6);
});
