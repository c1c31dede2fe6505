import { drawTask, pictureOf, type ClockPicture } from '@green-beam/core';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { ClockFace } from './clock-face.tsx';
import { ClockFaces, faceBox } from './clock-faces.tsx';

/** Radii of the dial: where short and long lines begin, and where all of them end. */
const [SHORT, LONG, RIM] = [94, 90, 100];

function drawn(picture: ClockPicture): string {
  return renderToStaticMarkup(<ClockFaces picture={picture} />);
}

function face(hour: number, minute: number, second: number): string {
  return renderToStaticMarkup(<ClockFace hands={{ hour, minute, second }} />);
}

/** The numbers in a tag's attributes of these names. */
function numbersOf(tag: string, names: readonly string[]): number[] {
  return names.map((name) => Number(new RegExp(` ${name}="([^"]*)"`).exec(tag)?.[1]));
}

/** Degrees clockwise from twelve. */
function direction(x: number, y: number): number {
  return ((Math.atan2(x, -y) * 180) / Math.PI + 360) % 360;
}

describe('a dial', () => {
  const markup = face(0, 0, 0);
  const lines = (markup.match(/<line x1[^>]*>/g) ?? []).map((tag) => numbersOf(tag, ['x1', 'y1', 'x2', 'y2']));

  it('has sixty lines, six degrees apart, every fifth one longer', () => {
    expect(lines).toHaveLength(60);
    lines.forEach(([x1 = NaN, y1 = NaN, x2 = NaN, y2 = NaN], line) => {
      expect(Math.hypot(x1, y1)).toBeCloseTo(line % 5 === 0 ? LONG : SHORT, 9);
      expect(Math.hypot(x2, y2)).toBeCloseTo(RIM, 9);
      expect(Math.cos(((direction(x2, y2) - 6 * line) * Math.PI) / 180)).toBeCloseTo(1, 9);
    });
  });

  it('has the numbers 1 to 12, each in the direction of its line', () => {
    const numbers = [...markup.matchAll(/(<text[^>]*>)(\d+)<\/text>/g)].map(([, tag = '', number]) => {
      const [x = NaN, y = NaN] = numbersOf(tag, ['x', 'y']);
      return { number: Number(number), at: direction(x, y) };
    });
    expect(numbers.map(({ number }) => number)).toEqual([1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12]);
    for (const { number, at } of numbers) expect(Math.cos(((at - 30 * number) * Math.PI) / 180)).toBeCloseTo(1, 9);
  });

  it('turns each hand by its own angle, the thin one on top', () => {
    const turns = [...face(101, 66, 216).matchAll(/rotate\(([^)]*)\)/g)].map(([, angle]) => Number(angle));
    expect(turns).toEqual([101, 66, 216]);
  });

  it('has hands whose points reach their own lines: the minute hand almost to the short lines, the thin one onto them', () => {
    const tips = [...markup.matchAll(/d="(M-[23][^"]*)"/g)].map(([, path = '']) =>
      Math.max(...[...path.matchAll(/L-?[\d.]+ (-?[\d.]+)/g)].map(([, y]) => -Number(y))),
    );
    const [hour = NaN, minute = NaN] = tips;
    expect(hour).toBeLessThan(minute - 25);
    expect(minute).toBeLessThan(LONG);
    expect(minute).toBeGreaterThan(LONG - 10);
    expect(markup).toContain('y2="-97"');
  });
});

describe('a clock', () => {
  const pictures = Array.from({ length: 40 }, (_, i) => pictureOf(drawTask('clock', { seed: i + 1 }))).filter(
    (picture) => picture.kind === 'clock',
  );

  it('has a face for each time that is asked about, side by side and within its box', () => {
    expect(pictures).toHaveLength(40);
    for (const picture of pictures) {
      const places = [...drawn(picture).matchAll(/translate\(([\d.]+) /g)].map(([, x]) => Number(x));
      expect(places).toHaveLength(picture.views.length);
      for (const x of places) {
        expect(x).toBeGreaterThanOrEqual(118);
        expect(x).toBeLessThanOrEqual(faceBox(picture).width - 118);
      }
      places.slice(1).forEach((x, i) => expect(x - (places[i] ?? NaN)).toBeGreaterThanOrEqual(2 * 118));
    }
  });

  it('says which face is at the start and which at the end, where there are two', () => {
    expect(new Set(pictures.map(({ views }) => views.length))).toEqual(new Set([1, 2]));
    for (const picture of pictures)
      for (const { caption } of picture.views)
        expect(drawn(picture).includes(`>${caption}<`)).toBe(picture.views.length > 1);
  });

  it('has hands or a display, never both', () => {
    const views = pictures.flatMap((picture) => picture.views.map((view) => ({ ...view, markup: drawn(picture) })));
    expect(new Set(views.map(({ hands }) => hands === null))).toEqual(new Set([true, false]));
    for (const { hands, characters, markup } of views) {
      expect(markup.includes('rotate(')).toBe(hands !== null);
      expect(characters !== null && markup.includes(`>${characters}<`)).toBe(hands === null);
    }
  });
});
