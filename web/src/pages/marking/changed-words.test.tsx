import { describe, expect, it } from 'vitest';
import { rendered, textsOf } from '../../../test/rendered.ts';
import { ChangedWords } from './changed-words.tsx';

describe('what changed in a text', () => {
  it('is marked word by word, and nothing in it is markup', () => {
    const { root } = rendered(<ChangedWords before="The tile was wet." after="The tile was <b>dry</b>." />);
    expect(textsOf(root, 'del')).toEqual(['wet']);
    expect(textsOf(root, 'ins')).toEqual(['<b>dry</b>']);
    expect(root.querySelectorAll('b')).toEqual([]);
  });

  it('is all of it where nothing stood there', () => {
    const { root } = rendered(<ChangedWords before="" after="A bubble." />);
    expect(textsOf(root, 'ins')).toEqual(['A bubble.']);
  });
});
