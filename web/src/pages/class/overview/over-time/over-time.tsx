import type { OverTime } from '@green-beam/contract';
import { practiceSlipById, SKILLS } from '@green-beam/core';
import { useQuery } from '@tanstack/react-query';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { inTheWay } from '../../../../api/in-the-way.ts';
import { ask } from '../../../../api/request.ts';
import { Failed, Loading } from '../../../../ui/notice.tsx';
import { LATELY, misleadsMany, sinceFirst, timesTaken, whomToVisit, type ToVisit } from './figures.ts';
import { HeatStrip } from './heat-strip.tsx';
import { SlipTrends } from './slip-trends.tsx';

function skillName(id: string): string {
  return SKILLS.find((skill) => skill.id === id)?.name ?? id;
}

function whyInWords({ why }: ToVisit): string {
  if (why.kind === 'away') return `has not practised for ${LATELY} weeks.`;
  const { sound, readings } = why.share;
  const of = `${sound} of ${readings} right in ${skillName(why.skill).toLowerCase()}`;
  return why.kind === 'falls' ? `${of}, and it was better before.` : `${of}.`;
}

function Visits({ time }: { readonly time: OverTime }): ReactNode {
  const visits = whomToVisit(time);
  return (
    <section>
      <h2 className="text-lg font-bold">Talk to next</h2>
      {visits.length === 0 ? (
        <p className="text-muted">Nobody stands out.</p>
      ) : (
        <ul>
          {visits.map((visit) => (
            <li key={visit.id}>
              <Link
                to={`/class/student/${visit.id}`}
                className="font-semibold underline decoration-hairline underline-offset-4"
              >
                {visit.label}
              </Link>
              : {whyInWords(visit)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Misleading({ time }: { readonly time: OverTime }): ReactNode {
  const many = misleadsMany(time);
  return (
    <section>
      <h2 className="text-lg font-bold">Misleads many</h2>
      {many.length === 0 ? (
        <p className="text-muted">No slip is made by three or more.</p>
      ) : (
        <ul>
          {many.map(({ slip, skill, students }) => (
            <li key={`${slip} ${skill}`}>
              <strong>{practiceSlipById(slip).name}</strong>: {students} students in one week,{' '}
              {skillName(skill).toLowerCase()}.
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

const seconds = (time: number): string => `${Math.round(time)} s`;

function Times({ time }: { readonly time: OverTime }): ReactNode {
  const known = timesTaken(time).filter(({ late, early }) => late !== null || early !== null);
  return (
    <table className="mt-2 w-full">
      <thead>
        <tr className="border-b-[1.5px] border-ink text-left text-small">
          <th scope="col" className="py-1.5">
            Skill
          </th>
          <th scope="col" className="pl-4 text-right">
            Lately
          </th>
          <th scope="col" className="pl-4 text-right">
            Before
          </th>
        </tr>
      </thead>
      <tbody>
        {known.map(({ skill, late, early }) => (
          <tr key={skill} className="border-b border-hairline">
            <th scope="row" className="py-1.5 text-left font-normal">
              {skillName(skill)}
            </th>
            <td className="pl-4 text-right font-mono">{late === null ? '–' : seconds(late)}</td>
            <td className="pl-4 text-right font-mono text-muted">{early === null ? '–' : seconds(early)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The class over the last weeks: who to talk to, what misleads many, each student by skill, slips week by week, and the time taken. */
export function OverTimePart({ classId }: { readonly classId: string }): ReactNode {
  const { data: time, error } = useQuery({
    queryKey: ['board', classId, 'over-time'],
    queryFn: () => ask<OverTime>('GET', `/classes/${classId}/over-time`),
  });
  const failed = inTheWay(error, time);
  if (failed) return <Failed error={failed} />;
  if (!time) return <Loading what="the weeks" />;
  if (time.practised.length === 0)
    return <p className="mt-6 text-muted">Nothing was practised in the last {time.weeks.length} weeks.</p>;
  return (
    <>
      <div className="mt-4 grid gap-x-12 gap-y-4 sm:grid-cols-2">
        <Visits time={time} />
        <Misleading time={time} />
      </div>
      <p className="mt-6 -mb-4 text-small text-muted">
        The fuller a square, the more was right at the first try in the last {LATELY} weeks. An arrow: better or worse
        than before.
      </p>
      <HeatStrip time={time} />
      <div className="mt-8 grid gap-x-12 gap-y-8 pb-8 wide:grid-cols-[minmax(0,1.4fr)_minmax(0,1fr)]">
        <section>
          <h2 className="text-lg font-bold">Slips, week by week</h2>
          <p className="text-small text-muted">
            In 100 items of their kind, over {sinceFirst(time).weeks.length} weeks.
          </p>
          <SlipTrends time={sinceFirst(time)} />
        </section>
        <section>
          <h2 className="text-lg font-bold">Time for one item</h2>
          <p className="text-small text-muted">On average, in seconds.</p>
          <Times time={time} />
        </section>
      </div>
    </>
  );
}
