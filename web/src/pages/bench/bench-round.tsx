import type { BenchRound, BenchTask } from '@green-beam/contract';
import { lazy, useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { RecordStrip } from '../../charts/record-strip.tsx';
import { useJudgedBy } from '../../rules/house-rules.ts';
import { Button } from '../../ui/button.tsx';
import { FetchedPage } from '../../ui/fetched-page.tsx';
import { Failed, Loading } from '../../ui/notice.tsx';
import { isExercise, isFinished, isReading, rightAtFirst, type BenchSource } from './bench-source.ts';
import { TaskView } from './reading/task-view.tsx';

// Whoever reads tools needs nothing of the exercises.
const ExerciseView = lazy(() => import('./exercise/exercise-view.tsx'));

interface RoundProps {
  readonly source: BenchSource;
  readonly visitor: boolean;
  /** What can be gone on with when the round is done. */
  readonly choice: ChooseNext;
}

/** Offers subjects for the round after one. */
export type ChooseNext = (done: BenchRound, choose: (subjectIds: readonly string[]) => void) => ReactNode;

function RoundDone({ source, visitor, choice }: RoundProps): ReactNode {
  const { round } = source;
  const strip = source.strip.length > 0;
  return (
    <div className="mx-auto w-full max-w-xl flex-1 px-4 py-16">
      <h1 className="text-2xl font-bold">Round finished</h1>
      <p className="mt-2 text-lg">
        {rightAtFirst(source)} of {source.length} right at the first try.
        {strip
          ? ' The strip below shows your readings around the true value. Ticks spread out show scatter. Ticks on one side show a habit.'
          : ''}
      </p>
      {round && choice(round, (subjectIds) => void source.newRound(subjectIds))}
      {visitor && (
        <p className="mt-8 text-muted">
          This work is not saved.{' '}
          <Link to="/sign-in" className="font-semibold text-ink underline underline-offset-4">
            Sign in with your class code
          </Link>{' '}
          to keep your work.
        </p>
      )}
    </div>
  );
}

/** Items of a round that are not finished: their entries wait for the server, or they have a try left. */
function StillOpen({
  source,
  open,
  onGoTo,
}: {
  readonly source: BenchSource;
  readonly open: readonly BenchTask[];
  readonly onGoTo: (task: BenchTask) => void;
}): ReactNode {
  return (
    <div className="mx-auto w-full max-w-xl flex-1 px-4 py-16">
      <h1 className="text-2xl font-bold">Not finished yet</h1>
      <ul className="mt-4">
        {open.map((task) => (
          <li key={task.id} className="flex min-h-12 items-center gap-4 border-t border-hairline">
            <span className="w-28">
              {isReading(task) ? 'Reading' : 'Exercise'} {task.position + 1}
            </span>
            {source.notChecked.has(task.id) ? (
              <span className="text-doubt">not checked yet: the server cannot be reached</span>
            ) : (
              <Button look="quiet" onClick={() => onGoTo(task)}>
                {(source.made.get(task.id)?.length ?? 0) > 0 || task.state === 'tried'
                  ? 'One more try'
                  : isReading(task)
                    ? 'Read it'
                    : 'Work it out'}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </div>
  );
}

function Item({
  task,
  source,
  onNext,
}: {
  readonly task: BenchTask;
  readonly source: BenchSource;
  readonly onNext: () => void;
}): ReactNode {
  const at = { source, of: source.length, onNext };
  if (isReading(task)) return <TaskView key={task.id} task={task} {...at} />;
  return (
    isExercise(task) && (
      <FetchedPage what="the exercise">
        <ExerciseView key={task.id} task={task} {...at} />
      </FetchedPage>
    )
  );
}

function Round({ source, visitor, choice }: RoundProps): ReactNode {
  const rules = source.round?.rules ?? null;
  useJudgedBy(rules);
  const tasks = source.round?.tasks ?? [];
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      tasks.findIndex((task) => task.state !== 'closed'),
    ),
  );
  const task = tasks[at];
  const open = at < source.length ? [] : tasks.filter((one) => !isFinished(source, one));
  // Onward to the next item that can be worked on; what waits for the server is come back to at the end.
  const next = (): void => {
    const further = tasks.findIndex((one, i) => i > at && !isFinished(source, one) && !source.notChecked.has(one.id));
    setAt(further >= 0 ? further : tasks.length < source.length ? at + 1 : source.length);
  };
  return (
    <div className="flex min-h-[calc(100vh-6.5rem)] flex-col">
      {task ? (
        <Item task={task} source={source} onNext={next} />
      ) : at < source.length ? (
        <div className="flex-1 px-7">
          <Loading what="the next one" />
        </div>
      ) : open.length > 0 ? (
        <StillOpen source={source} open={open} onGoTo={(one) => setAt(tasks.indexOf(one))} />
      ) : (
        <RoundDone source={source} visitor={visitor} choice={choice} />
      )}
      {(tasks.some(isReading) || source.strip.length > 0) && (
        <RecordStrip marks={source.strip} band={(rules?.rules.acceptance ?? 2) / 10} />
      )}
    </div>
  );
}

const ANOTHER_TEN: ChooseNext = ({ title, subjectIds }, choose) => (
  <div className="mt-6 flex flex-wrap items-center gap-x-6 gap-y-2">
    <Button onClick={() => choose(title === null ? subjectIds : [])}>Another ten</Button>
    <Link to="/shelf" className="inline-flex min-h-11 items-center font-semibold underline underline-offset-4">
      Take another tool
    </Link>
  </div>
);

/** A round from wherever it comes: its items one after the other, then what came of them. */
export function BenchRoundView({
  source,
  visitor,
  choice = ANOTHER_TEN,
}: {
  readonly source: BenchSource;
  readonly visitor: boolean;
  readonly choice?: ChooseNext;
}): ReactNode {
  if (source.round) return <Round key={source.round.id} source={source} visitor={visitor} choice={choice} />;
  return (
    <div className="mx-auto max-w-7xl px-7">
      {source.error ? <Failed error={source.error} /> : <Loading what="a round" />}
    </div>
  );
}
