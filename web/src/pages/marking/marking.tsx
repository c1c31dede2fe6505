import type { ReportInQueue, ReportQueue } from '@green-beam/contract';
import { format } from 'date-fns';
import { useDeferredValue, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { buttonClass } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { GradebookSave } from './gradebook-save.tsx';
import { needsInWords, toMark, toReturn, waitingInWords } from './points.ts';
import { ReturnReports } from './return-reports.tsx';
import { RubricForm } from './rubric-form.tsx';
import { useReportQueue, useReturning } from './use-marking.ts';

const addressOf = ({ runId, author }: ReportInQueue): string => `/marking/${runId}/${author}`;

/** Where a report stands, in words. */
function standing({ marking, returnedAt, proposal, isInForce }: ReportInQueue): string {
  if (!isInForce) return 'being improved';
  if (returnedAt !== null)
    return Date.parse(returnedAt) > Date.now()
      ? `is returned ${format(new Date(returnedAt), 'd MMM, HH:mm')}`
      : 'returned';
  if (marking.isDone) return 'marked';
  if (Object.keys(marking.points).length > 0 || marking.comments.length > 0) return 'begun';
  return proposal?.isComplete ? 'looks complete' : 'needs you';
}

const ROW =
  'grid min-h-14 grid-cols-[minmax(0,1fr)_minmax(0,1.4fr)_9rem_8rem] items-center gap-4 py-2 max-sm:grid-cols-1 max-sm:gap-0';

/** Leads to a report; one that its author goes on with stands in the list with its mark only. */
function Opens({ report, children }: { readonly report: ReportInQueue; readonly children: ReactNode }): ReactNode {
  return report.isInForce ? (
    <Link to={addressOf(report)} className={`${ROW} hover:bg-wash`}>
      {children}
    </Link>
  ) : (
    <div className={ROW}>{children}</div>
  );
}

function Row({ report }: { readonly report: ReportInQueue }): ReactNode {
  const { label, partners, specimen, title, handedInAt, isLate, number, proposal } = report;
  const said = standing(report);
  return (
    // What is not in sight is not laid out yet.
    <li className="border-t border-hairline [contain-intrinsic-size:auto_4.5rem] [content-visibility:auto]">
      <Opens report={report}>
        <span>
          <strong>{label}</strong>
          {partners.length > 0 && <span className="block text-small text-muted">with {partners.join(', ')}</span>}
        </span>
        <span>
          {specimen}
          <span className="block text-small text-muted">
            {title}
            {proposal && !proposal.isComplete && <span className="block text-doubt">{needsInWords(proposal)}</span>}
          </span>
        </span>
        <span className="text-small text-muted">
          {format(new Date(handedInAt), 'd MMM, HH:mm')}
          {isLate && <span className="block text-slip">late</span>}
          {number > 1 && <span className="block">number {number}</span>}
        </span>
        <span
          className={`text-small sm:text-right ${said === 'needs you' ? 'font-semibold text-doubt' : 'text-muted'}`}
        >
          {said}
        </span>
      </Opens>
    </li>
  );
}

/** So many fill a screen; the others are drawn once these are there. */
const AT_ONCE = 20;

function Rows({ reports }: { readonly reports: readonly ReportInQueue[] }): ReactNode {
  const drawn = useDeferredValue(reports, reports.slice(0, AT_ONCE));
  return (
    <ul className="mt-4">
      {drawn.map((report) => (
        <Row key={`${report.runId} ${report.author} ${report.number}`} report={report} />
      ))}
    </ul>
  );
}

function Queue({ classId, queue }: { readonly classId: string; readonly queue: ReportQueue }): ReactNode {
  const returning = useReturning(classId);
  const [laboratory, setLaboratory] = useState('');
  const titles = [...new Map(queue.reports.map(({ protocolId, title }) => [protocolId, title]))];
  const shown = queue.reports.filter(({ protocolId }) => laboratory === '' || protocolId === laboratory);
  const returned = shown.filter(({ returnedAt }) => returnedAt !== null);
  const [first] = toMark(shown);
  return (
    <>
      <div className="mt-2 flex flex-wrap items-center gap-x-6 gap-y-3">
        <p role="status" className="text-lg">
          {waitingInWords(shown)}
        </p>
        <span className="ml-auto flex flex-wrap gap-3">
          {first && (
            <Link to={addressOf(first)} className={buttonClass()}>
              Begin marking
            </Link>
          )}
          <ReturnReports
            reports={toReturn(shown)}
            look={first ? 'plain' : 'main'}
            isBusy={returning.isPending}
            error={returning.error}
            onReturn={(body, done) => returning.mutate(body, { onSuccess: done })}
          />
        </span>
      </div>
      {titles.length > 1 && (
        <label className="mt-3 flex w-fit max-w-full items-center gap-3 text-small font-semibold">
          Laboratory
          <select
            value={laboratory}
            onChange={(event) => setLaboratory(event.target.value)}
            className="min-h-11 min-w-0 border-b-2 border-ink bg-surface px-2 text-base font-normal"
          >
            <option value="">all</option>
            {titles.map(([id, title]) => (
              <option key={id} value={id}>
                {title}
              </option>
            ))}
          </select>
        </label>
      )}
      {queue.reports.length === 0 && (
        <p className="mt-6 max-w-prose text-muted">
          No report is handed in. Students hand in at the side of their page, under their group.
        </p>
      )}
      <Rows reports={shown.filter(({ returnedAt }) => returnedAt === null)} />
      {returned.length > 0 && (
        <details className="mt-6 border-t border-hairline pt-2">
          <summary className="min-h-11 cursor-pointer py-2 text-lg font-bold">Returned ({returned.length})</summary>
          <Rows reports={returned} />
        </details>
      )}
      <details className="border-t border-hairline pt-2">
        <summary className="min-h-11 cursor-pointer py-2 text-lg font-bold">Gradebook</summary>
        <GradebookSave queue={queue} />
      </details>
      <details className="border-t border-hairline pt-2">
        <summary className="min-h-11 cursor-pointer py-2 text-lg font-bold">What reports are marked by</summary>
        <RubricForm classId={classId} rubric={queue.rubric} />
      </details>
    </>
  );
}

/** Reports that are handed in: which are waiting, which need a closer look, and the way to return them. */
export default function MarkingPage({ classId }: { readonly classId: string | null }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">Marking</h1>
      {classId === null ? <Loading what="the class" /> : <Loaded classId={classId} />}
    </main>
  );
}

function Loaded({ classId }: { readonly classId: string }): ReactNode {
  const { data: queue, error } = useReportQueue(classId);
  const failed = inTheWay(error, queue);
  if (failed) return <Failed error={failed} />;
  return queue ? <Queue classId={classId} queue={queue} /> : <Loading what="the reports" />;
}
