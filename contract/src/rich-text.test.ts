import { describe, expect, it } from 'vitest';
import { plainTextOf, richTextFrom, type RichText } from './rich-text.ts';

const TEXT: RichText = {
  type: 'doc',
  content: [
    {
      type: 'paragraph',
      content: [
        { type: 'text', text: 'The density is 8.7 g/cm' },
        { type: 'text', text: '3', marks: [{ type: 'superscript' }] },
        { type: 'text', text: '.', marks: [{ type: 'bold' }] },
      ],
    },
    { type: 'paragraph' },
    {
      type: 'bulletList',
      content: [
        { type: 'listItem', content: [{ type: 'paragraph', content: [{ type: 'text', text: 'a bubble' }] }] },
        {
          type: 'listItem',
          content: [{ type: 'orderedList', content: [{ type: 'listItem', content: [{ type: 'paragraph' }] }] }],
        },
      ],
    },
  ],
};

/** A list in a list, so deep. */
function nested(depth: number): unknown {
  return depth === 0
    ? { type: 'paragraph' }
    : { type: 'bulletList', content: [{ type: 'listItem', content: [nested(depth - 1)] }] };
}

describe('the text of a report', () => {
  it('is read as it was kept', () => expect(richTextFrom(JSON.stringify(TEXT))).toEqual(TEXT));

  it('has its letters alone', () =>
    expect(plainTextOf(JSON.stringify(TEXT))).toBe('The density is 8.7 g/cm3.\n\na bubble\n'));

  it('keeps nothing that is not of it: no address, no class, no style', () => {
    const loaded = {
      ...TEXT,
      attrs: { onload: 'alert(1)' },
      content: [{ type: 'paragraph', attrs: { style: 'x' }, content: [{ type: 'text', text: '<b>a</b>', href: 'x' }] }],
    };
    expect(richTextFrom(JSON.stringify(loaded))).toEqual({
      type: 'doc',
      content: [{ type: 'paragraph', content: [{ type: 'text', text: '<b>a</b>' }] }],
    });
  });

  it.each([
    ['nothing', ''],
    ['HTML', '<p>Hello</p>'],
    ['a number', '7'],
    ['a list', '[]'],
    ['another document', '{"type":"page","content":[]}'],
    ['an unknown block', '{"type":"doc","content":[{"type":"image","attrs":{"src":"x"}}]}'],
    [
      'an unknown mark',
      '{"type":"doc","content":[{"type":"paragraph","content":[{"type":"text","text":"x","marks":[{"type":"link"}]}]}]}',
    ],
    ['a number for text', '{"type":"doc","content":[{"type":"paragraph","content":[{"type":"text","text":7}]}]}'],
    ['letters without a paragraph', '{"type":"doc","content":[{"type":"text","text":"x"}]}'],
    ['a list without items', '{"type":"doc","content":[{"type":"bulletList","content":[{"type":"paragraph"}]}]}'],
    ['content that is none', '{"type":"doc","content":{"type":"paragraph"}}'],
    ['lists too deep', JSON.stringify({ type: 'doc', content: [nested(5)] })],
  ])('is not %s', (_what, text) => {
    expect(richTextFrom(text)).toBeNull();
    expect(plainTextOf(text)).toBe('');
  });

  it('has lists in lists, four deep', () =>
    expect(richTextFrom(JSON.stringify({ type: 'doc', content: [nested(4)] }))).not.toBeNull());
});
