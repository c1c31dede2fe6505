import { LETTERS, type ReportComment, type ReturnedReport, type RunPage } from '@green-beam/contract';
import { cellInWords, type WorkedRun } from '@green-beam/core';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { SECTION_NAMES } from './sections.ts';

/** Points as the class writes them. */
function pointsInWords(points: number, scale: ReturnedReport['rubric']['scale']): string {
  return scale === 'letters' ? (LETTERS[points] ?? '') : `${points} of 4`;
}

function placeOf({ at }: Pick<ReportComment, 'at'>, { setting }: WorkedRun): string | null {
  const { protocol } = setting.layout;
  if (at?.kind === 'cell') return cellInWords(setting, at.quantity, at.members);
  if (at?.kind === 'report') return SECTION_NAMES[at.section];
  if (at?.kind === 'answer') return protocol.questions.find(({ id }) => id === at.question)?.text ?? null;
  if (at?.kind === 'statement') return protocol.statements.find(({ id }) => id === at.statement)?.text ?? null;
  return null;
}

/** What a comment is about; null for the whole report. */
export function commentPlace(comment: Pick<ReportComment, 'at' | 'quote'>, run: WorkedRun): string | null {
  const place = placeOf(comment, run);
  return place !== null && comment.quote ? `${place}, “${comment.quote}”` : place;
}

/** A report that has come back: its mark, what was said of it, and what its author may do now. */
export function ComeBack({
  page,
  run,
  author,
}: {
  readonly page: RunPage;
  readonly run: WorkedRun;
  readonly author: string;
}): ReactNode {
  const report = page.returned.find((one) => one.author === author);
  if (!report) return null;
  const { rubric, marking, mayImprove, returnedAt, number } = report;
  const isOpen = !page.handIns.some((one) => one.author === author);
  return (
    <section className="mt-4 border-y border-ink py-4" aria-labelledby="come-back-title">
      <h2 id="come-back-title" className="text-lg font-bold">
        {number === 1 ? 'Your report is back' : `Your report is back (number ${number})`}
      </h2>
      <p className="text-small text-muted">
        Returned {format(new Date(returnedAt), 'd MMM, HH:mm')}.{' '}
        {mayImprove
          ? isOpen
            ? 'Improve it, and hand it in again. This mark is kept.'
            : 'You may improve it and hand it in again: press “Go on with it”. This mark is kept.'
          : 'It stays as it is.'}
      </p>
      {rubric.scale !== 'comments' && (
        <dl className="mt-3 flex flex-wrap gap-x-8 gap-y-2">
          {rubric.criteria.map(({ id, name }) => {
            const points = marking.points[id];
            return (
              <div key={id}>
                <dt className="text-small text-muted">{name}</dt>
                <dd className="text-lg font-semibold">
                  {points === undefined ? 'not marked' : pointsInWords(points, rubric.scale)}
                </dd>
              </div>
            );
          })}
        </dl>
      )}
      <ul className="mt-3 flex flex-col gap-2">
        {marking.comments.map((comment) => {
          const place = commentPlace(comment, run);
          return (
            <li key={comment.id} className="border-l-[3px] border-beam pl-4">
              {place !== null && <span className="block text-small text-muted">{place}</span>}
              <span className="whitespace-pre-line">{comment.text}</span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
