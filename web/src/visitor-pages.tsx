import { lazy, type ReactNode } from 'react';
import { Route, Routes } from 'react-router';

const SignIn = lazy(() => import('./pages/sign-in/sign-in.tsx'));
const ForTeachers = lazy(() => import('./pages/sign-in/for-teachers.tsx'));
const OneTimeLink = lazy(() => import('./pages/sign-in/one-time-link.tsx'));
const Desk = lazy(() => import('./pages/numbers/desk.tsx'));
const Practice = lazy(() => import('./pages/numbers/practice.tsx'));
const CheckTable = lazy(() => import('./pages/numbers/check-table/check-table.tsx'));
const TwoAxes = lazy(() => import('./pages/numbers/two-axes/two-axes.tsx'));
const CoverDoor = lazy(() => import('./pages/sign-in/cover-door.tsx'));

/** The pages beside the bench for who is not signed in. */
export default function VisitorPages({ demo }: { readonly demo: boolean }): ReactNode {
  return (
    <Routes>
      <Route path="/for-teachers" element={<ForTeachers demo={demo} />} />
      <Route path="/numbers" element={<Desk signedIn={null} classId={null} />} />
      <Route path="/numbers/practice" element={<Practice signedIn={null} classId={null} />} />
      <Route path="/numbers/two-axes" element={<TwoAxes />} />
      <Route path="/numbers/check-table" element={<CheckTable classId={null} isStudent={false} />} />
      <Route path="/cover/:token" element={<CoverDoor />} />
      <Route path="/link/:token" element={<OneTimeLink />} />
      <Route path="/join/:code" element={<SignIn demo={demo} />} />
      <Route path="*" element={<SignIn demo={demo} />} />
    </Routes>
  );
}
