import type { SetRoundShown } from '@green-beam/contract';
import { format } from 'date-fns';
import type { ReactNode } from 'react';

interface SetRoundsDoneProps {
  readonly rounds: readonly SetRoundShown[];
  /** Whose rounds; without it one’s own. */
  readonly studentId?: string | undefined;
}

function when(dueAt: string | null): string {
  return dueAt === null ? 'no date' : `due ${format(new Date(dueAt), 'd MMM, HH:mm')}`;
}

/** What was set for somebody, how much of it is done, and whether in time. */
export function SetRoundsDone({ rounds, studentId }: SetRoundsDoneProps): ReactNode {
  const own = rounds.flatMap((round) => {
    const progress = round.progress.find((one) => studentId === undefined || one.studentId === studentId);
    return progress && !round.withdrawn ? [{ round, progress }] : [];
  });
  if (own.length === 0) return null;
  return (
    <section>
      <h2 className="mt-8 mb-2 text-lg font-bold">Practice sets</h2>
      <ul>
        {own.map(({ round, progress }) => {
          const late = round.dueAt !== null && progress.finishedAt !== null && progress.finishedAt > round.dueAt;
          return (
            <li
              key={round.id}
              className="grid min-h-11 grid-cols-[minmax(0,1fr)_10rem_6rem_minmax(0,1fr)] items-center gap-3 border-t border-hairline py-1 max-sm:grid-cols-2"
            >
              <span>{round.title}</span>
              <span className="text-muted">{when(round.dueAt)}</span>
              <span className="font-mono">
                {progress.done}/{round.length}
              </span>
              <span className={late ? 'text-slip' : ''}>
                {progress.done === 0 ? 'not begun' : `${progress.rightAtFirst} right at the first try`}
                {progress.finishedAt === null ? '' : late ? ', finished late' : ', finished'}
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
