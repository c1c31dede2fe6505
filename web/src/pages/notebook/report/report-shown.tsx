import type { RunPage } from '@green-beam/contract';
import { holds, placesOf, readingStep, toolAt, type OwnWork, type WorkedRun, writtenSections } from '@green-beam/core';
import { format } from 'date-fns';
import { lazy, type ReactNode } from 'react';
import { BudgetChart } from '../../../charts/budget-chart.tsx';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';
import { unitText } from '../../../numbers/unit-text.ts';
import { FetchedPart } from '../../../ui/fetched-part.tsx';
import { answerAt, sectionAt, statementAt } from '../own/whose.ts';
import { agreementInWords, comparedWith, knownTo, uncertaintyNamed } from '../results/in-words.ts';
import { textAt } from '../written.ts';
import { ReportTables } from './report-table.tsx';
import { RichTextShown } from './rich-text-shown.tsx';

const Typeset = lazy(() => import('../../../numbers/typeset.tsx'));

export interface ReportProps {
  readonly page: RunPage;
  readonly run: WorkedRun;
  readonly own: OwnWork;
  readonly author: string;
  /** Whether the accepted value, the comparison and the budget are shown yet. */
  readonly revealed: boolean;
}

function Part({ title, children }: { readonly title: string; readonly children: ReactNode }): ReactNode {
  return (
    <section className="mt-[6mm]">
      <h2 className="break-after-avoid font-bold">{title}</h2>
      {children}
    </section>
  );
}

