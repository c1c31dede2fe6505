import { lazy, useEffect, type ReactNode } from 'react';
import { Route, Routes, useLocation } from 'react-router';
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
import { FetchedPart } from './ui/fetched-part.tsx';

const VisitorPages = lazy(() => import('./visitor-pages.tsx'));
const SignedInRoutes = lazy(() => import('./signed-in-routes.tsx'));
const AskedToJoin = lazy(() => import('./pages/notebook/joining.tsx'));
const ReadTogetherOffered = lazy(() => import('./pages/together/offered.tsx'));

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

function VisitorRoutes({ demo }: { readonly demo: boolean }): ReactNode {
  return (
    <Routes>
      {benchRoutes(null, null)}
      <Route path="*" element={<VisitorPages demo={demo} />} />
    </Routes>
  );
}

/** What is shown at the front of the room stands alone. */
const FOR_THE_WALL = /^\/(demonstrate|class\/start|(read-together|class-results|plan-lesson)\/[^/]+\/wall)$/;

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
  const fullWindow = FOR_THE_WALL.test(useLocation().pathname) && signedIn !== null && signedIn.role !== 'student';
  return (
    <DecimalMark value={rules?.rules.decimalMark ?? 'point'}>
      {!fullWindow && <Header known={state !== undefined} signedIn={signedIn} classId={classId} />}
      {signedIn?.role === 'student' && classId !== null && (
        <FetchedPart>
          <ReadTogetherOffered classId={classId} />
          <AskedToJoin classId={classId} signedIn={signedIn} />
        </FetchedPart>
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
          {signedIn ? (
            <SignedInRoutes signedIn={signedIn} classId={classId} benchRoutes={benchRoutes(signedIn, classId)} />
          ) : (
            <VisitorRoutes demo={state.demo} />
          )}
        </FetchedPage>
      )}
    </DecimalMark>
  );
}
