import type { SignedIn } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { BenchRoundView } from './bench-round.tsx';
import { useClassBench } from './class-bench.ts';
import { SetForYou } from './set-for-you.tsx';

/** The bench of a class: what is set above it, and everything kept. */
export default function ClassBench({
  classId,
  signedIn,
  taken,
}: {
  readonly classId: string;
  readonly signedIn: SignedIn;
  /** Tools taken off the shelf, none of them for a mix; null to go on with the round that was worked last. */
  readonly taken: readonly string[] | null;
}): ReactNode {
  const source = useClassBench(classId, signedIn.person.id, 'bench', taken);
  const navigate = useNavigate();
  const begin = async (setRoundId: string): Promise<void> => {
    await source.beginSetRound(setRoundId);
    // The address names the tool that was taken, which this round is not of.
    if (taken) await navigate('/');
  };
  return (
    <>
      {signedIn.role === 'student' && (
        <SetForYou
          classId={classId}
          place="bench"
          present={source.round?.title ?? null}
          onBegin={source.round === null ? null : begin}
        />
      )}
      <BenchRoundView source={source} visitor={false} />
    </>
  );
}
