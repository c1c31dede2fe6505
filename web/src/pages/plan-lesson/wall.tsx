import type { PlanPage } from '@green-beam/contract';
import { atMinute, type Lesson, type PlannedStep } from '@green-beam/core';
import { format } from 'date-fns';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { useNow } from '../../ui/use-now.ts';
import { groupName, toolsInWords } from './in-words.ts';
import { clockAt, lessonIn } from './lesson-draft.ts';
import { usePlan, usePlanRun } from './use-plans.ts';

/** In ms. */
const MINUTE = 60_000;

interface StepNamedProps {
  readonly lesson: Lesson;
  readonly planned: PlannedStep;
}

function StepNamed({ lesson, planned }: StepNamedProps): ReactNode {
  const tools = toolsInWords(lesson, planned.tools);
  return (
    <>
      {lesson.steps.find(({ id }) => id === planned.step)?.name}
      {tools.length > 0 && <span className="text-beam"> {tools.join(', ')}</span>}
    </>
  );
}

interface GroupNowProps {
  readonly lesson: Lesson;
  readonly plan: readonly PlannedStep[];
  readonly group: number;
  readonly minute: number;
}

/** One group: what it does now, until when, and what comes next. */
function GroupNow({ lesson, plan, group, minute }: GroupNowProps): ReactNode {
  const { now, beside, next } = atMinute(lesson, plan, group, minute);
  const left = (end: number): number => Math.max(1, Math.ceil(end - minute));
  return (
    <section className="border-t border-hairline pt-2">
      <h2 className="text-2xl text-muted">{groupName(group)}</h2>
      <p className="text-4xl font-bold">{now ? <StepNamed lesson={lesson} planned={now} /> : next ? 'Wait' : 'Done'}</p>
      <p className="text-2xl">
        {now && `${left(now.end)} min left. `}
        {beside.map((planned) => (
          <span key={planned.step} className="text-doubt">
            {lesson.steps.find(({ id }) => id === planned.step)?.name}: {left(planned.end)} min, stay with it.{' '}
          </span>
        ))}
      </p>
      {next && (
        <p className="text-2xl text-muted">
          {now ? 'Next' : `In ${left(next.start)} min`}: <StepNamed lesson={lesson} planned={next} />
        </p>
      )}
    </section>
  );
}

function Shown({ classId, page }: { readonly classId: string; readonly page: PlanPage }): ReactNode {
  const now = useNow(1000);
  const run = usePlanRun(classId, page.id);
  const { draft, beganAt } = page;
  const lesson = lessonIn(draft);
  const minute = beganAt === null ? 0 : (now - new Date(beganAt).getTime()) / MINUTE;
  const left = Math.ceil(draft.minutes - minute);
  return (
    <>
      <header className="flex flex-wrap items-baseline gap-x-8">
        <h1 className="text-3xl font-bold">{draft.title}</h1>
        <p className="text-2xl text-muted">
          {beganAt === null
            ? `Begins at ${clockAt(draft.begins, 0)}, ${draft.minutes} minutes`
            : left > 0
              ? `${left} ${left === 1 ? 'minute' : 'minutes'} left`
              : 'The time is up'}
        </p>
        <p className="ml-auto font-mono text-4xl">{format(now, 'H:mm')}</p>
      </header>
      <main className="grid flex-1 grid-cols-[repeat(auto-fit,minmax(16rem,1fr))] content-start gap-x-8 gap-y-6 py-6">
        {Array.from({ length: lesson.groups }, (_, group) => (
          <GroupNow key={group} lesson={lesson} plan={draft.placed} group={group} minute={minute} />
        ))}
      </main>
      <footer className="flex flex-wrap items-center gap-x-5 gap-y-1 border-t border-hairline py-2">
        <Button
          look={beganAt === null ? 'main' : 'plain'}
          disabled={run.isPending}
          onClick={() => run.mutate(beganAt === null)}
        >
          {beganAt === null ? 'Begin now' : 'Stop the clock'}
        </Button>
        {run.error && <span className="text-slip">{run.error.message}</span>}
        <Link
          to={`/plan-lesson/${page.id}`}
          className="ml-auto min-h-11 content-center text-muted underline underline-offset-4"
        >
          Back to the plan
        </Link>
      </footer>
    </>
  );
}

function ForClass({ classId, planId }: { readonly classId: string; readonly planId: string }): ReactNode {
  const { data: page, error } = usePlan(classId, planId);
  const failed = inTheWay(error, page);
  if (failed) return <Failed error={failed} />;
  if (!page) return <Loading what="the plan" />;
  return <Shown classId={classId} page={page} />;
}

/** The lesson at the front of the room: what each group does now, and next. */
export default function PlanWall({ classId }: { readonly classId: string | null }): ReactNode {
  const { planId = '' } = useParams();
  return (
    <div className="projector flex min-h-screen flex-col px-10 pt-5">
      {classId === null ? <Loading what="the class" /> : <ForClass classId={classId} planId={planId} />}
    </div>
  );
}
