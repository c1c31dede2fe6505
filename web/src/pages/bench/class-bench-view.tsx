import type { SignedIn } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { BenchRoundView } from './bench-round.tsx';
import { useClassBench } from './class-bench.ts';
import { SetForYou } from './set-for-you.tsx';

/** The bench of a class: what is set above it, and everything kept. */
export default function ClassBench({
  classId,
  signedIn,
}: {
  readonly classId: string;
  readonly signedIn: SignedIn;
}): ReactNode {
  const source = useClassBench(classId, signedIn.person.id);
  return (
    <>
      {signedIn.role === 'student' && (
        <SetForYou
          classId={classId}
          place="bench"
          present={source.round?.title ?? null}
          onBegin={source.round === null ? null : source.beginSetRound}
        />
      )}
      <BenchRoundView source={source} visitor={false} />
    </>
  );
}
