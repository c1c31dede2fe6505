import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { RichTextShown } from './rich-text-shown.tsx';

const html = (text: string): string =>
  renderToStaticMarkup(<RichTextShown text={text} />).replace(/ class="[^"]*"/g, '');

const doc = (...content: unknown[]): string => JSON.stringify({ type: 'doc', content });
const paragraph = (text: string, ...marks: string[]): unknown => ({
  type: 'paragraph',
  content: [{ type: 'text', text, marks: marks.map((type) => ({ type })) }],
});

describe('what somebody has written in their report', () => {
  it('has bold, raised and lowered letters', () => {
    expect(html(doc(paragraph('a', 'bold'), paragraph('3', 'superscript'), paragraph('2', 'subscript', 'bold')))).toBe(
      '<div><p><strong>a</strong></p><p><sup>3</sup></p><p><strong><sub>2</sub></strong></p></div>',
    );
  });

  it('has lists', () =>
    expect(
      html(
        doc(
          { type: 'bulletList', content: [{ type: 'listItem', content: [paragraph('a')] }] },
          { type: 'orderedList', content: [{ type: 'listItem', content: [paragraph('b')] }] },
        ),
      ),
    ).toBe('<div><ul><li><p>a</p></li></ul><ol><li><p>b</p></li></ol></div>'));

  it('shows markup as it was typed, and never follows it', () =>
    expect(html(doc(paragraph('<img src=x onerror="alert(1)"><script>alert(2)</script>')))).toBe(
      '<div><p>&lt;img src=x onerror=&quot;alert(1)&quot;&gt;&lt;script&gt;alert(2)&lt;/script&gt;</p></div>',
    ));

  it('is nothing where nothing was written, or no such text', () => {
    expect(html('')).toBe('');
    expect(html('<b>hello</b>')).toBe('');
  });
});
