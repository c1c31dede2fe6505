import type { SignedIn } from '@green-beam/contract';
import { lazy, useEffect, useMemo, useState, type ReactNode } from 'react';
import { Link, NavLink, useLocation, useNavigate } from 'react-router';
import { useSignOut } from '../api/session.ts';
import { opensOffline } from '../offline/opens-offline.ts';
import { useOutbox } from '../outbox/use-outbox.ts';
import { useRulesHere } from '../rules/house-rules.ts';
import { useShortcuts } from '../ui/shortcuts.ts';
import { chooseClass, useClasses } from './current-class.ts';
import { isUnder, PLACES, type Place } from './places.ts';
import { FetchedPart } from '../ui/fetched-part.tsx';

const RulesSheet = lazy(() => import('../rules/rules-sheet.tsx'));
const ReturnedSheet = lazy(() => import('../outbox/returned-sheet.tsx'));
/** Fetched while the server can still be reached: it is opened when that is over. */
const unsentSheet = (): Promise<typeof import('../outbox/unsent-sheet.tsx')> => import('../outbox/unsent-sheet.tsx');
const UnsentSheet = lazy(unsentSheet);
const ShortcutsSheet = lazy(() => import('../ui/shortcuts-sheet.tsx'));

function Mark(): ReactNode {
  return (
    <svg width="34" height="20" viewBox="0 0 34 20" aria-hidden="true">
      <path d="M0 10H20" stroke="var(--color-beam)" strokeWidth="3" />
      <circle cx="25" cy="10" r="6.8" fill="none" stroke="var(--color-ink)" strokeWidth="2.2" />
      <circle cx="25" cy="10" r="2.6" fill="var(--color-beam)" />
    </svg>
  );
}

function Saved({ signedIn }: { readonly signedIn: SignedIn }): ReactNode {
  const { waiting, stuck, returned } = useOutbox();
  const [open, setOpen] = useState(false);
  const [showsUnsent, setShowsUnsent] = useState(false);
  useEffect(() => void unsentSheet().catch(() => undefined), []);
  if (returned.length > 0 || open) {
    return (
      <>
        <button type="button" className="min-h-11 text-slip underline underline-offset-4" onClick={() => setOpen(true)}>
          {returned.length} not accepted
        </button>
        <FetchedPart>{open && <ReturnedSheet returned={returned} onOpenChange={setOpen} />}</FetchedPart>
      </>
    );
  }
  const isStuck = stuck && waiting.length > 0;
  return (
    <span role="status" className="text-doubt">
      {isStuck && (
        <button
          type="button"
          className="min-h-11 underline decoration-doubt underline-offset-4"
          onClick={() => setShowsUnsent(true)}
        >
          Not saved: {waiting.length} waiting
        </button>
      )}
      {isStuck && !opensOffline() && <strong className="ml-2">Keep this tab open</strong>}
      <FetchedPart>
        {showsUnsent && <UnsentSheet signedIn={signedIn} waiting={waiting} onOpenChange={setShowsUnsent} />}
      </FetchedPart>
    </span>
  );
}

function ClassName({ signedIn, classId }: { readonly signedIn: SignedIn; readonly classId: string | null }): ReactNode {
  const { classes = [] } = useClasses(signedIn);
  // On a phone a student’s own class gives way to what can be done.
  if (signedIn.class) return <span className="max-sm:sr-only">{signedIn.class.name}</span>;
  if (classes.length === 0) return null;
  return (
    <select
      aria-label="Class"
      value={classId ?? ''}
      onChange={(event) => chooseClass(event.target.value)}
      className="min-h-11 bg-transparent"
    >
      {classes.map((one) => (
        <option key={one.id} value={one.id}>
          {one.name}
          {one.archived ? ' (archived)' : ''}
        </option>
      ))}
    </select>
  );
}

const besideTheLine = ({ isActive }: { readonly isActive: boolean }): string =>
  `py-3 underline decoration-2 underline-offset-4 ${isActive ? 'font-bold text-ink decoration-beam' : 'text-ink decoration-hairline'}`;

function Person({ signedIn }: { readonly signedIn: SignedIn }): ReactNode {
  const signOut = useSignOut();
  const navigate = useNavigate();
  const leave = async (): Promise<void> => {
    await signOut();
    await navigate('/');
  };
  return (
    <>
      <NavLink to="/account" className={besideTheLine}>
        {[signedIn.person, ...signedIn.partners].map((person) => person.name).join(', ')}
      </NavLink>
      <button
        type="button"
        className="min-h-11 underline decoration-hairline underline-offset-4"
        onClick={() => void leave()}
      >
        Sign out
      </button>
    </>
  );
}

