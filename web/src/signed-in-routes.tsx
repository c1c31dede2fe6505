import { useQueryClient } from '@tanstack/react-query';
import { lazy, useEffect, type ReactNode } from 'react';
import { Route, Routes } from 'react-router';
import type { SignedIn } from '@green-beam/contract';
import { keepAnswers } from './offline/kept-answers.ts';
import { LeaveDoor } from './pages/leave-door.tsx';

const OneTimeLink = lazy(() => import('./pages/sign-in/one-time-link.tsx'));
const Desk = lazy(() => import('./pages/numbers/desk.tsx'));
const Practice = lazy(() => import('./pages/numbers/practice.tsx'));
const CheckTable = lazy(() => import('./pages/numbers/check-table/check-table.tsx'));
const TwoAxes = lazy(() => import('./pages/numbers/two-axes/two-axes.tsx'));
const Runs = lazy(() => import('./pages/notebook/runs.tsx'));
const ClassWork = lazy(() => import('./pages/class-work/class-work.tsx'));
const OpenLaboratory = lazy(() => import('./pages/class-work/open/open-laboratory.tsx'));
const BlankSheet = lazy(() => import('./pages/class-work/blank-sheet.tsx'));
const ClassResultsWall = lazy(() => import('./pages/class-results/wall.tsx'));
const ClassResultsPage = lazy(() => import('./pages/class-results/class-results.tsx'));
const LabSheets = lazy(() => import('./pages/lab-sheets/lab-sheets.tsx'));
const LabSheet = lazy(() => import('./pages/lab-sheets/lab-sheet.tsx'));
const TryIt = lazy(() => import('./pages/lab-sheets/try-it.tsx'));
const ReportPage = lazy(() => import('./pages/notebook/report/report-page.tsx'));
const Plans = lazy(() => import('./pages/plan-lesson/plans.tsx'));
const PlanLesson = lazy(() => import('./pages/plan-lesson/plan-lesson.tsx'));
const PrintPlan = lazy(() => import('./pages/plan-lesson/print-plan.tsx'));
const PlanWall = lazy(() => import('./pages/plan-lesson/wall.tsx'));
const MarkingPage = lazy(() => import('./pages/marking/marking.tsx'));
const MarkReport = lazy(() => import('./pages/marking/mark-report.tsx'));
const RunPage = lazy(() => import('./pages/notebook/run-page.tsx'));
const Record = lazy(() => import('./pages/record/record.tsx'));
const Overview = lazy(() => import('./pages/class/overview/overview.tsx'));
const People = lazy(() => import('./pages/class/people.tsx'));
const Together = lazy(() => import('./pages/together/together.tsx'));
const TogetherNames = lazy(() => import('./pages/together/names.tsx'));
const TogetherWall = lazy(() => import('./pages/together/wall.tsx'));
const TakingPart = lazy(() => import('./pages/together/taking-part.tsx'));
const StartLesson = lazy(() => import('./pages/class/start/start-lesson.tsx'));
const Parents = lazy(() => import('./pages/class/parents/parents.tsx'));
const StudentPage = lazy(() => import('./pages/class/student.tsx'));
const Cabinet = lazy(() => import('./pages/cabinet/cabinet.tsx'));
const WhichTool = lazy(() => import('./pages/which-tool/which-tool.tsx'));
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

interface SignedInRoutesProps {
  readonly signedIn: SignedIn;
  readonly classId: string | null;
  /** Those of the bench, which visitors have too. */
  readonly benchRoutes: ReactNode;
}

