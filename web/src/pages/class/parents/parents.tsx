import type { ParentSheet } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { inTheWay } from '../../../api/in-the-way.ts';
import { ask } from '../../../api/request.ts';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { Waiting } from '../../../ui/waiting.tsx';
import { PrintBar, type PaperSize } from '../../print/print-bar.tsx';
import { skillsForParents } from './parent-words.ts';

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }): ReactNode {
  return (
    <section className="mt-[7mm] break-inside-avoid">
      <h2 className="border-b border-ink pb-1 text-lg font-bold">{title}</h2>
      <div className="mt-2">{children}</div>
    </section>
  );
}

function Lines({ lines, none }: { readonly lines: readonly string[]; readonly none: string }): ReactNode {
  if (lines.length === 0) return <p className="text-muted">{none}</p>;
  return (
    <ul className="list-disc pl-5">
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}

/** One student on one page, in words that need no laboratory. */
function Sheet({ sheet }: { readonly sheet: ParentSheet }): ReactNode {
  const numerals = useNumerals();
  const { name, example } = sheet;
  // Of a report without points and comments there is nothing to tell.
  const reports = sheet.reports.filter(({ marks, comments }) => marks.length + comments.length > 0);
  const { can, workingOn } = skillsForParents(sheet.skills);
  return (
    <article className="printed-page">
      <header className="flex items-baseline justify-between">
        <h1 className="text-2xl font-bold">{name}</h1>
        <p className="text-muted">Measuring and calculating, {format(new Date(), 'd MMMM yyyy')}</p>
      </header>
      <Part title="Can do">
        <Lines lines={can} none="It is too early to say." />
      </Part>
      <Part title="Working on">
        <Lines lines={workingOn.map(numerals)} none="Nothing stands out." />
      </Part>
      {example && (
        <>
          <Part title="An example">
            <p>
              {example.tool}. {numerals(example.question)}
            </p>
            <p className="mt-1 text-lg">
              Written: <strong>{numerals(example.wrote)}</strong>. A careful answer:{' '}
              <strong>{numerals(example.right)}</strong>.
            </p>
            <p className="mt-1">
              {example.slip}. {numerals(example.why)}
            </p>
          </Part>
          <Part title="How to help">
            <p>{numerals(example.help)}</p>
            <p className="mt-1">
              Let them read something at home, a kitchen scale or a measuring jug, and ask: “Which digits are sure?
              Which one did you estimate?” Ask for the unit every time.
            </p>
          </Part>
        </>
      )}
      {reports.length > 0 && (
        <Part title="Laboratory reports">
          {reports.map(({ specimen, title, returnedAt, marks, comments }) => (
            <div key={`${specimen} ${returnedAt}`} className="mt-1">
              <p>
                <strong>{specimen}</strong>{' '}
                <span className="text-muted">
                  {title}, {format(new Date(returnedAt), 'd MMM')}
                </span>
              </p>
              {marks.length > 0 && <p>{marks.map(([criterion, mark]) => `${criterion}: ${mark}`).join('. ')}.</p>}
              {comments.length > 0 && <p className="text-muted">{comments.join(' ')}</p>}
            </div>
          ))}
        </Part>
      )}
    </article>
  );
}

/** For parents’ evening: a page for each student, printed for all at once or for one. */
export default function Parents({ classId }: { readonly classId: string | null }): ReactNode {
  const [size, setSize] = useState<PaperSize>('a4');
  const [chosen, setChosen] = useState('');
  const { data, error } = useQuery({
    queryKey: ['parents', classId],
    queryFn: () => ask<ParentSheet[]>('GET', `/classes/${classId ?? ''}/parents`),
    enabled: classId !== null,
  });
  const failed = inTheWay(error, data);
  if (failed || !data) return <Waiting what="the class" error={failed} />;
  const shown = data.filter(({ id }) => chosen === '' || id === chosen);
  return (
    <>
      <PrintBar
        size={size}
        onSize={setSize}
        title={
          <>
            <strong>For parents’ evening</strong>: {shown.length === 1 ? 'one page' : `${shown.length} pages`}
          </>
        }
      >
        <label className="flex min-h-11 items-center gap-2">
          For
          <select
            className="min-h-11 border-b-2 border-ink bg-surface px-2"
            value={chosen}
            onChange={(event) => setChosen(event.target.value)}
          >
            <option value="">all students</option>
            {data.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
      </PrintBar>
      <main className={`printed printed-${size}`}>
        {shown.map((sheet) => (
          <Sheet key={sheet.id} sheet={sheet} />
        ))}
      </main>
    </>
  );
}
