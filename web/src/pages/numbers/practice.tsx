import type { SignedIn } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { BenchRoundView, type ChooseNext } from '../bench/bench-round.tsx';
import type { BenchSource } from '../bench/bench-source.ts';
import { useClassBench } from '../bench/class-bench.ts';
import { SetForYou } from '../bench/set-for-you.tsx';
import { useVisitorBench } from '../bench/visitor/visitor-bench.ts';
import { KindChoice } from './kind-choice.tsx';
import { VISITOR_EXERCISES } from './visitor-exercises.ts';

const ANOTHER: ChooseNext = (_done, choose) => <KindChoice title="Another ten" onChoose={choose} />;

function Begin({ source }: { readonly source: BenchSource }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-3xl px-4 py-10 wide:px-7">
      <h1 className="text-2xl font-bold">Practice</h1>
      <p className="mt-2 max-w-prose text-lg">
        Ten new exercises each time. They get harder as you get better. After a wrong answer you see which slip you
        made.
      </p>
      <KindChoice title="Ten exercises of" onChoose={(kinds) => void source.newRound(kinds)} />
    </main>
  );
}

function Rounds({ source, visitor }: { readonly source: BenchSource; readonly visitor: boolean }): ReactNode {
  return source.idle ? (
    <Begin source={source} />
  ) : (
    <BenchRoundView source={source} visitor={visitor} choice={ANOTHER} />
  );
}

function ClassPractice({ classId, signedIn }: { readonly classId: string; readonly signedIn: SignedIn }): ReactNode {
  const source = useClassBench(classId, signedIn.person.id, 'numbers');
  return (
    <>
      {signedIn.role === 'student' && (
        <SetForYou
          classId={classId}
          place="numbers"
          present={source.round?.title ?? null}
          onBegin={source.round === null && !source.idle ? null : source.beginSetRound}
        />
      )}
      <Rounds source={source} visitor={false} />
    </>
  );
}

function VisitorPractice(): ReactNode {
  return <Rounds source={useVisitorBench(VISITOR_EXERCISES)} visitor />;
}

/** Where exercises in numbers are practised: for visitors at once, for a class with everything kept. */
export default function Practice({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn | null;
  readonly classId: string | null;
}): ReactNode {
  return signedIn && classId ? (
    <ClassPractice key={signedIn.person.id + classId} classId={classId} signedIn={signedIn} />
  ) : (
    <VisitorPractice />
  );
}
