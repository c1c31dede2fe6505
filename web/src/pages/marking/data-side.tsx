import type { ReportToMark } from '@green-beam/contract';
import { cellInWords, findingsIn, type OwnWork, type WorkedRun } from '@green-beam/core';
import { useMemo, type ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { unitText } from '../../numbers/unit-text.ts';
import { Notice } from '../../ui/notice.tsx';
import type { CellPlace } from '../notebook/on-page.ts';
import { ReportTables } from '../notebook/report/report-table.tsx';
import { ResultsOfGroups } from './results-of-groups.tsx';
import { toneOf } from './tones.ts';

interface DataSideProps {
  readonly report: ReportToMark;
  readonly run: WorkedRun;
  readonly book: WorkedRun;
  readonly own: OwnWork;
  readonly chosen: CellPlace | null;
  readonly onChoose: (place: CellPlace) => void;
}

/** What is to be said of the cell that is looked at: its slip, what the book has, or that it only follows. */
function AboutCell({ run, book, own, chosen }: DataSideProps): ReactNode {
  const numerals = useNumerals();
  if (!chosen) return null;
  const { quantity, members } = chosen;
  const judged = own.at(quantity, members);
  const cell = book.cellAt(quantity, members);
  const name = cellInWords(run.setting, quantity, members);
  const found = run.setting.layout.quantities.get(quantity);
  const unit = found && 'unit' in found ? unitText(found.unit) : '';
  const byTheBook = cell?.kind === 'computed' ? `By the book: ${cell.text} ${unit}.` : '';
  const tone = toneOf(run, book, own, chosen);
  if (tone === null) return <p className="mt-2 text-muted">{numerals(`${name}. ${byTheBook}`)}</p>;
  return (
    <div className="mt-2">
      <Notice
        tone={tone === 'slip' ? 'slip' : 'doubt'}
        title={tone === 'slip' ? (judged?.slips[0]?.name ?? 'Not explained by any slip') : 'It follows from a slip'}
      >
        <p>
          {numerals(`${name}. ${byTheBook}`)}{' '}
          {tone === 'slip'
            ? 'Everything shaded follows from it; counted once.'
            : 'It is right for what came before, and is not counted again.'}
        </p>
        {judged?.afterHelp && <p>Written after the working was shown.</p>}
      </Notice>
    </div>
  );
}

/** The student’s chain above the book’s. */
function Chains({ report, run, book }: DataSideProps): ReactNode {
  const numerals = useNumerals();
  if (run.results.length === 0 && book.results.length === 0) return null;
  const own = new Map(run.results.map((result) => [result.name, result]));
  return (
    <dl className="mt-5 grid grid-cols-[max-content_minmax(0,1fr)] gap-x-6 gap-y-1">
      {book.results.map((result) => {
        const mine = own.get(result.name);
        const said = (text: string | undefined): string =>
          text === undefined ? 'nothing yet' : numerals(`${text} ${unitText(result.unit)}`);
        return [
          <dt key={`${result.name} own`} className="text-muted">
            {result.name}, {report.label}
          </dt>,
          <dd key={`${result.name} own text`} className="font-mono">
            {said(mine?.text)}
          </dd>,
          <dt key={`${result.name} book`} className="text-muted">
            by the book
          </dt>,
          <dd key={`${result.name} book text`} className="font-mono">
            {said(result.quoted ?? result.text)}
          </dd>,
        ];
      })}
    </dl>
  );
}

/** What the data say, beside the conclusion, which the teacher judges. */
export function DataSays({ book }: { readonly book: WorkedRun }): ReactNode {
  const numerals = useNumerals();
  const findings = useMemo(() => findingsIn(book).slice(0, 4), [book]);
  return (
    <p className="mt-2 text-small text-muted">
      What the data say:{' '}
      {findings.length === 0
        ? 'nothing stands out.'
        : findings.map(({ message }) => numerals(unitText(message))).join(' ')}
    </p>
  );
}

/** The group’s readings and the student’s results, with what is doubtful in them. */
export function DataSide(props: DataSideProps): ReactNode {
  const { report, run, book, own, chosen, onChoose } = props;
  return (
    <section aria-label="Readings and results">
      <h2 className="font-bold">
        {report.partners.length > 0 ? `Readings of the group, results of ${report.label}` : 'Readings and results'}
      </h2>
      <AboutCell {...props} />
      <div className="overflow-x-auto">
        <ReportTables
          page={report.page}
          run={run}
          own={own}
          choosing={{ chosen, onChoose, toneOf: (place) => toneOf(run, book, own, place) }}
        />
      </div>
      <Chains {...props} />
      <ResultsOfGroups report={report} run={run} book={book} />
    </section>
  );
}
