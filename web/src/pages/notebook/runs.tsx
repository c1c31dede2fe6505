import type { SignedIn } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { NewRunForm } from './new-run.tsx';
import { RunList } from './run-list.tsx';

/** A student’s notebook: the laboratories of their groups. */
export default function Runs({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn;
  readonly classId: string | null;
}): ReactNode {
  return (
    <main className="mx-auto w-full max-w-5xl px-4 py-8 wide:px-7">
      <h1 className="text-2xl font-bold">Notebook</h1>
      {classId !== null && (
        <>
          <RunList classId={classId} />
          <section className="mt-10 max-w-3xl border-t border-hairline pt-6">
            <h2 className="text-lg font-bold">Begin a laboratory</h2>
            <NewRunForm classId={classId} signedIn={signedIn} />
          </section>
        </>
      )}
    </main>
  );
}
