import { describe, expect, it } from 'vitest';
import { createSight } from './sight.ts';

describe('the eye and the mark', () => {
  it('tell their listeners of every movement, and only of movements', () => {
    const sight = createSight({ height: 12, markAt: 80 });
    const seen: [number, number][] = [];
    const leave = sight.subscribe(() => seen.push([sight.seen().height, sight.seen().markAt]));
    sight.moveEye(10);
    sight.moveEye(10);
    sight.moveMark(75);
    sight.moveEye(-3.5);
    leave();
    sight.moveEye(0);
    expect(seen).toEqual([
      [10, 80],
      [10, 75],
      [-3.5, 75],
    ]);
    expect(sight.seen()).toEqual({ height: 0, markAt: 75 });
  });

  it('have any number of listeners', () => {
    const sight = createSight({ height: 0, markAt: 0 });
    let heard = 0;
    const leave = [1, 2, 3].map(() => sight.subscribe(() => (heard += 1)));
    sight.moveEye(1);
    leave[1]?.();
    sight.moveEye(2);
    expect(heard).toBe(5);
  });
});
