/** Text with a little markup, as a report’s parts are kept: paragraphs and lists; bold, raised and lowered letters. Never HTML. */
export interface RichText {
  readonly type: 'doc';
  readonly content: readonly Block[];
}

export type Block =
  | { readonly type: 'paragraph'; readonly content?: readonly Letters[] }
  | { readonly type: 'bulletList' | 'orderedList'; readonly content: readonly ListItem[] };

export interface ListItem {
  readonly type: 'listItem';
  readonly content: readonly Block[];
}

export const MARKS = ['bold', 'superscript', 'subscript'] as const;
export type Mark = (typeof MARKS)[number];

export interface Letters {
  readonly type: 'text';
  readonly text: string;
  readonly marks?: readonly { readonly type: Mark }[];
}

/** Lists within lists, so deep. */
const DEEPEST = 4;

type Loose = Readonly<Record<string, unknown>>;

function asLoose(value: unknown): Loose | null {
  return typeof value === 'object' && value !== null && !Array.isArray(value) ? (value as Loose) : null;
}

function listFrom<T>(value: unknown, from: (one: unknown) => T | null): T[] | null {
  if (value === undefined) return [];
  if (!Array.isArray(value)) return null;
  const read = value.map(from);
  return read.includes(null) ? null : (read as T[]);
}

function lettersFrom(value: unknown): Letters | null {
  const loose = asLoose(value);
  if (loose?.['type'] !== 'text' || typeof loose['text'] !== 'string') return null;
  const marks = listFrom(loose['marks'], (one) => MARKS.find((mark) => asLoose(one)?.['type'] === mark) ?? null);
  if (!marks) return null;
  return {
    type: 'text',
    text: loose['text'],
    ...(marks.length > 0 ? { marks: marks.map((type) => ({ type })) } : {}),
  };
}

function blockFrom(value: unknown, depth: number): Block | null {
  const loose = asLoose(value);
  const type = loose?.['type'];
  if (type === 'paragraph') {
    const content = listFrom(loose?.['content'], lettersFrom);
    return content && { type, ...(content.length > 0 ? { content } : {}) };
  }
  if ((type !== 'bulletList' && type !== 'orderedList') || depth >= DEEPEST) return null;
  const content = listFrom(loose?.['content'], (one): ListItem | null => {
    const item = asLoose(one);
    const blocks =
      item?.['type'] === 'listItem' ? listFrom(item['content'], (inner) => blockFrom(inner, depth + 1)) : null;
    return blocks && { type: 'listItem', content: blocks };
  });
  return content && { type, content };
}

/** What a text kept as JSON says; null for what is no such text. Whatever else is in it is left out. */
export function richTextFrom(text: string): RichText | null {
  try {
    const loose = asLoose(JSON.parse(text));
    const content = loose?.['type'] === 'doc' ? listFrom(loose['content'], (one) => blockFrom(one, 0)) : null;
    return content && { type: 'doc', content };
  } catch {
    return null;
  }
}

/** The letters of some paragraphs and lists alone. */
export function plainBlocks(blocks: readonly Block[]): string {
  return blocks
    .map((block) =>
      block.type === 'paragraph'
        ? (block.content ?? []).map(({ text }) => text).join('')
        : block.content.map((item) => plainBlocks(item.content)).join('\n'),
    )
    .join('\n');
}

/** The letters of a text alone; empty for what is no such text. */
export function plainTextOf(text: string): string {
  const rich = richTextFrom(text);
  return rich ? plainBlocks(rich.content) : '';
}
