import { pictureOf, readingTask } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { FLOATS, readOff, rightFloat, untouched } from './tool-state.ts';

const of = (...task: Parameters<typeof readingTask>) => pictureOf(readingTask(...task));

describe('a tool before anything is done', () => {
  it('has in it what was left in it', () => {
    expect(untouched(of('burette-50', { value: 20, from: 1, left: 'funnel' })).left).toBe('funnel');
    expect(untouched(of('burette-50', { value: 20, from: 1 })).left).toBeNull();
  });

  it('hangs in the air while its thread has not begun to move', () => {
    expect(untouched(of('thermometer-degree', { value: 60, settled: false, shown: 20 })).bulb).toBe('air');
    expect(untouched(of('thermometer-degree', { value: 60 })).bulb).toBe('liquid');
  });

  it('is not in the liquid while the right one is still to be found', () => {
    const picture = of('hydrometer-1000', { value: 1.05, untried: true });
    expect(untouched(picture).float).toBeNull();
    expect(readOff(picture, untouched(picture)).float).toBe(rightFloat(picture));
  });

  it('is looked at where a thing is to be laid', () => {
    const picture = of('ruler-inch', { value: 3, from: 1.3, loose: true });
    expect(untouched(picture)).toMatchObject({ end: 'left' });
    expect(readOff(picture, untouched(picture)).end).toBe('right');
    expect(untouched(of('ruler-inch', { value: 3 })).end).toBe('right');
  });
});

it('hydrometers stand in the rack from the lightest to the densest', () => {
  const ids = ['0700', '0800', '0900', '1000', '1100', '1200'];
  expect(ids.map((id) => rightFloat(of(`hydrometer-${id}`, { value: Number(id) / 1000 + 0.05 })))).toEqual([
    0, 1, 2, 3, 4, 5,
  ]);
  expect(FLOATS).toBe(6);
});