/** The pages of whoever is signed in: no visitor needs them. */
export default function SignedInRoutes({ signedIn, classId, benchRoutes }: SignedInRoutesProps): ReactNode {
  const queries = useQueryClient();
  useEffect(() => keepAnswers(queries), [queries]);
  const student = signedIn.role === 'student';
  return (
    <Routes>
      {benchRoutes}
      <Route path="/numbers" element={<Desk key={signedIn.person.id} signedIn={signedIn} classId={classId} />} />
      <Route path="/numbers/practice" element={<Practice signedIn={signedIn} classId={classId} />} />
      <Route path="/numbers/two-axes" element={<TwoAxes />} />
      <Route
        path="/numbers/check-table"
        element={<CheckTable classId={classId} isStudent={signedIn.role === 'student'} />}
      />
      <Route
        path="/notebook"
        element={
          student ? (
            <Runs signedIn={signedIn} classId={classId} />
          ) : (
            <ClassWork key={classId} signedIn={signedIn} classId={classId} />
          )
        }
      />
      <Route path="/notebook/:runId/report" element={<ReportPage signedIn={signedIn} classId={classId} />} />
      <Route path="/notebook/:runId" element={<RunPage signedIn={signedIn} classId={classId} />} />
      <Route path="/class-results/:runId" element={<ClassResultsPage signedIn={signedIn} classId={classId} />} />
      <Route path="/account" element={<OwnAccount signedIn={signedIn} />} />
      <Route path="/sheets/:code" element={<Sheet classId={classId} signedIn={signedIn} />} />
      {['/sign-in', '/join/:code', '/for-teachers', '/cover/:token'].map((door) => (
        <Route key={door} path={door} element={<LeaveDoor to={student ? '/' : '/class'} />} />
      ))}
      {student && <Route path="/record" element={<Record classId={classId} />} />}
      {student && <Route path="/read-together" element={<TakingPart signedIn={signedIn} classId={classId} />} />}
      {!student && (
        <>
          <Route path="/notebook/open" element={<OpenLaboratory key={classId} classId={classId} />} />
          <Route path="/notebook/blank/:protocolId" element={<BlankSheet key={classId} classId={classId} />} />
          <Route
            path="/class-results"
            element={<ClassResultsPage key={classId} signedIn={signedIn} classId={classId} />}
          />
          <Route path="/lab-sheets" element={<LabSheets />} />
          <Route path="/lab-sheets/:sheetId" element={<LabSheet />} />
          <Route path="/lab-sheets/:sheetId/try" element={<TryIt classId={classId} />} />
          <Route path="/plan-lesson" element={<Plans key={classId} classId={classId} />} />
          <Route path="/plan-lesson/:planId" element={<PlanLesson key={classId} classId={classId} />} />
          <Route path="/plan-lesson/:planId/print" element={<PrintPlan classId={classId} />} />
          <Route path="/plan-lesson/:planId/wall" element={<PlanWall classId={classId} />} />
          <Route path="/marking" element={<MarkingPage key={classId} classId={classId} />} />
          <Route path="/marking/:runId/:author" element={<MarkReport classId={classId} />} />
          <Route path="/class" element={<Overview key={classId} classId={classId} />} />
          <Route path="/demonstrate" element={<Demonstrate classId={classId} />} />
          <Route path="/rounds" element={<Rounds key={classId} classId={classId} />} />
          <Route path="/rounds/:setRoundId/print" element={<PrintRound classId={classId} />} />
          <Route path="/cabinet" element={<Cabinet key={classId} classId={classId} />} />
          <Route path="/cabinet/which-tool" element={<WhichTool key={classId} classId={classId} />} />
          <Route path="/cabinet/:toolId" element={<Tool key={classId} classId={classId} />} />
          <Route path="/rules" element={<Rules key={classId} classId={classId} />} />
          <Route path="/class/people" element={<People key={classId} classId={classId} signedIn={signedIn} />} />
          <Route path="/class/parents" element={<Parents key={classId} classId={classId} />} />
          <Route path="/class/start" element={<StartLesson key={classId} classId={classId} />} />
          <Route path="/read-together" element={<Together key={classId} classId={classId} />} />
          <Route path="/read-together/:roundId" element={<TogetherNames key={classId} classId={classId} />} />
          <Route path="/class-results/:runId/wall" element={<ClassResultsWall classId={classId} />} />
          <Route path="/read-together/:roundId/wall" element={<TogetherWall classId={classId} />} />
          <Route path="/class/student/:studentId" element={<StudentPage classId={classId} />} />
          <Route path="/link/:token" element={<OneTimeLink />} />
        </>
      )}
      {signedIn.role === 'administrator' && <Route path="/school" element={<School ownId={signedIn.person.id} />} />}
      <Route path="*" element={<Nowhere />} />
    </Routes>
  );
}
