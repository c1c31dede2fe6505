import { lazy, Suspense, useEffect, type ReactNode } from 'react';
import { Navigate, Route, Routes, useLocation } from 'react-router';
import type { SignedIn } from '@green-beam/contract';
import { useSession } from './api/session.ts';
import { useClassStream } from './live/class-stream.ts';
import { DecimalMark } from './numbers/decimal-mark.ts';
import { outbox } from './outbox/outbox.ts';
import { Bench } from './pages/bench/bench.tsx';
import { useCurrentClass } from './pages/current-class.ts';
import { Header } from './pages/header.tsx';
import { useRulesHere } from './rules/house-rules.ts';
import { FetchedPage } from './ui/fetched-page.tsx';
import { Failed, Loading } from './ui/notice.tsx';

const SignIn = lazy(() => import('./pages/sign-in/sign-in.tsx'));
const ForTeachers = lazy(() => import('./pages/sign-in/for-teachers.tsx'));
const OneTimeLink = lazy(() => import('./pages/sign-in/one-time-link.tsx'));
const Runs = lazy(() => import('./pages/notebook/runs.tsx'));
const AskedToJoin = lazy(() => import('./pages/notebook/joining.tsx'));
const RunPage = lazy(() => import('./pages/notebook/run-page.tsx'));
const Desk = lazy(() => import('./pages/numbers/desk.tsx'));
const Practice = lazy(() => import('./pages/numbers/practice.tsx'));
const Record = lazy(() => import('./pages/record/record.tsx'));
const Overview = lazy(() => import('./pages/class/overview/overview.tsx'));
const People = lazy(() => import('./pages/class/people.tsx'));
const StartLesson = lazy(() => import('./pages/class/start/start-lesson.tsx'));
const CoverDoor = lazy(() => import('./pages/sign-in/cover-door.tsx'));
const StudentPage = lazy(() => import('./pages/class/student.tsx'));
const Cabinet = lazy(() => import('./pages/cabinet/cabinet.tsx'));
const Tool = lazy(() => import('./pages/cabinet/tool.tsx'));
const Rounds = lazy(() => import('./pages/rounds/rounds.tsx'));
const PrintRound = lazy(() => import('./pages/print/print-round.tsx'));
const Sheet = lazy(() => import('./pages/sheets/sheet.tsx'));
const Rules = lazy(() => import('./pages/rules/rules.tsx'));
const Demonstrate = lazy(() => import('./pages/demonstrate/demonstrate.tsx'));
const OwnAccount = lazy(() => import('./pages/sign-in/account.tsx'));
const School = lazy(() => import('./pages/school/school.tsx'));

function Nowhere(): ReactNode {
  return (
    <main className="mx-auto max-w-xl px-7 py-16">
      <h1 className="text-2xl font-bold">There is nothing here</h1>
      <p className="mt-2">
        The address may be wrong, or the page belongs to another class. Go on with the places above.
      </p>
    </main>
  );
}

/** The bench stays as it is while one looks at the shelf, and says itself what stands at each address. */
function benchRoutes(signedIn: SignedIn | null, classId: string | null): ReactNode {
  return (
    <Route element={<Bench signedIn={signedIn} classId={classId} />}>
      <Route path="/" element={null} />
      <Route path="/bench/:name" element={null} />
      <Route path="/shelf" element={null} />
    </Route>
  );
}

