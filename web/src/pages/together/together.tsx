import type { TogetherSummary } from '@green-beam/contract';
import { slipById } from '@green-beam/core';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Link, useNavigate } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { useHouseRules } from '../../rules/house-rules.ts';
import { Failed, Loading } from '../../ui/notice.tsx';
import { SetUp } from './set-up.tsx';
import { useTogetherList } from './use-together.ts';

/** The commonest slips, at most so many. */
const SLIPS_SHOWN = 2;

function Earlier({ list }: { readonly list: readonly TogetherSummary[] }): ReactNode {
  const numerals = useNumerals();
  if (list.length === 0)
    return <p className="mt-2 max-w-prose text-muted">Nothing yet. What your class reads together is kept here.</p>;
  return (
    <div className="relative overflow-x-auto">
      <table className="mt-2 w-full">
        <thead>
          <tr className="border-b-[1.5px] border-ink text-left text-small">
            <th scope="col" className="py-2 pr-6">
              When
            </th>
            <th scope="col" className="pr-6">
              What was read
            </th>
            <th scope="col" className="pr-6 text-right">
              Readings
            </th>
            <th scope="col">Slips, most frequent first</th>
          </tr>
        </thead>
        <tbody>
          {list.map(({ round, toolName, answered, slips }) => (
            <tr key={round.id} className="border-b border-hairline">
              <td className="py-2 pr-6 whitespace-nowrap text-muted">
                {format(new Date(round.startedAt), 'd MMM, HH:mm')}
              </td>
              <td className="pr-6">
                <Link
                  to={`/read-together/${round.id}`}
                  className="inline-block py-1.5 font-semibold underline decoration-hairline underline-offset-4 hover:decoration-beam"
                >
                  {numerals(toolName)}
                  {round.number > 1 ? `, reading ${round.number}` : ''}
                </Link>
                {round.state === 'reading' && <span className="ml-3 text-small text-doubt">being read</span>}
              </td>
              <td className="pr-6 text-right font-mono">{answered}</td>
              <td>
                {slips
                  .slice(0, SLIPS_SHOWN)
                  .map(({ id, count }) => `${slipById(id).name} (${count})`)
                  .join(', ')}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

function ForClass({ classId }: { readonly classId: string }): ReactNode {
  const navigate = useNavigate();
  const { data: list, error } = useTogetherList(classId);
  const { rules, error: noRules } = useHouseRules(classId);
  const failed = inTheWay(error, list) ?? inTheWay(noRules, rules);
  if (failed) return <Failed error={failed} />;
  if (!list || !rules) return <Loading what="the class" />;
  return (
    <>
      <SetUp
        classId={classId}
        rules={rules.rules}
        onBegun={({ round }) => void navigate(`/read-together/${round.id}/wall`)}
      />
      <h2 className="mt-10 text-xl font-bold">Read so far</h2>
      <Earlier list={list} />
    </>
  );
}

/** The whole class reads one tool: what is read next, and what was read so far. */
export default function Together({ classId }: { readonly classId: string | null }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-6 wide:px-7">
      <h1 className="text-2xl font-bold">Read together</h1>
      <p className="mt-1 max-w-prose text-muted">
        Everybody reads one tool and writes the number. When you stop, all readings stand on one line: the certain
        digits agree, the last one scatters.
      </p>
      {classId === null ? (
        <p className="mt-6">You have no class yet. Make one under “Students”.</p>
      ) : (
        <ForClass classId={classId} />
      )}
    </main>
  );
}
