import type { LessonShown } from '@green-beam/contract';
import { QRCodeSVG } from 'qrcode.react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { Button } from '../../../ui/button.tsx';
import { Failed, Loading } from '../../../ui/notice.tsx';
import { useLesson } from './use-lesson.ts';

type Student = LessonShown['students'][number];

const WORDS = { in: 'in', away: 'away', 'not-yet': 'not yet' } as const;
const LOOKS = {
  in: 'border-beam bg-wash font-bold',
  away: 'border-hairline text-muted',
  'not-yet': 'border-hairline border-dashed',
} as const;

/** A name on the wall: pressed, it says that the student is away today. */
function Name({ student, onMark }: { readonly student: Student; readonly onMark: (away: boolean) => void }): ReactNode {
  const { label, presence } = student;
  return (
    <li>
      <button
        type="button"
        aria-pressed={presence === 'away'}
        aria-label={`${label}, ${WORDS[presence]}`}
        disabled={presence === 'in'}
        className={`flex min-h-11 w-full items-center justify-between gap-2 border-l-4 px-3 py-1 text-left text-lg ${LOOKS[presence]}`}
        onClick={() => onMark(presence !== 'away')}
      >
        <span className={presence === 'away' ? 'line-through decoration-1' : ''}>{label}</span>
        <span aria-hidden="true" className="text-small font-normal">
          {presence === 'in' ? '✓' : presence === 'away' ? 'away' : ''}
        </span>
      </button>
    </li>
  );
}

/** Names of the computer one sits at: nobody else reaches it by them. */
const LOOPBACK = /^(localhost|127\.[\d.]+|\[::1\])$/;

/** How to come in: the address, the code, and both as a picture for a camera. */
function Door({ code }: { readonly code: string | null }): ReactNode {
  if (code === null)
    return (
      <p className="text-xl">The class code is closed. Open it under “Students”, and nobody new comes in until then.</p>
    );
  const { origin, host, hostname } = window.location;
  return (
    <div className="flex flex-wrap items-center gap-x-10 gap-y-4">
      <QRCodeSVG
        value={`${origin}/join/${code}`}
        size={208}
        marginSize={2}
        level="M"
        title={`Camera: ${origin}/join/${code}`}
      />
      <div>
        <p className="text-xl">
          Open <span className="font-mono">{host}</span>, sign in, and type
        </p>
        <p className="font-mono text-7xl font-bold tracking-wide">{code}</p>
        {LOOPBACK.test(hostname) && (
          <p className="mt-2 max-w-md text-doubt">
            This address works on this computer only. Open the page by the address that your students use, and show that
            one.
          </p>
        )}
      </div>
    </div>
  );
}

interface AskingProps {
  readonly asking: LessonShown['asking'];
  readonly onAnswer: (personId: string, admit: boolean) => void;
}

/** Who is not on the list and asks to be let in. What they call themselves is on the wall only when the teacher wants to see it. */
function Asking({ asking, onAnswer }: AskingProps): ReactNode {
  return (
    <details className="mt-6 border-y border-hairline bg-wash px-4">
      <summary className="min-h-11 cursor-pointer py-3 text-lg font-bold">
        {asking.length === 1 ? 'One student asks' : `${asking.length} students ask`} to be let in
      </summary>
      <ul className="pb-2">
        {asking.map(({ id, name }) => (
          <li key={id} className="flex flex-wrap items-center gap-4 py-1 text-lg">
            <span>
              <strong>{name}</strong> is not on the list.
            </span>
            <Button onClick={() => onAnswer(id, true)} aria-label={`Let ${name} in`}>
              Let in
            </Button>
            <Button look="quiet" onClick={() => onAnswer(id, false)} aria-label={`Do not let ${name} in`}>
              No
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}

function counted({ students }: LessonShown): string {
  const here = students.filter(({ presence }) => presence === 'in').length;
  const away = students.filter(({ presence }) => presence === 'away').length;
  return `${here} of ${students.length - away} in${away > 0 ? `, ${away} away` : ''}`;
}

function Lesson({ classId }: { readonly classId: string }): ReactNode {
  const { lesson, error, mark, answer, refused } = useLesson(classId);
  if (error) return <Failed error={error} />;
  if (!lesson) return <Loading what="the class" />;
  return (
    <>
      <div className="flex flex-wrap items-baseline justify-between gap-x-8">
        <h1 className="text-3xl font-bold">{lesson.className}</h1>
        <p role="status" className="text-3xl font-bold text-beam">
          {counted(lesson)}
        </p>
      </div>
      <div className="mt-6">
        <Door code={lesson.code} />
      </div>
      {refused && (
        <p role="alert" className="mt-3 text-slip">
          {refused.message}
        </p>
      )}
      {lesson.asking.length > 0 && <Asking asking={lesson.asking} onAnswer={answer} />}
      <ul className="mt-6 grid grid-cols-[repeat(auto-fill,minmax(10rem,1fr))] gap-x-4 gap-y-2">
        {lesson.students.map((student) => (
          <Name key={student.id} student={student} onMark={(away) => mark(student.id, away)} />
        ))}
      </ul>
      <p className="mt-3 text-muted">Press a name to say that the student is away today.</p>
      <p className="mt-6 border-t border-hairline pt-4">
        <Link
          to="/class"
          className="inline-block py-2 font-semibold underline decoration-beam decoration-2 underline-offset-4"
        >
          Go to the overview
        </Link>
      </p>
    </>
  );
}

/** The wall at the beginning of a lesson: how to come in, and who has. */
export default function StartLesson({ classId }: { readonly classId: string | null }): ReactNode {
  return (
    <main className="mx-auto w-full max-w-7xl px-4 py-6 wide:px-10">
      {classId === null ? <p>You have no class yet. Make one under “Students”.</p> : <Lesson classId={classId} />}
    </main>
  );
}
