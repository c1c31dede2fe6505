import type { SetRoundShown } from '@green-beam/contract';
import { format, isPast } from 'date-fns';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { useSetRounds } from '../use-set-rounds.ts';

function isOpen({ progress }: SetRoundShown): boolean {
  return progress.some((one) => one.finishedAt === null);
}

function when({ dueAt }: SetRoundShown): string {
  if (dueAt === null) return '';
  const date = new Date(dueAt);
  return isPast(date)
    ? `, was due ${format(date, 'EEE d MMM')}; you can still do it`
    : `, due ${format(date, 'EEE d MMM, HH:mm')}`;
}

/** A round on paper: once its sheet is printed, its answers can be typed in. */
function OnPaper({ round }: { readonly round: SetRoundShown }): ReactNode {
  const code = round.progress[0]?.sheetCode ?? null;
  if (code === null) return <span className="text-muted">on paper, not printed yet</span>;
  return (
    <Link
      to={`/sheets/${code}`}
      className="inline-flex min-h-11 items-center font-semibold underline decoration-beam decoration-2 underline-offset-4"
    >
      Enter answers of sheet {code}
    </Link>
  );
}

interface SetForYouProps {
  readonly classId: string;
  /** Where this page is: a round that is worked elsewhere is begun there. */
  readonly place: SetRoundShown['place'];
  /** Title of the set round on the bench; null while it is one’s own practice. */
  readonly present: string | null;
  /** Null until the bench has its own round: one begun before that would be covered by it. */
  readonly onBegin: ((setRoundId: string) => Promise<void>) | null;
}

/** What a teacher has set and is not finished yet. */
export function SetForYou({ classId, place, present, onBegin }: SetForYouProps): ReactNode {
  const { rounds = [] } = useSetRounds(classId);
  const [refused, setRefused] = useState<string | null>(null);
  const [unfolded, setUnfolded] = useState(false);
  const open = rounds.filter((round) => isOpen(round) && round.title !== present);
  // One line, so that the tool is not pushed down the page: the set under way, or the first that is open.
  const isUnderWay = rounds.some((round) => isOpen(round) && round.title === present);
  const most = unfolded ? open.length : isUnderWay ? 0 : 1;
  if (open.length === 0 && present === null && refused === null) return null;
  return (
    <div className="typing:hidden flex min-h-11 flex-wrap items-center gap-x-8 border-b border-hairline bg-wash px-4 text-small wide:px-7">
      {present !== null && <p className="font-semibold">Set for you: {present}</p>}
      {open.slice(0, most).map((round) => (
        <p key={round.id} className="flex flex-wrap items-center gap-x-3">
          <span>
            {present === null ? 'Set for you: ' : ''}
            <strong>{round.title}</strong>, {round.progress[0]?.done ?? 0} of {round.length} done{when(round)}
          </span>
          {round.onPaper ? (
            <OnPaper round={round} />
          ) : round.place !== place ? (
            <Link
              to={round.place === 'numbers' ? '/numbers/practice' : '/'}
              className="inline-flex min-h-11 items-center font-semibold underline decoration-beam decoration-2 underline-offset-4"
            >
              {round.place === 'numbers' ? 'Go to Numbers' : 'Go to the bench'}
            </Link>
          ) : (
            <button
              type="button"
              disabled={onBegin === null}
              className="min-h-11 font-semibold underline decoration-beam decoration-2 underline-offset-4"
              onClick={() =>
                void onBegin?.(round.id).catch((error: unknown) =>
                  setRefused(error instanceof Error ? error.message : 'The round could not be started.'),
                )
              }
            >
              {(round.progress[0]?.done ?? 0) > 0 ? 'Go on' : 'Begin'}
            </button>
          )}
        </p>
      ))}
      {open.length > most && (
        <button
          type="button"
          className="min-h-11 underline decoration-hairline decoration-2 underline-offset-4"
          aria-expanded={false}
          onClick={() => setUnfolded(true)}
        >
          and {open.length - most} more
        </button>
      )}
      {refused !== null && (
        <p role="alert" className="py-2 text-slip">
          {refused}
        </p>
      )}
    </div>
  );
}