function SignedInRoutes({
  signedIn,
  classId,
}: {
  readonly signedIn: SignedIn;
  readonly classId: string | null;
}): ReactNode {
  const student = signedIn.role === 'student';
  return (
    <Routes>
      {benchRoutes(signedIn, classId)}
      <Route path="/numbers" element={<Desk key={signedIn.person.id} signedIn={signedIn} classId={classId} />} />
      <Route path="/numbers/practice" element={<Practice signedIn={signedIn} classId={classId} />} />
      <Route path="/notebook" element={<Runs signedIn={signedIn} classId={classId} />} />
      <Route path="/notebook/:runId" element={<RunPage signedIn={signedIn} classId={classId} />} />
      <Route path="/account" element={<OwnAccount signedIn={signedIn} />} />
      <Route path="/sheets/:code" element={<Sheet classId={classId} signedIn={signedIn} />} />
      {['/sign-in', '/join/:code', '/for-teachers', '/cover/:token'].map((door) => (
        <Route key={door} path={door} element={<Navigate to={student ? '/' : '/class'} replace />} />
      ))}
      {student && <Route path="/record" element={<Record classId={classId} />} />}
      {!student && (
        <>
          <Route path="/class" element={<Overview key={classId} classId={classId} />} />
          <Route path="/demonstrate" element={<Demonstrate classId={classId} />} />
          <Route path="/rounds" element={<Rounds key={classId} classId={classId} />} />
          <Route path="/rounds/:setRoundId/print" element={<PrintRound classId={classId} />} />
          <Route path="/cabinet" element={<Cabinet key={classId} classId={classId} />} />
          <Route path="/cabinet/:toolId" element={<Tool key={classId} classId={classId} />} />
          <Route path="/rules" element={<Rules key={classId} classId={classId} />} />
          <Route path="/class/people" element={<People key={classId} classId={classId} signedIn={signedIn} />} />
          <Route path="/class/start" element={<StartLesson key={classId} classId={classId} />} />
          <Route path="/class/student/:studentId" element={<StudentPage classId={classId} />} />
          <Route path="/link/:token" element={<OneTimeLink />} />
        </>
      )}
      {signedIn.role === 'administrator' && <Route path="/school" element={<School ownId={signedIn.person.id} />} />}
      <Route path="*" element={<Nowhere />} />
    </Routes>
  );
}

function VisitorRoutes({ demo }: { readonly demo: boolean }): ReactNode {
  return (
    <Routes>
      {benchRoutes(null, null)}
      <Route path="/for-teachers" element={<ForTeachers demo={demo} />} />
      <Route path="/numbers" element={<Desk signedIn={null} classId={null} />} />
      <Route path="/numbers/practice" element={<Practice signedIn={null} classId={null} />} />
      <Route path="/sign-in" element={<SignIn demo={demo} />} />
      <Route path="/join/:code" element={<SignIn demo={demo} />} />
      <Route path="/cover/:token" element={<CoverDoor />} />
      <Route path="/link/:token" element={<OneTimeLink />} />
      <Route path="*" element={<SignIn demo={demo} />} />
    </Routes>
  );
}

/** What is shown at the front of the room stands alone. */
const FOR_THE_WALL: ReadonlySet<string> = new Set(['/demonstrate', '/class/start']);

/** The whole interface: who is here decides which places there are. */
export function App(): ReactNode {
  const { state, signedIn, failed } = useSession();
  const { classId: known, error } = useCurrentClass(signedIn);
  const classId = known ?? null;
  const { rules } = useRulesHere(classId);
  const personId = signedIn?.person.id ?? null;
  useEffect(() => outbox.open(personId), [personId]);
  useClassStream(classId);
  // The wall shows the tool and nothing else.
  const fullWindow = FOR_THE_WALL.has(useLocation().pathname) && signedIn !== null && signedIn.role !== 'student';
  return (
    <DecimalMark value={rules?.rules.decimalMark ?? 'point'}>
      {!fullWindow && <Header known={state !== undefined} signedIn={signedIn} classId={classId} />}
      {signedIn?.role === 'student' && classId !== null && (
        <Suspense>
          <AskedToJoin classId={classId} signedIn={signedIn} />
        </Suspense>
      )}
      {(!state || known === undefined) && !failed && (
        <div className="px-7">{error ? <Failed error={error} /> : <Loading what="your class" />}</div>
      )}
      {failed && (
        <div className="px-7">
          <Failed
            error={
              new Error(
                'The server cannot be reached just now. Your work is saved in this browser. This page tries again by itself.',
              )
            }
          />
        </div>
      )}
      {state && known !== undefined && (
        <FetchedPage what="the page">
          {signedIn ? <SignedInRoutes signedIn={signedIn} classId={classId} /> : <VisitorRoutes demo={state.demo} />}
        </FetchedPage>
      )}
    </DecimalMark>
  );
}
