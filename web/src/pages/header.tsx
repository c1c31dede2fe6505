import type { SignedIn } from '@green-beam/contract';
import { lazy, Suspense, useMemo, useState, type ReactNode } from 'react';
import { Link, NavLink, useNavigate } from 'react-router';
import { useSignOut } from '../api/session.ts';
import { useOutbox } from '../outbox/use-outbox.ts';
import { useHouseRules } from '../rules/house-rules.ts';
import { useShortcuts } from '../ui/shortcuts.ts';
import { chooseClass, useClasses } from './current-class.ts';

const RulesSheet = lazy(() => import('../rules/rules-sheet.tsx'));
const ShortcutsSheet = lazy(() => import('../ui/shortcuts-sheet.tsx'));

const PLACES = {
  visitor: [['/', 'Bench']],
  student: [['/', 'Bench'], ['/notebook', 'Notebook'], ['/record', 'My record']],
  teacher: [['/class', 'Class'], ['/', 'Bench'], ['/notebook', 'Laboratories']],
  administrator: [['/class', 'Class'], ['/', 'Bench'], ['/notebook', 'Laboratories'], ['/school', 'School']],
} as const;

function Mark(): ReactNode {
  return (
    <svg width="34" height="20" viewBox="0 0 34 20" aria-hidden="true">
      <path d="M0 10H20" stroke="#0a7f50" strokeWidth="3" />
      <circle cx="25" cy="10" r="6.8" fill="none" stroke="#13251f" strokeWidth="2.2" />
      <circle cx="25" cy="10" r="2.6" fill="#0a7f50" />
    </svg>
  );
}

function Saved(): ReactNode {
  const { waiting, stuck, returned } = useOutbox();
  if (returned.length > 0) return <span role="status" className="text-slip">{returned.length} not accepted</span>;
  if (!stuck || waiting.length === 0) return null;
  return <span role="status" className="text-doubt">Not saved: {waiting.length} kept here</span>;
}

function ClassName({ signedIn, classId }: { readonly signedIn: SignedIn; readonly classId: string | null }): ReactNode {
  const { classes = [] } = useClasses(signedIn);
  if (signedIn.class) return <span>{signedIn.class.name}</span>;
  if (classes.length === 0) return null;
  return (
    <select aria-label="Class" value={classId ?? ''} onChange={(event) => chooseClass(event.target.value)} className="min-h-11 bg-transparent">
      {classes.map((one) => (
        <option key={one.id} value={one.id}>
          {one.name}
          {one.archived ? ' (archived)' : ''}
        </option>
      ))}
    </select>
  );
}

function Person({ signedIn }: { readonly signedIn: SignedIn }): ReactNode {
  const signOut = useSignOut();
  const navigate = useNavigate();
  const leave = async (): Promise<void> => {
    await signOut();
    await navigate('/');
  };
  return (
    <>
      <span className="text-ink">{[signedIn.person, ...signedIn.partners].map((person) => person.name).join(', ')}</span>
      <button type="button" className="min-h-11 underline decoration-hairline underline-offset-4" onClick={() => void leave()}>
        Sign out
      </button>
    </>
  );
}

/** The line at the top: the places, the class with its rules, and who is here. */
export function Header({ signedIn, classId }: { readonly signedIn: SignedIn | null; readonly classId: string | null }): ReactNode {
  const [sheet, setSheet] = useState<'rules' | 'keys' | null>(null);
  const { rules } = useHouseRules(classId);
  useShortcuts(useMemo(() => ({ r: () => setSheet('rules'), '?': () => setSheet('keys') }), []));
  const close = (open: boolean): void => setSheet(open ? sheet : null);
  return (
    <header className="flex min-h-14 flex-wrap items-center gap-x-6 gap-y-0 border-b border-hairline px-4 print:hidden wide:px-7">
      <Link to="/" className="flex items-center gap-3 py-3 text-lg font-bold">
        <Mark />
        Green Beam
      </Link>
      <nav aria-label="Places" className="flex gap-6">
        {PLACES[signedIn?.role ?? 'visitor'].map(([to, name]) => (
          <NavLink key={to} to={to} end={to === '/'} className={({ isActive }) => `-mb-px border-b-[3px] py-4 ${isActive ? 'border-beam font-bold' : 'border-transparent text-muted hover:text-ink'}`}>
            {name}
          </NavLink>
        ))}
      </nav>
      <div className="ml-auto flex flex-wrap items-center gap-x-6 text-[0.95rem] text-muted">
        <Saved />
        {signedIn && <ClassName signedIn={signedIn} classId={classId} />}
        <button type="button" className="min-h-11" onClick={() => setSheet('rules')}>
          House rules <span className="text-ink underline decoration-hairline decoration-2 underline-offset-4">{rules?.name ?? ''}</span>
        </button>
        <button type="button" className="min-h-11 min-w-6 font-mono" aria-label="Keys" onClick={() => setSheet('keys')}>
          ?
        </button>
        {signedIn ? <Person signedIn={signedIn} /> : <Link to="/sign-in" className="py-3 font-semibold text-ink underline underline-offset-4">Sign in</Link>}
      </div>
      <Suspense>
        {sheet === 'rules' && <RulesSheet classId={classId} open onOpenChange={close} />}
        {sheet === 'keys' && <ShortcutsSheet open onOpenChange={close} />}
      </Suspense>
    </header>
  );
}
