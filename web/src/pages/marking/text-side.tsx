import { plainBlocks, plainTextOf, richTextFrom, type ReportToMark } from '@green-beam/contract';
import { addressKey, foldRun, holds, type Address, type WorkedRun, writtenSections } from '@green-beam/core';
import { MessageSquarePlus } from 'lucide-react';
import { useMemo, type ReactNode } from 'react';
import { answerAt, sectionAt } from '../notebook/own/whose.ts';
import { BlockShown, RichTextShown } from '../notebook/report/rich-text-shown.tsx';
import { SECTION_NAMES } from '../notebook/report/sections.ts';
import { textAt } from '../notebook/written.ts';
import { quoteOf, type About } from './about.ts';
import { ChangedWords } from './changed-words.tsx';
import { DataSays } from './data-side.tsx';

interface TextSideProps {
  readonly report: ReportToMark;
  readonly run: WorkedRun;
  readonly book: WorkedRun;
  /** What a comment would be about. */
  readonly about: About | null;
  readonly onChoose: (about: About) => void;
  /** Entries since the report was handed in before, by their places. */
  readonly changed: ReadonlySet<string>;
}

/** A part of the report: pressed, a comment is about it. */
function Part({
  title,
  isChosen,
  isChanged,
  onChoose,
  children,
}: {
  readonly title: string;
  readonly isChosen: boolean;
  readonly isChanged: boolean;
  readonly onChoose: () => void;
  readonly children: ReactNode;
}): ReactNode {
  return (
    <section className="mt-4">
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="font-bold">
          {title}
          {isChanged && <span className="ml-2 text-small font-normal text-beam">changed</span>}
        </h3>
        <button
          type="button"
          aria-pressed={isChosen}
          className={`min-h-11 shrink-0 text-small underline underline-offset-4 ${isChosen ? 'font-semibold text-beam' : 'text-muted'}`}
          onClick={onChoose}
        >
          Comment on this
        </button>
      </div>
      <div className={`bg-surface px-4 py-3 ${isChosen ? 'outline-2 outline-beam' : ''}`}>{children}</div>
    </section>
  );
}

/** Paragraphs of a part, each of which a comment can be about. */
function Paragraphs({
  text,
  isChosen,
  onChoose,
}: {
  readonly text: string;
  readonly isChosen: (quote: string) => boolean;
  readonly onChoose: (quote: string) => void;
}): ReactNode {
  const blocks = (richTextFrom(text)?.content ?? []).map((block) => ({ block, quote: quoteOf(plainBlocks([block])) }));
  if (blocks.filter(({ quote }) => quote !== '').length < 2) return <RichTextShown text={text} />;
  return (
    <div className="flex flex-col gap-2">
      {blocks.map(({ block, quote }, i) => (
        <div key={i} className={`flex items-start gap-2 ${isChosen(quote) ? 'outline-2 outline-beam' : ''}`}>
          <div className="min-w-0 flex-1 break-words">
            <BlockShown block={block} />
          </div>
          {quote !== '' && (
            <button
              type="button"
              aria-label={`Comment on paragraph ${i + 1}: ${quote}`}
              aria-pressed={isChosen(quote)}
              className="-my-2 flex size-11 shrink-0 items-center justify-center text-muted hover:text-ink"
              onClick={() => onChoose(quote)}
            >
              <MessageSquarePlus size={16} aria-hidden="true" />
            </button>
          )}
        </div>
      ))}
    </div>
  );
}

/** What stood at a place when the report was handed in before; empty where it was not. */
function textsBefore({ earlier, page }: ReportToMark): (address: Address) => string {
  const [last] = earlier;
  const slots = foldRun({ events: page.events.filter(({ order }) => (order ?? 0) <= (last?.upTo ?? 0)) });
  return (address) => {
    const text = slots.get(addressKey(address))?.current.text ?? '';
    return address.kind === 'report' ? plainTextOf(text) : text;
  };
}

const NOTHING = <p className="text-muted">nothing written</p>;

/** What somebody has written: their conclusion first, since it is judged against the data beside it. */
export function TextSide({ report, run, book, about, onChoose, changed }: TextSideProps): ReactNode {
  const { page, author } = report;
  const { protocol, chosen } = run.setting.layout;
  const isAt = (address: Address, quote: string | null = null): boolean =>
    about !== null && about.quote === quote && JSON.stringify(about.at) === JSON.stringify(placeOnly(address));
  const before = useMemo(() => textsBefore(report), [report]);
  const part = (address: Address, title: string, said: string, content: ReactNode): ReactNode => {
    const isChanged = changed.has(JSON.stringify(placeOnly(address)));
    return (
      <Part
        key={title}
        title={title}
        isChosen={isAt(address)}
        isChanged={isChanged}
        onChoose={() => onChoose({ at: placeOnly(address), quote: null })}
      >
        {said === '' ? NOTHING : content}
        {isChanged && <ChangedWords before={before(address)} after={said} />}
      </Part>
    );
  };
  const sections = [...writtenSections(protocol)].reverse();
  const answers = protocol.questions.filter(({ when }) => holds(when, chosen));
  const ordered = [...answers].sort((a, b) => Number(b.id === 'conclusion') - Number(a.id === 'conclusion'));
  const answer = ({ id, text }: (typeof answers)[number]): ReactNode => {
    const address = answerAt(id, author, page.arrangement);
    const said = textAt(run, address);
    return part(address, text, said, <p className="whitespace-pre-line">{said}</p>);
  };
  const section = (id: (typeof sections)[number]): ReactNode => {
    const address = sectionAt(id, author, page.arrangement);
    const said = textAt(run, address);
    return part(
      address,
      SECTION_NAMES[id],
      plainTextOf(said),
      <Paragraphs
        text={said}
        isChosen={(quote) => isAt(address, quote)}
        onChoose={(quote) => onChoose({ at: placeOnly(address), quote })}
      />,
    );
  };
  const [judged, ...rest] = sections.includes('conclusion')
    ? [section('conclusion'), ...sections.filter((id) => id !== 'conclusion').map(section), ...ordered.map(answer)]
    : [...ordered.slice(0, 1).map(answer), ...sections.map(section), ...ordered.slice(1).map(answer)];
  return (
    <>
      {judged}
      <DataSays book={book} />
      {rest}
    </>
  );
}

/** A place without whose it is: a comment is in the report of one author anyway. */
export function placeOnly(address: Address): Address {
  const place = Object.entries(address).filter(([name]) => name !== 'author');
  return Object.fromEntries(place) as unknown as Address;
}
