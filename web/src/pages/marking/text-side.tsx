import type { ReportToMark } from '@green-beam/contract';
import { holds, type Address, type WorkedRun, writtenSections } from '@green-beam/core';
import type { ReactNode } from 'react';
import { answerAt, sectionAt } from '../notebook/own/whose.ts';
import { RichTextShown } from '../notebook/report/rich-text-shown.tsx';
import { SECTION_NAMES } from '../notebook/report/sections.ts';
import { textAt } from '../notebook/written.ts';
import { DataSays } from './data-side.tsx';

interface TextSideProps {
  readonly report: ReportToMark;
  readonly run: WorkedRun;
  readonly book: WorkedRun;
  /** What a comment would be about. */
  readonly at: Address | null;
  readonly onChoose: (at: Address) => void;
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

const NOTHING = <p className="text-muted">nothing written</p>;

/** What somebody has written: their conclusion first, since it is judged against the data beside it. */
export function TextSide({ report, run, book, at, onChoose, changed }: TextSideProps): ReactNode {
  const { page, author } = report;
  const { protocol, chosen } = run.setting.layout;
  const isAt = (address: Address): boolean => JSON.stringify(at) === JSON.stringify(placeOnly(address));
  const part = (address: Address, title: string, content: ReactNode): ReactNode => (
    <Part
      key={title}
      title={title}
      isChosen={isAt(address)}
      isChanged={changed.has(JSON.stringify(placeOnly(address)))}
      onChoose={() => onChoose(placeOnly(address))}
    >
      {content}
    </Part>
  );
  const sections = [...writtenSections(protocol)].reverse();
  const answers = protocol.questions.filter(({ when }) => holds(when, chosen));
  const ordered = [...answers].sort((a, b) => Number(b.id === 'conclusion') - Number(a.id === 'conclusion'));
  const answer = ({ id, text }: (typeof answers)[number]): ReactNode => {
    const address = answerAt(id, author, page.arrangement);
    const said = textAt(run, address);
    return part(address, text, said === '' ? NOTHING : <p className="whitespace-pre-line">{said}</p>);
  };
  const section = (id: (typeof sections)[number]): ReactNode => {
    const address = sectionAt(id, author, page.arrangement);
    const said = textAt(run, address);
    return part(address, SECTION_NAMES[id], said === '' ? NOTHING : <RichTextShown text={said} />);
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
