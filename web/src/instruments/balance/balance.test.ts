import {
  pictureOf,
  readingTask,
  riderPlace,
  instrumentById,
  type BeamBalance,
  type BeamPicture,
  type DisplayPicture,
  type Situation,
} from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { createBalance, foundStanding, holdingPlaces, restOf, standing } from './balance.ts';
import { letGo } from './geometry.ts';
import {
  lit,
  OVERLOADED,
  pressing,
  shownByHand,
  shownByJaws,
  shownOf,
  untouchedPan,
  type PanState,
} from './pan-state.ts';
import { untouchedHold } from '../held-state.ts';

function beams(situation: Situation, id = 'beam-balance-tenth'): BeamPicture {
  const picture = pictureOf(readingTask(id, situation));
  if (picture.kind !== 'beams') throw new Error('a beam balance is drawn as one');
  return picture;
}

describe('a beam balance under somebody’s hands', () => {
  const picture = beams({ value: 75.4441, container: 30.2, empty: 0.4, loose: true });
  const tool = instrumentById('beam-balance-tenth') as BeamBalance;
  const places = (...grams: number[]): number[] => grams.map((gram, i) => riderPlace(tool.beams[i]!, gram));

  it('stands low with nothing on it when it is not zeroed, and on its mark once the screw is turned', () => {
    const balance = createBalance(picture, foundStanding(picture), true);
    expect(balance.now().pointer.at).toBeGreaterThan(9);
    balance.turnScrew(-0.4);
    expect(Math.abs(balance.now().pointer.at)).toBeLessThanOrEqual(picture.swing.friction + 1e-9);
  });

  it('rests where the riders hold what is on the pan, whatever its mass', () => {
    const balance = createBalance(picture, foundStanding(picture), true);
    balance.turnScrew(-0.4);
    balance.put('vessel', true);
    balance.put('thing', true);
    places(0, 100, 5.6441).forEach((x, i) => balance.moveRider(i, x));
    expect(Math.abs(restOf(picture, balance.now()))).toBeLessThan(0.01);
    balance.moveRider(2, places(0, 0, 5.7)[2]!);
    expect(restOf(picture, balance.now())).toBeLessThan(-0.5);
    balance.put('vessel', false);
    expect(balance.now().pointer.at).toBe(-picture.swing.stops);
  });

  it('keeps every rider on its beam', () => {
    const balance = createBalance(picture, foundStanding(picture), true);
    balance.moveRider(0, 900);
    balance.moveRider(1, -5);
    expect(balance.now().riderX).toEqual([200, 0, 0]);
  });

  it('tells whoever listens, and no longer when they have left', () => {
    const balance = createBalance(picture, foundStanding(picture), true);
    let heard = 0;
    const leave = balance.subscribe(() => (heard += 1));
    balance.moveRider(2, 3);
    leave();
    balance.moveRider(2, 4);
    expect(heard).toBe(1);
  });

  it('settles with its riders where they hold the load, each in a notch', () => {
    const balance = createBalance(picture, foundStanding(picture), true);
    balance.settle();
    // What it shows empty is still in it.
    expect(balance.now().riderX.map((x) => Number(x.toFixed(2)))).toEqual(
      places(0, 70, 5.8441).map((x) => Number(x.toFixed(2))),
    );
    expect(restOf(picture, balance.now())).toBeCloseTo(0, 6);
  });

  it('finds the places of riders from what pulls', () => {
    expect(holdingPlaces(picture, 247.36 * picture.arm).map((x) => Number(x.toFixed(3)))).toEqual(
      places(200, 40, 7.36),
    );
    expect(holdingPlaces(picture, -3)).toEqual([0, 0, 0]);
  });

  it('shows each view with its pointer on the mark', () => {
    const looked = beams({ value: 40.2, container: 30.2, empty: 0.4 });
    expect(looked.views.map(({ caption }) => caption)).toEqual([
      'the vessel with the thing in it',
      'the vessel alone',
      'nothing',
    ]);
    expect(
      [0, 1, 2].map((view) => [
        standing(looked, view).vessel,
        standing(looked, view).thing,
        standing(looked, view).pointer.at,
      ]),
    ).toEqual([
      [true, true, 0],
      [true, false, 0],
      [false, false, 0],
    ]);
  });

  it('a thing against the glass is lighter until it hangs free', () => {
    const hung = beams({ value: 20.5, under: 'water', spoilt: 'touching', loose: true }, 'beam-balance-hundredth');
    const balance = createBalance(hung, foundStanding(hung), true);
    balance.put('thing', true);
    const touching = restOf(hung, balance.now());
    balance.hangFree();
    expect((restOf(hung, balance.now()) - touching) / hung.perPull / hung.arm).toBeCloseTo(0.14, 6);
  });

  it('a rider let go near a notch drops into it; further off it stays', () => {
    expect([letGo([0, 40, 80], 42), letGo([0, 40, 80], 52), letGo([], 52)]).toEqual([40, 52, 52]);
  });
});

describe('a display', () => {
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

  it('that was found settling comes to what it will show', () => {
    const settling = pictureOf(
      readingTask('digital-balance-tenth', { value: 18.4, settled: false, shown: 17.2 }),
    ) as DisplayPicture;
    expect([shownOf(settling, 0), shownOf(settling, 20_000)]).toEqual([
      { characters: '17.2', stable: false },
      { characters: '18.4', stable: true },
    ]);
  });

  it('of a caliper counts from where it was zeroed, in mm or in half thousandths of an inch', () => {
    expect(shownByJaws(untouchedHold, 25.26)).toBe('25.26 mm');
    expect(shownByJaws({ ...untouchedHold, zeroed: -0.04 }, 25.26)).toBe('25.30 mm');
    expect(shownByJaws({ ...untouchedHold, inches: true }, 25.4)).toBe('1.0000 in');
    expect(shownByJaws({ ...untouchedHold, inches: true }, 10)).toBe('0.3935 in');
    expect(lit(-4, 2)).toBe('−0.04');
  });
});
