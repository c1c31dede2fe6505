import type { SignedIn } from '@green-beam/contract';
import { useState, type ReactNode } from 'react';
import { Link } from 'react-router';
import { inTheWay } from '../../api/in-the-way.ts';
import { Failed, Loading } from '../../ui/notice.tsx';
import { AfterStop } from './after-stop.tsx';
import { Reader } from './reader.tsx';
import { useTogetherNow } from './use-together.ts';

interface TakingPartProps {
  readonly signedIn: SignedIn;
  readonly classId: string;
}

function Now({ signedIn, classId }: TakingPartProps): ReactNode {
  const { data: now, error } = useTogetherNow(classId);
  const [at, setAt] = useState({ roundId: '', reader: 0 });
  const failed = inTheWay(error, now);
  if (failed) return <Failed error={failed} />;
  if (now === undefined) return <Loading what="what your class reads" />;
  if (now === null)
    return (
      <div className="py-6">
        <h1 className="text-2xl font-bold">Nothing is read just now</h1>
        <p className="mt-2">When your teacher starts a reading, it appears here by itself.</p>
        <Link to="/" className="mt-2 inline-flex min-h-11 items-center font-semibold underline underline-offset-4">
          Go to the bench
        </Link>
      </div>
    );
  const { round, readers, cautions } = now;
  if (round.state !== 'reading') return <AfterStop now={now} />;
  const place = at.roundId === round.id ? at.reader : 0;
  const reader = readers[place];
  if (!reader) return null;
  const next = readers[place + 1];
  return (
    <Reader
      key={`${round.id} ${reader.personId}`}
      classId={classId}
      signedInId={signedIn.person.id}
      round={round}
      cautions={cautions}
      reader={reader}
      next={next?.name ?? null}
      onNext={() => setAt({ roundId: round.id, reader: place + 1 })}
    />
  );
}

/** What the class reads together, for a student: the own reading, and after Stop the room’s. */
export default function TakingPart({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn;
  readonly classId: string | null;
}): ReactNode {
  return (
    <main className="mx-auto w-full max-w-7xl px-0">
      {classId !== null && <Now signedIn={signedIn} classId={classId} />}
    </main>
  );
}
