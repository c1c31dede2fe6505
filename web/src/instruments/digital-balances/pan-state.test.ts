import { pictureOf, readingTask, type DisplayPicture } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { OVERLOADED, pressing, shownByHand, untouchedPan, type PanState } from './pan-state.ts';

describe('a digital balance under somebody’s hands', () => {
  const picture = pictureOf(
    readingTask('digital-balance-hundredth', {
      value: 18.46,
      container: 20.13,
      empty: 0.08,
      spoilt: 'wet',
      loose: true,
    }),
  ) as DisplayPicture;
  const weighables = picture.weighables!;
  const shown = (pan: Partial<PanState>, at = 10_000): string =>
    shownByHand(weighables, { ...untouchedPan, on: true, ...pan }, at).characters;

  it('adds up what presses on the pan, less what was tared', () => {
    expect(shown({})).toBe('0.08');
    expect(shown({ vessel: true })).toBe('20.21');
    expect(shown({ vessel: true, thing: true, putRight: true, tare: 2021 })).toBe('18.46');
    expect(shown({ tare: 2021 })).toBe('−20.13');
    expect(pressing(weighables, { ...untouchedPan, thing: true })).toBe(8 + 1846 + 9);
  });

  it('is dark until it is switched on, and shows bars beyond what it takes', () => {
    expect(shownByHand(weighables, untouchedPan, 0)).toEqual({ characters: '', stable: false });
    expect(shownByHand({ ...weighables, capacity: 1000 }, { ...untouchedPan, on: true, thing: true }, 0)).toEqual({
      characters: OVERLOADED,
      stable: false,
    });
  });

  it('settles, and has its stability mark then', () => {
    const pan: PanState = {
      ...untouchedPan,
      on: true,
      thing: true,
      putRight: true,
      tare: 8,
      changed: { at: 0, away: 60 },
    };
    expect(shownByHand(weighables, pan, 0)).toEqual({ characters: '17.86', stable: false });
    expect(shownByHand(weighables, pan, 9000)).toEqual({ characters: '18.46', stable: true });
  });

  it('never finds its mark in a draught', () => {
    const open = { ...weighables, spoilt: { how: 'draught' as const, digits: 6 } };
    expect(shownByHand(open, { ...untouchedPan, on: true, thing: true }, 9000).stable).toBe(false);
    expect(shownByHand(open, { ...untouchedPan, on: true, thing: true, putRight: true }, 9000).stable).toBe(true);
  });
});
