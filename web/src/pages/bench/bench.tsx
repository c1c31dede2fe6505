import type { BenchTask, SignedIn } from '@green-beam/contract';
import type { LiquidColumnPicture } from '@green-beam/core';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { RecordStrip } from '../../charts/record-strip.tsx';
import { useHouseRules } from '../../rules/house-rules.ts';
import { Button } from '../../ui/button.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import type { BenchSource } from './bench-source.ts';
import { useClassBench } from './class-bench.ts';
import { TaskView } from './task-view.tsx';
import { BENCH_TOOLS, useVisitorBench } from './visitor-bench.ts';

type DrawnTask = BenchTask & { readonly picture: LiquidColumnPicture };

function isDrawn(task: BenchTask): task is DrawnTask {
  return task.picture.kind === 'liquid-column';
}

function RoundDone({ source, visitor }: { readonly source: BenchSource; readonly visitor: boolean }): ReactNode {
  const firstTries = source.strip.filter((mark) => mark.tryNumber === 1);
  const right = firstTries.filter((mark) => mark.sound).length;
  return (
    <div className="mx-auto w-full max-w-xl flex-1 px-4 py-16">
      <h1 className="text-2xl font-bold">Round finished</h1>
      <p className="mt-2 text-lg">
        {right} of {source.round?.tasks.length ?? 0} right at the first try. The strip below shows how they lie about the true value: ticks spread out are scatter, ticks all to one side are a habit.
      </p>
      <p className="mt-6 font-semibold">Another ten</p>
      <div className="mt-2 flex flex-wrap gap-3">
        <Button onClick={() => void source.newRound(null)}>All cylinders</Button>
        {BENCH_TOOLS.map((tool) => (
          <Button key={tool.id} look="plain" onClick={() => void source.newRound(tool.id)}>
            {tool.name}
          </Button>
        ))}
      </div>
      {visitor && (
        <p className="mt-8 text-muted">
          Nothing of this is kept. <Link to="/sign-in" className="font-semibold text-ink underline underline-offset-4">Sign in with your class code</Link> to keep your readings.
        </p>
      )}
    </div>
  );
}

function Round({ source, classId, visitor }: { readonly source: BenchSource; readonly classId: string | null; readonly visitor: boolean }): ReactNode {
  const { rules } = useHouseRules(classId);
  const tasks = source.round?.tasks.filter(isDrawn) ?? [];
  const [at, setAt] = useState(() => Math.max(0, tasks.findIndex((task) => task.state !== 'closed')));
  const task = tasks[at];
  return (
    <div className="flex min-h-[calc(100vh-3.5rem)] flex-col">
      {task ? <TaskView key={task.id} task={task} source={source} of={tasks.length} onNext={() => setAt(at + 1)} /> : <RoundDone source={source} visitor={visitor} />}
      <RecordStrip marks={source.strip} band={(rules?.rules.acceptance ?? 2) / 10} />
    </div>
  );
}

function Source({ source, classId, visitor }: { readonly source: BenchSource; readonly classId: string | null; readonly visitor: boolean }): ReactNode {
  if (source.round) return <Round key={source.round.id} source={source} classId={classId} visitor={visitor} />;
  return <div className="mx-auto max-w-7xl px-7">{source.error ? <Failed error={source.error} /> : <Loading what="a round of readings" />}</div>;
}

function ClassBench({ classId, personId }: { readonly classId: string; readonly personId: string }): ReactNode {
  return <Source source={useClassBench(classId, personId)} classId={classId} visitor={false} />;
}

function VisitorBench(): ReactNode {
  return <Source source={useVisitorBench()} classId={null} visitor />;
}

/** The bench: for visitors at once, for a class with everything kept. */
export function Bench({ signedIn, classId }: { readonly signedIn: SignedIn | null; readonly classId: string | null }): ReactNode {
  return signedIn && classId ? <ClassBench key={signedIn.person.id + classId} classId={classId} personId={signedIn.person.id} /> : <VisitorBench />;
}
