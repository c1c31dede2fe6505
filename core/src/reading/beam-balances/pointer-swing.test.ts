import { describe, expect, it } from 'vitest';
import { seededRandom } from '../../simulation/random.ts';
import { isAtRest, startled, swung, type Pointer, type Swing } from './pointer-swing.ts';

const FREE: Swing = { period: 1.5, damping: 0.13, friction: 0, stops: 10 };

/** Places and times at which a pointer turns round. */
function turnsOf(
  start: Pointer,
  rest: number,
  swing: Swing,
  until: number,
): { readonly time: number; readonly at: number }[] {
  const turns: { time: number; at: number }[] = [];
  const step = 1 / 960;
  for (let [time, now] = [0, start]; time < until; time += step) {
    const next = swung(now, rest, step, swing);
    if (now.speed !== 0 && Math.sign(next.speed) !== Math.sign(now.speed))
      turns.push({ time: time + step / 2, at: next.at });
    now = next;
  }
  return turns;
}

describe('a swinging pointer', () => {
  it('turns each half period', () => {
    const turns = turnsOf({ at: 6, speed: 0 }, 0, FREE, 5.9);
    turns.slice(1).forEach(({ time }, i) => expect(time - turns[i]!.time).toBeCloseTo(0.75, 2));
    expect(turns.length).toBe(7);
  });

  it('dies away by the logarithmic decrement 2πζ ÷ √(1 − ζ²) from one swing to the next', () => {
    const turns = turnsOf({ at: 6, speed: 0 }, 0, FREE, 8);
    const decrement = (2 * Math.PI * 0.13) / Math.sqrt(1 - 0.13 ** 2);
    for (let i = 0; i + 2 < 6; i += 1) expect(Math.log(turns[i]!.at / turns[i + 2]!.at)).toBeCloseTo(decrement, 1);
  });

  it('follows the equation of motion, by small steps of another method', () => {
    const omega = (2 * Math.PI) / FREE.period / Math.sqrt(1 - FREE.damping ** 2);
    let [x, v] = [5, 0];
    const h = 1e-5;
    for (let i = 0; i < 200_000; i += 1) {
      v += h * (-(omega ** 2) * (x - 1.5) - 2 * FREE.damping * omega * v);
      x += h * v;
    }
    expect(swung({ at: 5, speed: 0 }, 1.5, 2, FREE).at).toBeCloseTo(x, 3);
  });

  it('without friction comes to rest within a millionth of where it should', () => {
    for (const rest of [-7.3, 0, 0.004, 4.2])
      expect(Math.abs(swung({ at: 9, speed: -20 }, rest, 60, FREE).at - rest)).toBeLessThan(1e-6);
  });

  it('with friction rests inside its dead band, and not always in its middle', () => {
    const rubbed = { ...FREE, friction: 0.4 };
    const rests = Array.from({ length: 40 }, (_, i) => swung({ at: -9 + 0.45 * i, speed: 0 }, 1.7, 60, rubbed));
    for (const rest of rests) {
      expect(Math.abs(rest.at - 1.7)).toBeLessThanOrEqual(0.4);
      expect(isAtRest(rest, 1.7, rubbed)).toBe(true);
    }
    expect(new Set(rests.map(({ at }) => at.toFixed(3))).size).toBeGreaterThan(10);
    expect(Math.max(...rests.map(({ at }) => Math.abs(at - 1.7)))).toBeGreaterThan(0.1);
  });

  it('stands still once friction holds it, and starts again only when pulled further', () => {
    const rubbed = { ...FREE, friction: 0.4 };
    expect(swung({ at: 0.3, speed: 0 }, 0, 5, rubbed)).toEqual({ at: 0.3, speed: 0 });
    expect(swung({ at: 0.3, speed: 0 }, 1, 5, rubbed).at).toBeGreaterThan(0.6);
  });

  it.each([1 / 30, 1 / 60, 1 / 144, 0.7])('comes to the same place in steps of %d s', (step) => {
    const rubbed = { ...FREE, friction: 0.2 };
    const steps = Math.round(2.8 / step);
    let now: Pointer = { at: -8, speed: 3 };
    for (let i = 0; i < steps; i += 1) now = swung(now, 2, 2.8 / steps, rubbed);
    expect(now.at).toBeCloseTo(swung({ at: -8, speed: 3 }, 2, 2.8, rubbed).at, 6);
  });

  it('lies against a stop when the load is far off, and never beyond it', () => {
    let now: Pointer = { at: 0, speed: 0 };
    for (let i = 0; i < 600; i += 1) {
      now = swung(now, 500, 1 / 60, FREE);
      expect(Math.abs(now.at)).toBeLessThanOrEqual(10);
    }
    expect(now.at).toBe(10);
    expect(isAtRest(swung({ at: 10, speed: 0 }, 500, 1, FREE), 500, FREE)).toBe(true);
  });

  it('is pushed alike by the same hand', () => {
    const push = (seed: number): Pointer => startled({ at: 0, speed: 0 }, seededRandom(seed));
    expect(push(3)).toEqual(push(3));
    expect(push(3)).not.toEqual(push(4));
  });
});
