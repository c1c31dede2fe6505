import type { ShelfShown } from '@green-beam/contract';
import { describe, expect, it } from 'vitest';
import { standingInWords } from './standing.ts';

const SHELF: ShelfShown = {
  met: [],
  aside: [
    { subjectIds: ['burette-50', 'burette-25'], done: 3, of: 10 },
    { subjectIds: [], done: 7, of: 10 },
  ],
  standing: [
    { toolId: 'burette-25', readings: 4, rightAtFirst: 4 },
    { toolId: 'burette-50', readings: 8, rightAtFirst: 2 },
  ],
};

describe('how one stands with a tool', () => {
  it('says how many are right only where there are enough readings', () => {
    expect(standingInWords(SHELF, ['burette-25'])).toBe('too early to say');
    expect(standingInWords(SHELF, ['burette-50'])).toBe('25 % right');
  });

  it('counts a family together, with the round that was put aside', () => {
    expect(standingInWords(SHELF, ['burette-25', 'burette-50'])).toBe('3 of 10 done · 50 % right');
  });

  it('knows the mix by naming no tool', () => {
    expect(standingInWords(SHELF, [])).toBe('7 of 10 done');
  });

  it('says nothing of a tool that was never read', () => {
    expect(standingInWords(SHELF, ['clock'])).toBe('');
  });
});
