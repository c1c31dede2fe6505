import { describe, expect, it } from 'vitest';
import { namesBeside, type NamedMark } from './names-beside.ts';

const BOUNDS = { left: 0, right: 600, top: 0, bottom: 400 };
const mark = (name: string, x: number, y: number, half = 10): NamedMark => ({ name, from: x - half, to: x + half, y });

describe('names beside marks', () => {
  it('stand to the right where there is room, else to the left', () => {
    const [first, second] = namesBeside([mark('beaker', 300, 100), mark('cylinder', 580, 200)], BOUNDS);
    expect(first).toEqual({ x: 318, y: 100, anchor: 'start' });
    expect(second).toMatchObject({ anchor: 'end', y: 200 });
  });
  it('cover neither each other nor a mark, however near the marks lie', () => {
    const marks = ['cylinder', 'burette', 'one-mark pipette', 'beaker'].map((name, i) =>
      mark(name, 300 + 12 * i, 380 - 5 * i, 20),
    );
    const places = namesBeside(marks, BOUNDS);
    const boxes = places.map(({ x, y, anchor }, i) => {
      const width = marks[i]!.name.length * 7;
      const left = anchor === 'start' ? x : x - width;
      return { left, right: left + width, top: y - 6, bottom: y + 6 };
    });
    boxes.forEach((a, i) =>
      boxes.slice(i + 1).forEach((b) => {
        expect(a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom).toBe(false);
      }),
    );
    expect(boxes.every(({ left, right, bottom }) => left >= 0 && right <= 600 && bottom <= 400)).toBe(true);
  });
  it('without any room stand where they would', () => {
    expect(namesBeside([mark('beaker', 10, 5)], { left: 0, right: 20, top: 0, bottom: 10 })).toEqual([
      { x: 28, y: 5, anchor: 'start' },
    ]);
  });
});
