import type { ClassResultsSummary, SignedIn } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { ask } from '../../api/request.ts';
import { Failed, Loading } from '../../ui/notice.tsx';
import { useCabinet } from '../cabinet/use-cabinet.ts';
import { OwnPair } from './pairs/own-pair.tsx';
import { Pairing } from './pairs/pairing.tsx';
import { PooledResult } from './pooled-result.tsx';
import { ToolsOfClass } from '../tools-compared/tools-of-class.tsx';
import { counted } from './in-words.ts';
import { comparedResults, type ComparedResult } from './result-rows.ts';
import { useClassResults } from './use-class-results.ts';

const SELECT = 'min-h-11 min-w-0 border-b-2 border-ink bg-surface px-2 text-base font-normal';

/** The tool that a result is of, where tools are compared. */
function memberOf(compared: ComparedResult | undefined): string {
  return Object.values(compared?.rows[0]?.result.members ?? {})[0] ?? '';
}

interface ShownProps {
  readonly classId: string;
  readonly runId: string;
  readonly isTeacher: boolean;
  readonly personId: string;
}

/** Where a balance of the cabinet is checked, by its code; students have no cabinet. */
function useCheckAt(classId: string | null): (code: string) => string | null {
  const { tools } = useCabinet(classId);
  return (code) => {
    const tool = tools?.find((one) => one.code === code);
    return tool && /balance/.test(tool.instrumentId) ? `/cabinet/${tool.id}` : null;
  };
}

function Found({ classId, runId, isTeacher, personId }: ShownProps): ReactNode {
  const { shown, failed } = useClassResults(classId, runId);
  const [chosen, setChosen] = useState('');
  const checkAt = useCheckAt(isTeacher ? classId : null);
  if (failed) return <Failed error={failed} />;
  if (!shown) return <Loading what="the results" />;
  const { found, rules } = shown;
  const results = comparedResults(found);
  const compared = results.find(({ key }) => key === chosen) ?? results[0];
  return (
    <>
      <h2 className="mt-6 text-xl font-bold">{found.specimen}</h2>
      <p className="text-small text-muted">
        {found.title}
        {/[.?!]$/.test(found.title) ? '' : '.'}{' '}
        {found.without > 0 && `${found.without} ${found.without === 1 ? 'group has' : 'groups have'} no result yet.`}
      </p>
      {!isTeacher &&
        found.pairs.map((pair) => (
          <OwnPair key={pair.id} classId={classId} personId={personId} found={found} pair={pair} rules={rules} />
        ))}
      <div className="mt-2 flex flex-wrap items-center gap-x-6 gap-y-2">
        {results.length > 1 && (
          <label className="flex max-w-full items-center gap-3 text-small font-semibold">
            Result
            <select value={compared?.key ?? ''} onChange={(event) => setChosen(event.target.value)} className={SELECT}>
              {results.map(({ key, name }) => (
                <option key={key} value={key}>
                  {name}
                </option>
              ))}
            </select>
          </label>
        )}
        {isTeacher && compared && (
          <Link
            to={`/class-results/${runId}/wall`}
            className="inline-flex min-h-11 items-center font-semibold underline decoration-hairline decoration-2 underline-offset-4 hover:decoration-beam"
          >
            Show on the wall
          </Link>
        )}
        {isTeacher && compared && compared.rows.length > 1 && (
          <a href="#pairs" className="inline-flex min-h-11 items-center text-small underline underline-offset-4">
            Groups in pairs
            {found.pairs.length > 0 && ` (${counted(found.pairs.length)} open)`}
          </a>
        )}
      </div>
      <ToolsOfClass
        groups={found.groups}
        rules={rules}
        chosen={memberOf(compared)}
        onChoose={(member) => setChosen(results.find((one) => memberOf(one) === member)?.key ?? chosen)}
      />
      {compared ? (
        <PooledResult found={found} compared={compared} rules={rules} checkAt={isTeacher ? checkAt : null} />
      ) : (
        <p className="mt-6 text-muted">No group has a result yet. It appears as soon as one can be worked out.</p>
      )}
      {isTeacher && compared && compared.rows.length > 1 && (
        <Pairing classId={classId} runId={runId} found={found} compared={compared} rules={rules} />
      )}
    </>
  );
}

function Choice({ classId, personId }: { readonly classId: string; readonly personId: string }): ReactNode {
  const { data: list, error } = useQuery({
    queryKey: ['class-results', classId],
    queryFn: () => ask<ClassResultsSummary[]>('GET', `/classes/${classId}/class-results`),
  });
  const failed = inTheWay(error, list);
  if (failed) return <Failed error={failed} />;
  if (!list) return <Loading what="the laboratories" />;
  if (list.length === 0) return <p className="mt-6 max-w-prose text-muted">No group has worked out a result yet.</p>;
  return <Chosen classId={classId} personId={personId} list={list} />;
}

/** First what most groups have done; it stays, whatever comes meanwhile. */
function Chosen({
  classId,
  personId,
  list,
}: {
  readonly classId: string;
  readonly personId: string;
  readonly list: readonly ClassResultsSummary[];
}): ReactNode {
  const [search, setSearch] = useSearchParams();
  const [first] = useState(() => [...list].sort((a, b) => b.groups - a.groups)[0]?.runId);
  const asked = search.get('of');
  const shown = list.find(({ runId }) => runId === asked) ?? list.find(({ runId }) => runId === first) ?? list[0];
  if (!shown) return null;
  return (
    <>
      <label className="mt-4 flex w-fit max-w-full items-center gap-3 text-small font-semibold">
        Laboratory
        <select value={shown.runId} onChange={(event) => setSearch({ of: event.target.value })} className={SELECT}>
          {list.map(({ runId, specimen, title, startedAt, groups }) => (
            <option key={runId} value={runId}>
              {specimen}: {title}, {format(new Date(startedAt), 'd MMM')} (
              {groups === 1 ? '1 group' : `${groups} groups`})
            </option>
          ))}
        </select>
      </label>
      <Found key={shown.runId} classId={classId} runId={shown.runId} personId={personId} isTeacher />
    </>
  );
}

/** What groups of a class found who did the same, put together. */
export default function ClassResultsPage({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn;
  readonly classId: string | null;
}): ReactNode {
  const { runId } = useParams();
  const isTeacher = signedIn.role !== 'student';
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">Class results</h1>
      {classId === null && <Loading what="the class" />}
      {classId !== null &&
        (runId === undefined ? (
          <Choice classId={classId} personId={signedIn.person.id} />
        ) : (
          <Found classId={classId} runId={runId} isTeacher={isTeacher} personId={signedIn.person.id} />
        ))}
    </main>
  );
}
