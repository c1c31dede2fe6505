import { completeRules, drawTask, hasScale, instrumentIds, pictureOf, type Picture } from '@green-beam/core';
import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it, vi } from 'vitest';
import { PaperPicture } from './paper-picture.tsx';
import { viewOf } from './views.ts';

const RULES = completeRules();
const SEEDS = [1, 2, 3, 4, 5, 6];

function printed(id: string, seed: number): Picture {
  return pictureOf(drawTask(id, { seed, onPaper: true }));
}

// Somebody who has asked for less motion: nothing swings while it is looked at.
vi.stubGlobal('window', { matchMedia: () => ({ matches: true }) });

describe('every tool', () => {
  it.each(instrumentIds())('%s: is printed whole, with nothing in it that is no number', (id) => {
    for (const seed of SEEDS) {
      const markup = renderToStaticMarkup(
        <PaperPicture picture={printed(id, seed)} label={`${id}, reading ${seed}`} />,
      );
      expect(markup).toMatch(/^<svg/);
      expect(markup).toContain(`aria-label="${id}, reading ${seed}"`);
      expect(markup).not.toMatch(/NaN|undefined|Infinity/);
      // Numbers stand on its lines or are lit up; a ring alone has none.
      expect(/<text[^>]*>[^<]*\d[^<]*<\/text>/.test(markup)).toBe(hasScale(id, RULES));
    }
  });

  it.each(instrumentIds())('%s: is seen first and read off at places of its drawing', (id) => {
    for (const seed of SEEDS) {
      const picture = pictureOf(drawTask(id, { seed }));
      const view = viewOf(picture);
      const { height, markAt } = view.seenFirst(picture);
      expect(Number.isFinite(height)).toBe(true);
      const places = [markAt, view.readAt(picture, markAt), view.markAtEnter(picture)];
      expect(places.every(Number.isFinite)).toBe(true);
      // What has come to rest stays there.
      const read = view.readAt(picture, markAt);
      expect(view.readAt(picture, read)).toBe(read);
      const begun = view.begin(picture);
      const off = view.readOff?.(picture, begun) ?? begun;
      expect(view.readOff?.(picture, off) ?? off).toEqual(off);
    }
  });
});
