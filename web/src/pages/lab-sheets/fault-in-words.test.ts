import { protocol } from '@green-beam/core';
import { describe, expect, it } from 'vitest';
import { placeInWords, sectionOf } from './fault-in-words.ts';

const SHEET = { ...protocol('mass-per-item') };

describe('the place of a fault', () => {
  it.each([
    ['quantities[3].formula', 'Mass of one washer, formula', 'advanced'],
    ['quantities', 'Quantities', 'advanced'],
    ['steps[0].minutes', 'Counts and masses, minutes', 'steps'],
    ['questions[1].answer.right', 'Question 2, answer.right', 'questions'],
    ['statements[0].corrections', 'Statement 1, what it should say', 'statements'],
    ['purpose', 'Purpose', 'about'],
    ['cautions[2]', 'Cautions, line 3', 'about'],
    ['results[0].quantity', 'Result 1, quantity', 'results'],
    ['samples[0].entries.mass', 'Example 1, entries.mass', 'try'],
    ['byStudent[0]', 'byStudent 1', 'results'],
    ['', 'The whole', 'advanced'],
  ])('%s is %s, mended under %s', (path, words, section) => {
    expect(placeInWords(SHEET, path)).toBe(words);
    expect(sectionOf({ path, reason: '' })).toBe(section);
  });
});
