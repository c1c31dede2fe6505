import { type Address, type ReportSection, writtenSections } from '@green-beam/core';
import { lazy, type ReactNode } from 'react';
import { Link } from 'react-router';
import { FetchedPart } from '../../../ui/fetched-part.tsx';
import { Loading } from '../../../ui/notice.tsx';
import type { OnPage } from '../on-page.ts';
import { sectionAt } from '../own/whose.ts';
import { textAt } from '../written.ts';
import { RichTextShown } from './rich-text-shown.tsx';
import { SECTION_HINTS, SECTION_NAMES } from './sections.ts';

const RichTextEditor = lazy(() => import('./rich-text-editor.tsx'));

type On = Pick<OnPage, 'page' | 'run' | 'author' | 'onWrite'>;

function Section({ page, run, author, onWrite, section }: On & { readonly section: ReportSection }): ReactNode {
  const address: Address = sectionAt(section, author, page.arrangement);
  const standing = textAt(run, address);
  return page.mayWrite ? (
    <RichTextEditor
      key={author}
      label={SECTION_NAMES[section]}
      hint={SECTION_HINTS[section]}
      standing={standing}
      onWrite={(text) => onWrite(address, text)}
    />
  ) : (
    <div className="mt-4 max-w-3xl">
      <p className="font-semibold">{SECTION_NAMES[section]}</p>
      {standing === '' ? <p className="text-muted">not written</p> : <RichTextShown text={standing} />}
    </div>
  );
}

/** What is written for the report in one’s own words; all the rest of it is made from the page. */
export function ReportParts(props: On): ReactNode {
  return (
    <section className="mt-10" id="report" tabIndex={-1}>
      <div className="flex max-w-3xl flex-wrap items-baseline justify-between gap-x-6">
        <h2 className="text-lg font-bold">Report</h2>
        <Link
          to={`/notebook/${props.page.id}/report?author=${encodeURIComponent(props.author)}`}
          className="inline-flex min-h-11 items-center font-semibold underline decoration-hairline decoration-2 underline-offset-4 hover:decoration-beam"
        >
          See and print the whole report
        </Link>
      </div>
      <p className="max-w-3xl text-muted">
        Write these parts. Your tables, results, workings and answers are put into the report from this page.
      </p>
      <FetchedPart fallback={<Loading what="the editor" />}>
        {writtenSections(props.page.protocol).map((section) => (
          <Section key={section} {...props} section={section} />
        ))}
      </FetchedPart>
    </section>
  );
}
