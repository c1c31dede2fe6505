import { pictureOf, readingTask, type RulerPicture } from '@green-beam/core';
import { expect, it } from 'vitest';
import { RULER_VIEW } from './ruler-view.tsx';

const of = (more: object): RulerPicture => pictureOf(readingTask('ruler-inch', { value: 3, ...more })) as RulerPicture;

it('a ruler is looked at where a thing is to be laid, and at its other end once it is read', () => {
  const picture = of({ from: 1.3, loose: true });
  const state = RULER_VIEW.begin(picture);
  expect(state.end).toBe('left');
  expect(RULER_VIEW.readOff?.(picture, state).end).toBe('right');
  expect(RULER_VIEW.begin(of({})).end).toBe('right');
});

it('a thing stays where it was laid', () => {
  expect(RULER_VIEW.readAt(of({ from: 1.3, loose: true }), 61.5)).toBe(61.5);
});
