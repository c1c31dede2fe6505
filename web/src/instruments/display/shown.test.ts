import { pictureOf, readingTask, type DisplayPicture } from '@green-beam/core';
import { expect, it } from 'vitest';
import { lit, shownOf } from './shown.ts';

it('a display that was found settling comes to what it will show', () => {
  const settling = pictureOf(
    readingTask('digital-balance-tenth', { value: 18.4, settled: false, shown: 17.2 }),
  ) as DisplayPicture;
  expect([shownOf(settling, 0), shownOf(settling, 20_000)]).toEqual([
    { characters: '17.2', stable: false },
    { characters: '18.4', stable: true },
  ]);
});

it('lights a minus sign and every decimal place', () => {
  expect([lit(-4, 2), lit(0, 2), lit(1846, 2)]).toEqual(['−0.04', '0.00', '18.46']);
});
