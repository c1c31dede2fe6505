import type { PlanPage } from '@green-beam/contract';
import { toPrepare, type Protocol } from '@green-beam/core';
import { range } from 'd3-array';
import { useState, type ReactNode } from 'react';
import { useParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { Waiting } from '../../ui/waiting.tsx';
import { PrintBar, type PaperSize } from '../print/print-bar.tsx';
import { GroupCard } from './cards.tsx';
import { Care, Kit } from './kit-and-care.tsx';
import { clockAt, lessonIn } from './lesson-draft.ts';
import { usePlan } from './use-plans.ts';
import { useProtocols } from './use-protocols.ts';

/** So many cards stand on a sheet; long ones fewer. */
const cardsOnSheet = (steps: number): number => (steps > 22 ? 1 : steps > 11 ? 2 : 4);

function Sheets({ page, protocols }: { readonly page: PlanPage; readonly protocols: readonly Protocol[] }): ReactNode {
  const [size, setSize] = useState<PaperSize>('a4');
  const { draft } = page;
  const lesson = lessonIn(draft);
  const prepare = toPrepare(protocols);
  const onSheet = cardsOnSheet(lesson.steps.length);
  const sheets = 1 + Math.ceil(lesson.groups / onSheet);
  return (
    <>
      <PrintBar
        size={size}
        onSize={setSize}
        title={
          <>
            <strong>{draft.title}</strong>: {sheets} sheets, one for you and {lesson.groups} cards to cut
          </>
        }
      />
      <main className={`printed printed-${size}`}>
        <article className="printed-page">
          <h1 className="text-xl font-bold">{draft.title}</h1>
          <p>
            {clockAt(draft.begins, 0)} to {clockAt(draft.begins, draft.minutes)}, {lesson.groups} groups:{' '}
            {protocols.map(({ title }) => title).join('; ')}
          </p>
          {prepare.length > 0 && (
            <section className="mt-[5mm]">
              <h2 className="text-lg font-bold">Before they come</h2>
              <ul>
                {prepare.map(({ text, minutesBefore }) => (
                  <li key={text}>
                    <span className="inline-block w-[16mm] font-mono">{clockAt(draft.begins, -minutesBefore)}</span>
                    {text}
                  </li>
                ))}
              </ul>
            </section>
          )}
          <section className="mt-[5mm]">
            <Kit lesson={lesson} protocols={protocols} />
          </section>
          <section className="mt-[5mm]">
            <Care protocols={protocols} />
          </section>
        </article>
        {range(0, lesson.groups, onSheet).map((first) => (
          <article key={first} className="printed-page">
            <div className={onSheet === 4 ? 'grid grid-cols-2 gap-x-[12mm] gap-y-[14mm]' : 'grid gap-y-[14mm]'}>
              {range(first, Math.min(lesson.groups, first + onSheet)).map((group) => (
                <GroupCard
                  key={group}
                  lesson={lesson}
                  plan={draft.placed}
                  begins={draft.begins}
                  group={group}
                  as="h2"
                />
              ))}
            </div>
          </article>
        ))}
      </main>
    </>
  );
}

function ForClass({ classId, planId }: { readonly classId: string; readonly planId: string }): ReactNode {
  const { data: page, error } = usePlan(classId, planId);
  const { protocols, error: noProtocols } = useProtocols(classId, page?.draft.stations ?? []);
  const failed = inTheWay(error, page) ?? inTheWay(noProtocols, protocols ?? undefined);
  if (failed || !page || !protocols) return <Waiting what="the plan" error={failed} />;
  return <Sheets page={page} protocols={protocols} />;
}

/** A plan on paper: what stands where and what is begun when, and a card for each group. */
export default function PrintPlan({ classId }: { readonly classId: string | null }): ReactNode {
  const { planId = '' } = useParams();
  if (classId === null) return <Waiting what="the class" error={null} />;
  return <ForClass classId={classId} planId={planId} />;
}
