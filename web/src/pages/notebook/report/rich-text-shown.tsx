import { richTextFrom, type Block, type Letters } from '@green-beam/contract';
import { Fragment, type ReactNode } from 'react';

function Marked({ text, marks = [] }: Letters): ReactNode {
  return marks.reduce<ReactNode>((inner, { type }) => {
    switch (type) {
      case 'bold':
        return <strong>{inner}</strong>;
      case 'superscript':
        return <sup>{inner}</sup>;
      case 'subscript':
        return <sub>{inner}</sub>;
    }
  }, text);
}

/** One paragraph or list. */
export function BlockShown({ block }: { readonly block: Block }): ReactNode {
  if (block.type === 'paragraph')
    return (
      <p className="min-h-[1em]">
        {block.content?.map((letters, i) => (
          <Fragment key={i}>
            <Marked {...letters} />
          </Fragment>
        ))}
      </p>
    );
  const List = block.type === 'bulletList' ? 'ul' : 'ol';
  return (
    <List className={`pl-5 ${block.type === 'bulletList' ? 'list-disc' : 'list-decimal'}`}>
      {block.content.map((item, i) => (
        <li key={i}>
          {item.content.map((inner, j) => (
            <BlockShown key={j} block={inner} />
          ))}
        </li>
      ))}
    </List>
  );
}

/** What somebody has written in their report; nothing where it is empty. */
export function RichTextShown({ text }: { readonly text: string }): ReactNode {
  const rich = richTextFrom(text);
  return rich ? (
    <div className="flex flex-col gap-2 break-words">
      {rich.content.map((block, i) => (
        <BlockShown key={i} block={block} />
      ))}
    </div>
  ) : null;
}
