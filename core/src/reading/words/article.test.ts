import { describe, expect, it } from 'vitest';
import { instrumentById, instrumentIds } from '../../instruments/catalogue.ts';
import { drawTask } from '../drawing/draw-task.ts';
import { pictureOf } from '../bench.ts';
import { withArticle } from './article.ts';

describe('the article of a name', () => {
  it.each([
    ['acrylic rod', 'an acrylic rod'],
    ['ebony peg', 'an ebony peg'],
    ['inch ruler', 'an inch ruler'],
    ['brass bush', 'a brass bush'],
    ['50 mL cylinder', 'a 50 mL cylinder'],
    ['0.02 mm vernier caliper', 'a 0.02 mm vernier caliper'],
  ])('%s', (name, words) => {
    expect(withArticle(name)).toBe(words);
  });

  it('fits every tool, and every thing that is measured: none is spoken otherwise than it begins', () => {
    const measuring = instrumentIds().filter((id) => /ruler|caliper|micrometer/.test(id));
    const things = measuring.flatMap((id) =>
      Array.from({ length: 30 }, (_, seed) => {
        const picture = pictureOf(drawTask(id, { seed }));
        return 'thing' in picture ? picture.thing.name : '';
      }),
    );
    for (const name of new Set([...things, ...instrumentIds().map((id) => instrumentById(id).name)]))
      expect(name).not.toMatch(/^(un[io]|use|eu|one|hour|honest|8|11|18)/i);
  });
});
