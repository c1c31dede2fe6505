import type { Marking, ReportQueue, ReportToMark } from '@green-beam/contract';
import { OwnWork, workOut, type Address } from '@green-beam/core';
import { format } from 'date-fns';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { Button } from '../../ui/button.tsx';
import { Waiting } from '../../ui/waiting.tsx';
import { useShortcuts } from '../../ui/shortcuts.ts';
import type { CellPlace } from '../notebook/on-page.ts';
import type { About } from './about.ts';
import { CommentBox } from './comment-box.tsx';
import { DataSide } from './data-side.tsx';
import { PointChoices, PointsBar } from './points-bar.tsx';
import { nextToMark, toMark, withProposed } from './points.ts';
import { placeOnly, TextSide } from './text-side.tsx';
import { firstDoubtful } from './tones.ts';
import { useMarkingChange, useReport, useReportQueue } from './use-marking.ts';

interface MarkProps {
  readonly classId: string;
  readonly queue: ReportQueue;
  readonly report: ReportToMark;
}

function asAddress(place: CellPlace): Address {
  return { kind: 'cell', ...place };
}

/** Places that were written on since the report was handed in before. */
function changedSince({ earlier, page, author }: ReportToMark): ReadonlySet<string> {
  const [last] = earlier;
  if (!last) return new Set();
  return new Set(
    page.events
      .filter(({ order, address }) => {
        const whose = 'author' in address ? address.author : undefined;
        return (order ?? 0) > last.upTo && (whose === undefined || whose === author);
      })
      .map(({ address }) => JSON.stringify(placeOnly(address))),
  );
}

/** What is left to do, and the way to the next report. */
function Head({ queue, report, onNext }: MarkProps & { readonly onNext: () => void }): ReactNode {
  const left = toMark(queue.reports).filter((one) => one.runId !== report.runId || one.author !== report.author);
  const complete = left.filter(({ proposal }) => proposal?.isComplete).length;
  return (
    <header className="flex flex-wrap items-center gap-x-6 gap-y-2">
      <h1 className="text-2xl font-bold">{report.label}</h1>
      <p className="text-muted">
        {report.specimen}, {report.title.toLowerCase()}
        {report.partners.length > 0 && `, with ${report.partners.join(' and ')}`}
        {report.isLate && <span className="text-slip">, late</span>}
      </p>
      <p className="ml-auto text-muted" role="status">
        {left.length === 0
          ? 'This is the last one.'
          : `${left.length} left: ${complete} look complete, ${left.length - complete} need you`}
      </p>
      <Button onClick={onNext} aria-keyshortcuts="N">
        {left.length === 0 ? 'Done' : 'Next report'} <span className="font-mono text-small font-normal">N</span>
      </Button>
    </header>
  );
}

/** That it was handed in before, and how it was marked then. */
function Earlier({
  report,
  changed,
}: {
  readonly report: ReportToMark;
  readonly changed: ReadonlySet<string>;
}): ReactNode {
  const [last] = report.earlier;
  if (!last) return null;
  const points = Object.entries(last.marking.points).map(([criterion, number]) => `${criterion} ${number}`);
  return (
    <p className="mt-2 border-l-[3px] border-beam pl-4">
      Handed in for the {report.number === 2 ? 'second' : `${report.number}th`} time. The mark of{' '}
      {format(new Date(last.handedInAt), 'd MMM')} is kept: {points.length > 0 ? points.join(', ') : 'comments only'}.{' '}
      {changed.size === 0
        ? 'Nothing has changed since.'
        : `${changed.size} ${changed.size === 1 ? 'place has' : 'places have'} changed since.`}
    </p>
  );
}

