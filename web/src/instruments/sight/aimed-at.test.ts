import { describe, expect, it } from 'vitest';
import { aimedAt, createSight } from './sight.ts';

describe('an eye aimed at a mark that stands still', () => {
  it('follows the eye, and not the surface', () => {
    const sight = createSight({ height: 30, markAt: 200 });
    const aimed = aimedAt(sight, 60);
    expect(aimed.seen()).toEqual({ height: 30, markAt: 60 });
    sight.moveMark(100);
    expect(aimed.seen()).toEqual({ height: 30, markAt: 60 });
    aimed.moveEye(-4);
    expect(aimed.seen()).toEqual({ height: -4, markAt: 60 });
    expect(sight.seen()).toEqual({ height: -4, markAt: 100 });
    aimed.moveMark(5);
    expect(sight.seen().markAt).toBe(100);
  });

  it('is the same object as long as the eye stays, as its listeners need', () => {
    const sight = createSight({ height: 30, markAt: 200 });
    const aimed = aimedAt(sight, 60);
    const before = aimed.seen();
    sight.moveMark(150);
    expect(aimed.seen()).toBe(before);
    sight.moveEye(29);
    expect(aimed.seen()).not.toBe(before);
  });
});