/** Tools that were read, each once for what it was read for. */
function Equipment({ run, page }: ReportProps): ReactNode {
  const numerals = useNumerals();
  const { setting } = run;
  const rows = new Map<string, { name: string; division: string; zero: string; uses: Set<string> }>();
  for (const quantity of setting.layout.quantities.values()) {
    if (quantity.kind !== 'read') continue;
    for (const members of placesOf(setting, quantity.over, quantity.only)) {
      const tool = toolAt(setting, quantity, members);
      if (!tool || run.cellAt(quantity.id, members)?.kind !== 'entry') continue;
      const { instrument, code, zeroError } = tool;
      const key = `${instrument.id} ${code ?? ''}`;
      const row = rows.get(key) ?? {
        name: `${code === null ? '' : `${code}, `}${instrument.name}`,
        division: `${readingStep(instrument, page.rules).division} ${unitText(instrument.unit)}`,
        zero: zeroError === null ? 'not known' : `${zeroError} ${unitText(instrument.unit)}`,
        uses: new Set<string>(),
      };
      row.uses.add(quantity.name.toLowerCase());
      rows.set(key, row);
    }
  }
  if (rows.size === 0) return <p className="text-muted">Nothing has been read yet.</p>;
  return (
    <table className="mt-1 w-full">
      <thead>
        <tr className="border-b border-ink text-left text-small">
          {['Tool', 'Read for', 'Smallest division', 'Shows at zero'].map((title) => (
            <th key={title} scope="col" className="py-1 pr-4 font-semibold">
              {title}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {[...rows].map(([key, { name, division, zero, uses }]) => (
          <tr key={key} className="break-inside-avoid border-b border-hairline align-top">
            <th scope="row" className="py-1 pr-4 text-left font-normal">
              {numerals(name)}
            </th>
            <td className="py-1 pr-4">{[...uses].join(', ')}</td>
            <td className="py-1 pr-4">{numerals(division)}</td>
            <td className="py-1">{numerals(zero)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** One calculation of each formula, with the numbers in it. */
function Workings({ run, own, revealed }: ReportProps): ReactNode {
  const { setting } = run;
  const shown = [...setting.layout.quantities.values()].flatMap((quantity) => {
    if (quantity.kind !== 'computed') return [];
    const members = placesOf(setting, quantity.over, quantity.only).find((place) => {
      const kind = run.cellAt(quantity.id, place)?.kind;
      const judged = own.at(quantity.id, place);
      return kind === 'computed' || (kind === 'own' && (revealed || judged?.state === 'sound'));
    });
    const working = members && run.workingOf(quantity.id, members);
    const cell = members && run.cellAt(quantity.id, members);
    if (!working || (cell?.kind !== 'computed' && cell?.kind !== 'own')) return [];
    return [{ id: quantity.id, name: quantity.name, working, text: cell.text }];
  });
  if (shown.length === 0) return <p className="text-muted">Nothing has been calculated yet.</p>;
  return (
    <FetchedPart fallback={<p className="text-muted">Typesetting …</p>}>
      {shown.map(({ id, name, working, text }) => (
        <div key={id} className="mt-2 break-inside-avoid">
          <p className="text-small text-muted">{name}</p>
          <div className="flex flex-wrap items-center gap-x-5">
            <Typeset latex={working.symbolic} />
            {working.substituted !== working.symbolic && <Typeset latex={working.substituted} />}
            <span>
              = <MeasuredNumber text={text} unit={working.unit} />
            </span>
          </div>
        </div>
      ))}
    </FetchedPart>
  );
}

function Results({ run, page, revealed }: ReportProps): ReactNode {
  const numerals = useNumerals();
  const [first] = run.results;
  if (!first) return <p className="text-muted">There is no result yet.</p>;
  return (
    <>
      {run.results.map((result) => {
        const method = result.methods.find((one) => one.method === result.method);
        return (
          <div key={result.name} className="mt-1 break-inside-avoid">
            <p>
              {run.results.length > 1 && <span className="mr-3">{result.name}</span>}
              {revealed && method?.quoted ? (
                <MeasuredNumber
                  text={method.quoted.value}
                  uncertainty={method.quoted.uncertainty}
                  unit={result.unit}
                  className="text-xl"
                />
              ) : (
                <MeasuredNumber text={result.text} unit={result.unit} className="text-xl" />
              )}
            </p>
            {revealed &&
              [knownTo(result), comparedWith(result)].map(
                (sentence) => sentence !== null && <p key={sentence}>{numerals(sentence)}</p>,
              )}
          </div>
        );
      })}
      {revealed && <p className="mt-1 text-small text-muted">{numerals(uncertaintyNamed(first, page.rules))}</p>}
      {revealed &&
        run.comparisons.map((comparison, i) =>
          comparison.kind === 'agree' ? (
            <p key={i}>{agreementInWords(comparison).map((sentence) => numerals(`${sentence} `))}</p>
          ) : null,
        )}
    </>
  );
}

function Answers({ page, run, author }: ReportProps): ReactNode {
  const { protocol, chosen } = run.setting.layout;
  const statements = protocol.statements.filter(({ when }) => holds(when, chosen));
  return (
    <>
      {protocol.questions
        .filter(({ when }) => holds(when, chosen))
        .map(({ id, text }) => {
          const answer = textAt(run, answerAt(id, author, page.arrangement));
          return (
            <div key={id} className="mt-2 break-inside-avoid">
              <p className="font-semibold">{text}</p>
              <p className={`whitespace-pre-line ${answer === '' ? 'text-muted' : ''}`}>
                {answer === '' ? 'not answered' : answer}
              </p>
            </div>
          );
        })}
      {statements.map(({ id, text, corrections }) => {
        const said = textAt(run, statementAt(id, author, page.arrangement));
        const correction = /^\d+$/.test(said) ? corrections[Number(said)] : undefined;
        if (said === '') return null;
        return (
          <p key={id} className="mt-2 break-inside-avoid">
            “{text}” <span className="text-muted">Judged</span> {said === 'holds' ? 'true' : 'false'}.
            {correction !== undefined && ` ${correction}`}
          </p>
        );
      })}
    </>
  );
}

/** Who has done it, and whose report it is. */
function Heading({ page, author }: ReportProps): ReactNode {
  const own = page.people[author]?.label;
  const others = page.members.filter((name) => name !== own);
  return (
    <header className="border-b border-ink pb-3">
      <h1 className="text-2xl font-bold">{page.specimen}</h1>
      <p>
        {page.title}. {format(new Date(page.startedAt), 'd MMMM yyyy')}
      </p>
      <p>
        {own === undefined ? page.members.join(', ') : own}
        {own !== undefined && others.length > 0 && <span className="text-muted"> with {others.join(', ')}</span>}
        {page.isGiven && <span className="text-muted">, with given readings</span>}
      </p>
    </header>
  );
}

/** A laboratory’s report: made from the page, with what its author has written. */
export function ReportShown(props: ReportProps): ReactNode {
  const { page, run, author, revealed } = props;
  const { protocol, chosen } = run.setting.layout;
  const sections = writtenSections(protocol);
  const written = (section: (typeof sections)[number], title: string): ReactNode => {
    const text = textAt(run, sectionAt(section, author, page.arrangement));
    return sections.includes(section) ? (
      <Part title={title}>
        {text === '' ? <p className="text-muted">not written</p> : <RichTextShown text={text} />}
      </Part>
    ) : null;
  };
  const [first] = run.results;
  const budget = first?.methods.find(({ method }) => method === first.method)?.budget ?? [];
  return (
    <>
      <Heading {...props} />
      {written('purpose', 'Purpose')}
      <Part title="Equipment">
        <Equipment {...props} />
      </Part>
      <Part title="Cautions">
        <ul className="list-disc pl-5 text-small">
          {protocol.cautions.map((caution) => (
            <li key={caution}>{caution}</li>
          ))}
        </ul>
      </Part>
      <Part title="Method">
        <ol className="list-decimal pl-5 text-small">
          {protocol.steps
            .filter(({ when }) => holds(when, chosen))
            .map(({ id, text }) => (
              <li key={id}>{text}</li>
            ))}
        </ol>
      </Part>
      <Part title="Readings and results">
        <ReportTables page={page} run={run} own={props.own} />
      </Part>
      <Part title="One calculation of each formula">
        <Workings {...props} />
      </Part>
      <Part title={run.results.length > 1 ? 'Results' : 'Result'}>
        <Results {...props} />
        {revealed && budget.length > 0 && (
          <div className="mt-3 max-w-[140mm] break-inside-avoid">
            <BudgetChart title="Where the uncertainty comes from" shares={budget} />
          </div>
        )}
      </Part>
      <Part title="Questions">
        <Answers {...props} />
      </Part>
      {written('causes', 'Causes of error')}
      {written('conclusion', 'Conclusion')}
    </>
  );
}
