import { describe, expect, it } from 'vitest';
import { asSentence } from './fields.tsx';

describe('a fault under its field', () => {
  it.each([
    ['is missing.', 'Is missing.'],
    ['has more than 80 characters.', 'Has more than 80 characters.'],
    // A capital letter would make another unit of it.
    [
      'g/cm and g*cm are units of different kinds (at character 23).',
      'g/cm and g*cm are units of different kinds (at character 23).',
    ],
    ['len does not stand over trial.', 'len does not stand over trial.'],
    [undefined, undefined],
  ])('%j reads %j', (fault, sentence) => expect(asSentence(fault)).toBe(sentence));
});
