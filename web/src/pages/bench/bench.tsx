import type { SignedIn } from '@green-beam/contract';
import { Activity, lazy, useState, type ReactNode } from 'react';
import { useLocation, useMatch } from 'react-router';
import { FetchedPage } from '../../ui/fetched-page.tsx';
import { toolsAt } from './shelf/tools-at.ts';
import { VisitorRounds } from './visitor/visitor-rounds.tsx';

// Whoever looks in without signing in needs nothing of a class.
const ClassBench = lazy(() => import('./class-bench-view.tsx'));
const ClassShelf = lazy(() => import('./shelf/class-shelf.tsx'));
const VisitorShelf = lazy(() => import('./shelf/visitor-shelf.tsx'));

/** What of the bench an address names. */
interface At {
  /** What is on the bench by its name in the address; without one, what was begun goes on. Null while nothing has been there. */
  readonly bench: { readonly name: string | null } | null;
  readonly onShelf: boolean;
  /** A name that no tool has. */
  readonly unknown: string | null;
}

function useAt(): At {
  const name = useMatch('/bench/:name')?.params.name ?? null;
  const unknown = name !== null && toolsAt(name) === null ? name : null;
  const onShelf = useLocation().pathname === '/shelf' || unknown !== null;
  // While one looks at the shelf, what is on the bench stays there.
  const [last, setLast] = useState<{ readonly name: string | null } | null>(onShelf ? null : { name });
  if (!onShelf && name !== last?.name) setLast({ name });
  return { bench: onShelf ? last : { name }, onShelf, unknown };
}

/** The bench with its shelf of tools: for visitors at once, for a class with everything kept. */
export function Bench({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn | null;
  readonly classId: string | null;
}): ReactNode {
  const { bench, onShelf, unknown } = useAt();
  const [begun, setBegun] = useState<readonly string[]>([]);
  const member = signedIn && classId ? { signedIn, classId } : null;
  return (
    <>
      {bench && (
        <Activity mode={onShelf ? 'hidden' : 'visible'}>
          {member ? (
            <ClassBench
              key={[member.signedIn.person.id, classId, bench.name].join(' ')}
              {...member}
              taken={bench.name === null ? null : toolsAt(bench.name)}
            />
          ) : (
            <VisitorRounds name={bench.name} onBegun={setBegun} />
          )}
        </Activity>
      )}
      {onShelf && (
        <FetchedPage what="the shelf">
          {member ? <ClassShelf {...member} unknown={unknown} /> : <VisitorShelf begun={begun} unknown={unknown} />}
        </FetchedPage>
      )}
    </>
  );
}
