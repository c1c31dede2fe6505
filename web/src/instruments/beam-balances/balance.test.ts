import {
  pictureOf,
  readingTask,
  riderPlace,
  instrumentById,
  type BeamBalance,
  type BeamPicture,
  type Situation,
} from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { createBalance, foundStanding, holdingPlaces, restOf, standing } from './balance.ts';
import { letGo } from './geometry.ts';

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
