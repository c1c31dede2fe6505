import type { SignedIn } from '@green-beam/contract';
import { useMemo, useState, type ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { RefusedError } from '../../api/request.ts';
import { Waiting } from '../../ui/waiting.tsx';
import { Group } from './group.tsx';
import { JoinFirst } from './joining.tsx';
import { partsOf, PURPOSE, SECTIONS, type Parts } from './parts.ts';
import { RunBody } from './run-body.tsx';
import { StepList } from './step-list.tsx';
import { useRun } from './use-run.ts';

interface StepsProps {
  readonly parts: Parts;
  readonly current: string;
  readonly onPart: (id: string) => void;
}

/** The way through the laboratory, beside the page or, on a phone, above it. */
function Steps({ parts, current, onPart }: StepsProps): ReactNode {
  return (
    <div className="isolate px-4 pt-6 wide:border-r wide:border-hairline wide:px-7">
      <p className="text-small font-semibold text-muted">
        <Link to="/notebook" className="underline underline-offset-4">
          All laboratories
        </Link>
      </p>
      <StepList parts={parts} current={current} onChoose={onPart} />
    </div>
  );
}

function Sheet({
  classId,
  runId,
  signedIn,
}: {
  readonly classId: string;
  readonly runId: string;
  readonly signedIn: SignedIn;
}): ReactNode {
  const [chosen, setWriter] = useState(signedIn.person.id);
  const present = [signedIn.person, ...signedIn.partners];
  const writer = present.find((person) => person.id === chosen)?.id ?? signedIn.person.id;
  const [part, setPart] = useState<string | null>(null);
  const [chosenAuthor, setAuthor] = useState<string | null>(null);
  const run = useRun(classId, runId, signedIn, writer, chosenAuthor);
  const { page, worked, error, author } = run;
  const parts = useMemo(
    () => (worked && page ? partsOf(worked, author, page.arrangement) : []),
    [worked, page, author],
  );
  if (error instanceof RefusedError && error.field === 'join')
    return <JoinFirst classId={classId} runId={runId} signedIn={signedIn} message={error.message} />;
  if (error || !page || !worked) return <Waiting what="the laboratory" error={error} />;
  const current = part ?? parts.find(({ done }) => !done)?.id ?? PURPOSE;
  const goTo = (id: string): void => {
    setPart(id);
    const section = SECTIONS.includes(id) ? document.getElementById(id) : null;
    section?.scrollIntoView({ block: 'start' });
    section?.focus({ preventScroll: true });
  };
  return (
    <div className="flex flex-col wide:grid wide:min-h-[calc(100vh-3.5rem)] wide:grid-cols-[15rem_minmax(0,1fr)] wide:grid-rows-[auto_1fr]">
      <Steps parts={parts} current={current} onPart={goTo} />
      <Group page={page} run={run} signedIn={signedIn} classId={classId} writer={writer} onWriter={setWriter} />
      <RunBody
        page={page}
        worked={worked}
        book={run.book}
        author={author}
        as={signedIn.role === 'student' ? 'student' : 'teacher'}
        onAuthor={setAuthor}
        classId={classId}
        current={current}
        parts={parts}
        onPart={goTo}
        onWrite={run.write}
      />
    </div>
  );
}

/** One laboratory as the group’s shared page; teachers read it. */
export default function RunPage({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn;
  readonly classId: string | null;
}): ReactNode {
  const { runId = '' } = useParams();
  return classId === null ? (
    <Waiting what="the class" error={null} />
  ) : (
    <Sheet key={runId} classId={classId} runId={runId} signedIn={signedIn} />
  );
}
