import type { ReactNode } from 'react';
import { NavLink } from 'react-router';

const PLACES = [
  ['/numbers', 'Desk'],
  ['/numbers/practice', 'Practice'],
] as const;

/** The two places of numbers: where they are worked out, and where working them out is practised. */
export function NumbersPlaces(): ReactNode {
  return (
    <nav aria-label="Numbers" className="flex gap-6 border-b border-hairline px-4 wide:px-7">
      {PLACES.map(([to, name]) => (
        <NavLink
          key={to}
          to={to}
          end
          className={({ isActive }) =>
            `-mb-px inline-flex min-h-11 items-center border-b-2 ${isActive ? 'border-beam font-semibold' : 'border-transparent text-muted hover:text-ink'}`
          }
        >
          {name}
        </NavLink>
      ))}
    </nav>
  );
}
