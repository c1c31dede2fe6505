import { describe, expect, it } from 'vitest';
import { instrumentById, instrumentIds } from '../../instruments/catalogue.ts';
import { Rational } from '../../numbers/rational.ts';
import { completeRules, PRESETS } from '../../rules/house-rules.ts';
import { readingStep } from '../expected-reading.ts';
import { judgeParts, partsIn, type PartsJudged } from './judge-parts.ts';
import { readingParts } from './reading-parts.ts';

const rules = completeRules();

function judged(id: string, text: string): PartsJudged {
  const tool = instrumentById(id);
  const written = /= *(\S*)$/.exec(text)?.[1] ?? '';
  return judgeParts(tool, partsIn(text, tool, rules), written === '' ? null : Rational.of(written));
}

describe('a reading taken in parts', () => {
  it.each([
    ['caliper-twentieth', 'main 12 + line 7 = 12.35', 12.35],
    ['caliper-fiftieth', 'main 30 + line 24 = 30.48', 30.48],
    ['micrometer-hundredth', 'sleeve 5.5 + thimble 32.4 = 5.824', 5.824],
    ['micrometer-thousandth', 'sleeve 5.5 + thimble 32 + vernier 4 = 5.824', 5.824],
    ['beam-balance-tenth', 'rider1 200 + rider2 70 + rider3 8.35 = 278.35', 278.35],
    ['cylinder-50', 'label 20 + marks 3 + beyond 0.4 = 23.4', 23.4],
    ['cylinder-250', 'label 100 + marks 7 + beyond 0.6 = 114.6', 114.6],
    ['burette-50', 'label 24 + marks 3 + beyond 0.07 = 24.37', 24.37],
    ['ruler-millimetre', 'label 40 + marks 6 + beyond 0.5 = 46.5', 46.5],
  ])('%s: %s', (id, text, sum) => {
    const found = judged(id, text);
    expect([found.sum.toNumber(), found.slip, found.remark]).toEqual([sum, null, null]);
  });

  it.each([
    ['caliper-twentieth', 'main 12 + line 7 = 12.7', 'vernier-count-as-tenths'],
    ['caliper-twentieth', 'main 12 + line 7 = 12.07', 'vernier-count-as-tenths'],
    ['micrometer-hundredth', 'sleeve 5.5 + thimble 32 = 8.7', 'thimble-as-tenths'],
    ['micrometer-hundredth', 'sleeve 5.5 + thimble 32 = 0.32', 'thimble-only'],
    ['micrometer-hundredth', 'sleeve 5.5 + thimble 32 = 5.5', 'sleeve-only'],
    ['beam-balance-tenth', 'rider1 200 + rider2 70 + rider3 8.35 = 208.35', 'beam-omitted'],
    ['cylinder-250', 'label 100 + marks 7 + beyond 0.6 = 107.6', 'division-miscounted'],
  ])('%s: %s is %s', (id, text, slip) => {
    const found = judged(id, text);
    expect(found.slip).toBe(slip);
    expect(found.remark).toMatch(/^[A-Z].*\. The parts add up to/);
  });

  it.each([
    ['micrometer-hundredth', 'sleeve 5.3 + thimble 32 = 5.62', /Sleeve: it is read in steps of 0.5 mm/],
    ['micrometer-hundredth', 'sleeve 5.5 + thimble 57 = 6.07', /Thimble: it goes from 0 to 50/],
    ['caliper-twentieth', 'main 12.5 + line 7 = 12.85', /Main scale: it is read in steps of 1 mm/],
    [
      'beam-balance-tenth',
      'rider1 250 + rider2 70 + rider3 8 = 328',
      /Rider up to 500 g: it is read in steps of 100 g/,
    ],
    ['cylinder-50', 'label 20 + marks 13 + beyond 0 = 33', /Marks after it: it goes from 0 to/],
    ['cylinder-50', 'label 20 + marks 3 + beyond 0.4 = 24.3', /^The parts add up to 23.4 mL, not to 24.3 mL/],
  ])('%s: %s is remarked on', (id, text, remark) => {
    expect(judged(id, text).remark).toMatch(remark);
  });

  it.each([
    ['cylinder-50', '23.4'],
    ['cylinder-50', 'label 20 + marks 3 = 23.4'],
    ['cylinder-50', 'main 20 + line 3 = 23.4'],
    ['cylinder-50', 'label twenty + marks 3 + beyond 0.4 = 23.4'],
    ['digital-balance-tenth', 'main 20 + line 3 = 23.4'],
  ])('%s: %s has no parts that are understood', (id, text) => {
    expect(partsIn(text, instrumentById(id), rules)).toEqual([]);
  });

  it('has parts that come to every reading a class takes on a tool', () => {
    for (const { rules: house } of PRESETS)
      for (const id of instrumentIds()) {
        const tool = instrumentById(id);
        const complete = completeRules(house);
        const parts = readingParts(tool, complete);
        if (parts.length === 0) continue;
        const { step } = readingStep(tool, complete);
        const last = parts.at(-1)!;
        // The finest part goes in the steps that the class reads.
        expect([id, Number((last.worth * last.step).toFixed(9))]).toEqual([id, Number(step.toFixed(9))]);
        parts.slice(0, -1).forEach((part, i) => {
          const next = parts[i + 1]!;
          // Each part reaches as far as one step of the part before.
          expect([id, next.worth * next.most + 1e-9 >= part.worth * part.step - next.worth * next.step]).toEqual([
            id,
            true,
          ]);
        });
      }
  });
});
