import type { ClassResults, ClassResultsSummary, SignedIn } from '@green-beam/contract';
import { useQuery } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { useParams, useSearchParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { ask } from '../../api/request.ts';
import { useHouseRules } from '../../rules/house-rules.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { useCabinet } from '../cabinet/use-cabinet.ts';
import { PooledResult } from './pooled-result.tsx';
import { ToolsOfClass } from '../tools-compared/tools-of-class.tsx';
import { comparedResults, type ComparedResult } from './result-rows.ts';

const SELECT = 'min-h-11 min-w-0 border-b-2 border-ink bg-surface px-2 text-base font-normal';

/** The tool that a result is of, where tools are compared. */
function memberOf(compared: ComparedResult | undefined): string {
  return Object.values(compared?.rows[0]?.result.members ?? {})[0] ?? '';
}

interface ShownProps {
  readonly classId: string;
  readonly runId: string;
  readonly isTeacher: boolean;
}

/** Where a balance of the cabinet is checked, by its code; students have no cabinet. */
function useCheckAt(classId: string | null): (code: string) => string | null {
  const { tools } = useCabinet(classId);
  return (code) => {
    const tool = tools?.find((one) => one.code === code);
    return tool && /balance/.test(tool.instrumentId) ? `/cabinet/${tool.id}` : null;
  };
}

function Found({ classId, runId, isTeacher }: ShownProps): ReactNode {
  const { data: found, error } = useQuery({
    queryKey: ['class-results', classId, runId],
    queryFn: () => ask<ClassResults>('GET', `/classes/${classId}/class-results/${runId}`),
  });
  const { rules, error: noRules } = useHouseRules(classId);
  const [chosen, setChosen] = useState('');
  const [isOnWall, setOnWall] = useState(false);
  const checkAt = useCheckAt(isTeacher ? classId : null);
  const failed = inTheWay(error, found) ?? inTheWay(noRules, rules);
  if (failed) return <Failed error={failed} />;
  if (!found || !rules) return <Loading what="the results" />;
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
          <Button look="plain" aria-pressed={isOnWall} onClick={() => setOnWall(!isOnWall)}>
            {isOnWall ? 'Show the names' : 'Show letters for the wall'}
          </Button>
        )}
      </div>
      <ToolsOfClass
        groups={found.groups}
        rules={rules.rules}
        chosen={memberOf(compared)}
        onChoose={(member) => setChosen(results.find((one) => memberOf(one) === member)?.key ?? chosen)}
      />
      {compared ? (
        <PooledResult
          found={found}
          compared={compared}
          rules={rules.rules}
          isNamed={isTeacher && !isOnWall}
          checkAt={isTeacher ? checkAt : null}
        />
      ) : (
        <p className="mt-6 text-muted">No group has a result yet. It appears as soon as one can be worked out.</p>
      )}
    </>
  );
}

function Choice({ classId }: { readonly classId: string }): ReactNode {
  const { data: list, error } = useQuery({
    queryKey: ['class-results', classId],
    queryFn: () => ask<ClassResultsSummary[]>('GET', `/classes/${classId}/class-results`),
  });
  const failed = inTheWay(error, list);
  if (failed) return <Failed error={failed} />;
  if (!list) return <Loading what="the laboratories" />;
  if (list.length === 0) return <p className="mt-6 max-w-prose text-muted">No group has worked out a result yet.</p>;
  return <Chosen classId={classId} list={list} />;
}

/** First what most groups have done; it stays, whatever comes meanwhile. */
function Chosen({
  classId,
  list,
}: {
  readonly classId: string;
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
      <Found key={shown.runId} classId={classId} runId={shown.runId} isTeacher />
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
          <Choice classId={classId} />
        ) : (
          <Found classId={classId} runId={runId} isTeacher={isTeacher} />
        ))}
    </main>
  );
}