/** The pages of the place one is in, in a line of their own. */
function PagesOf({ place }: { readonly place: Place }): ReactNode {
  return (
    <nav
      aria-label={place.name}
      className="flex flex-wrap gap-x-6 border-t border-hairline px-4 text-[0.95rem] wide:px-7"
    >
      {place.pages.map(({ to, name }) => (
        <NavLink
          key={to}
          to={to}
          // A page marks what lies under it, too, where no other page of the place does.
          end={to === '/' || place.pages.some((other) => other.to.startsWith(`${to}/`))}
          className={({ isActive }) =>
            `-mb-px border-b-2 py-2 ${isActive ? 'border-beam font-bold' : 'border-transparent text-muted hover:text-ink'}`
          }
        >
          {name}
        </NavLink>
      ))}
    </nav>
  );
}

interface HeaderProps {
  /** False until the server has said who is here. */
  readonly known: boolean;
  readonly signedIn: SignedIn | null;
  readonly classId: string | null;
}

/** The line at the top: the places, the class with its rules, and who is here. */
export function Header({ known, signedIn, classId }: HeaderProps): ReactNode {
  const [sheet, setSheet] = useState<'rules' | 'keys' | null>(null);
  const { rules } = useRulesHere(classId);
  useShortcuts(useMemo(() => ({ r: () => setSheet('rules'), '?': () => setSheet('keys') }), []));
  const close = (open: boolean): void => setSheet(open ? sheet : null);
  const { pathname } = useLocation();
  const places = PLACES[signedIn?.role ?? 'visitor'];
  const here = places.find((place) => isUnder(place, pathname));
  return (
    <header className="typing:hidden relative border-b border-hairline print:hidden">
      <div className="flex min-h-14 flex-wrap items-center gap-x-6 gap-y-0 px-4 wide:px-7">
        <Link to="/" className="flex items-center gap-3 py-3 text-lg font-bold">
          <Mark />
          <span className="max-sm:sr-only">Green Beam</span>
        </Link>
        <nav aria-label="Places" className="flex flex-wrap gap-x-5 max-sm:gap-x-4">
          {places.map((place) => (
            <Link
              key={place.name}
              to={place.pages[0].to}
              aria-current={place === here ? 'page' : undefined}
              className={`-mb-px border-b-[3px] py-4 ${place === here ? 'border-beam font-bold' : 'border-transparent text-muted hover:text-ink'}`}
            >
              {place.name}
            </Link>
          ))}
        </nav>
        <div className="ml-auto flex flex-wrap items-center gap-x-5 text-[0.95rem] text-muted max-sm:ml-0 max-sm:gap-x-4">
          {signedIn && <Saved signedIn={signedIn} />}
          {signedIn && <ClassName signedIn={signedIn} classId={classId} />}
          {signedIn?.role === 'administrator' && (
            <NavLink to="/school" className={besideTheLine}>
              School
            </NavLink>
          )}
          {signedIn && signedIn.role !== 'student' ? (
            <NavLink to="/rules" className={besideTheLine}>
              Class rules
            </NavLink>
          ) : (
            <button type="button" className="min-h-11" onClick={() => setSheet('rules')}>
              <span className="max-sm:sr-only">Class rules </span>
              <span className="text-ink underline decoration-hairline decoration-2 underline-offset-4">
                {rules?.name ?? ''}
              </span>
            </button>
          )}
          <button
            type="button"
            className="min-h-11 min-w-6 font-mono"
            aria-label="Keys"
            onClick={() => setSheet('keys')}
          >
            ?
          </button>
          {signedIn ? (
            <Person signedIn={signedIn} />
          ) : (
            known && (
              <Link to="/sign-in" className="py-3 font-semibold text-ink underline underline-offset-4">
                Sign in
              </Link>
            )
          )}
        </div>
        <FetchedPart>
          {sheet === 'rules' && <RulesSheet classId={classId} open onOpenChange={close} />}
          {sheet === 'keys' && <ShortcutsSheet open onOpenChange={close} />}
        </FetchedPart>
      </div>
      {here && here.pages.length > 1 && <PagesOf place={here} />}
    </header>
  );
}
