import { pictureOf, readingTask, type LiquidColumnPicture } from '@green-beam/core';
import { expect, it } from 'vitest';
import { BURETTE_VIEW } from './burette-view.tsx';

const of = (left?: 'funnel'): LiquidColumnPicture =>
  pictureOf(readingTask('burette-50', { value: 20, from: 1, ...(left ? { left } : {}) })) as LiquidColumnPicture;

it('a burette has in it what was left in it, and, once read, what nobody noticed', () => {
  expect(BURETTE_VIEW.begin(of('funnel')).left).toBe('funnel');
  expect(BURETTE_VIEW.begin(of()).left).toBeNull();
  const cleared = { left: null, dripping: false } as const;
  expect(BURETTE_VIEW.unnoticed?.(cleared, [{ id: 'funnel-left', text: '' }]).left).toBe('funnel');
  expect(BURETTE_VIEW.unnoticed?.({ ...cleared, left: 'funnel' }, []).left).toBeNull();
});

it('a burette starts where it starts and is read where it was let run to', () => {
  const picture = of();
  const { markAt } = BURETTE_VIEW.seenFirst(picture);
  expect(markAt).toBe(picture.startY);
  expect(BURETTE_VIEW.readAt(picture, markAt)).toBe(picture.surfaceY);
});
