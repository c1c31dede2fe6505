import type { SignedIn } from '@green-beam/contract';
import { lazy, type ReactNode } from 'react';
import { BenchRoundView } from './bench-round.tsx';
import { useVisitorBench } from './visitor/visitor-bench.ts';
import { VISITOR_TOOLS } from './visitor/visitor-tools.ts';

// Whoever looks in without signing in needs nothing of a class.
const ClassBench = lazy(() => import('./class-bench-view.tsx'));

function VisitorBench(): ReactNode {
  return <BenchRoundView source={useVisitorBench(VISITOR_TOOLS)} visitor />;
}

/** The bench: for visitors at once, for a class with everything kept. */
export function Bench({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn | null;
  readonly classId: string | null;
}): ReactNode {
  return signedIn && classId ? (
    <ClassBench key={signedIn.person.id + classId} classId={classId} signedIn={signedIn} />
  ) : (
    <VisitorBench />
  );
}