function Mark({ classId, queue, report }: MarkProps): ReactNode {
  const goTo = useNavigate();
  const [search, setSearch] = useSearchParams();
  const change = useMarkingChange(classId, report);
  const { page, author, marking, proposal } = report;
  const { rubric } = queue;
  const worked = useMemo(() => {
    const { byStudent } = page.arrangement;
    const student = byStudent.length > 0 ? { author, quantities: byStudent } : null;
    const run = workOut(page.protocol, { events: page.events }, page.rules, student);
    return { run, own: new OwnWork(run), book: workOut(page.protocol, { events: page.events }, page.rules) };
  }, [page, author]);
  const { run, own, book } = worked;
  const [chosen, setChosen] = useState<CellPlace | null>(() => firstDoubtful(run, book, own));
  const [about, setAbout] = useState<About | null>(null);
  const changed = useMemo(() => changedSince(report), [report]);
  const asked = search.get('criterion');
  const criterion = rubric.criteria.find(({ id }) => id === asked)?.id ?? rubric.criteria[0]?.id ?? '';
  const save = (more: Partial<Marking>): void =>
    change.mutate({ runId: report.runId, author, number: report.number, marking: { ...marking, ...more } });
  const points = (id: string, number: number): void => save({ points: { ...marking.points, [id]: number } });
  const next = (): void => {
    save({ points: withProposed(rubric, marking, proposal), isDone: true });
    const following = nextToMark(queue.reports, report);
    // The next one is opened at the same criterion.
    void goTo(following ? `/marking/${following.runId}/${following.author}?criterion=${criterion}` : '/marking');
  };
  useShortcuts({
    n: next,
    ...Object.fromEntries([0, 1, 2, 3, 4].map((number) => [String(number), () => points(criterion, number)])),
  });
  return (
    <main className="mx-auto flex w-full max-w-7xl flex-1 flex-col px-4 pt-4 wide:px-7">
      <Head classId={classId} queue={queue} report={report} onNext={next} />
      <Earlier report={report} changed={changed} />
      <div className="mt-4 grid flex-1 grid-cols-[minmax(0,1fr)] gap-x-10 gap-y-8 wide:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
        <DataSide
          report={report}
          run={run}
          book={book}
          own={own}
          chosen={chosen}
          onChoose={(place) => {
            setChosen(place);
            setAbout({ at: asAddress(place), quote: null });
          }}
        />
        <div className="wide:border-l wide:border-hairline wide:pl-8">
          <TextSide report={report} run={run} book={book} about={about} onChoose={setAbout} changed={changed} />
          <div className="mt-6">
            <CommentBox
              run={run}
              comments={marking.comments}
              common={queue.comments}
              about={about}
              onWhole={() => setAbout(null)}
              onChange={(comments) => save({ comments })}
            />
          </div>
        </div>
      </div>
      <div className="-mx-4 mt-6 flex flex-wrap items-end justify-between gap-x-8 gap-y-2 border-t border-hairline bg-surface px-4 py-2 wide:sticky wide:bottom-0 wide:z-20 wide:-mx-7 wide:px-7">
        <PointsBar
          rubric={rubric}
          marking={marking}
          proposal={proposal}
          chosen={criterion}
          onChoose={(id) => setSearch({ criterion: id }, { replace: true })}
        />
        <div className="text-small text-muted">
          <PointChoices rubric={rubric} marking={marking} chosen={criterion} onPoints={points} />
          {change.error && (
            <p role="alert" className="text-slip">
              {change.error.message}
            </p>
          )}
          <p className="mt-1">
            Nobody sees a mark before you return it.{' '}
            <Link to="/marking" className="inline-flex min-h-6 items-center font-semibold underline underline-offset-4">
              All reports
            </Link>
          </p>
        </div>
      </div>
    </main>
  );
}

/** One report beside its data, to be marked. */
export default function MarkReport({ classId }: { readonly classId: string | null }): ReactNode {
  const { runId = '', author = '' } = useParams();
  return classId === null ? null : (
    <Loaded key={`${runId} ${author}`} classId={classId} runId={runId} author={author} />
  );
}

function Loaded({
  classId,
  runId,
  author,
}: {
  readonly classId: string;
  readonly runId: string;
  readonly author: string;
}): ReactNode {
  const { data: queue, error: noQueue } = useReportQueue(classId);
  const next = queue ? nextToMark(queue.reports, { runId, author }) : null;
  const { data: report, error } = useReport(classId, { runId, author }, next);
  const failed = inTheWay(noQueue, queue) ?? inTheWay(error, report);
  if (failed) return <Waiting what="the report" error={failed} />;
  if (!queue || !report) return <Waiting what="the report" error={null} />;
  return <Mark classId={classId} queue={queue} report={report} />;
}
