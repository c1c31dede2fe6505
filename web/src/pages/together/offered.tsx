import type { ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { buttonClass } from '../../ui/button.tsx';
import { useTogetherNow } from './use-together.ts';

/** Offers what the class reads together on whatever page somebody is; what they were at stays as it is. */
export default function ReadTogetherOffered({ classId }: { readonly classId: string }): ReactNode {
  const numerals = useNumerals();
  const { data: now } = useTogetherNow(classId);
  const isThere = useLocation().pathname === '/read-together';
  if (!now || isThere || now.round.state !== 'reading') return null;
  return (
    <section
      aria-label="Read together"
      className="sticky top-0 z-30 flex flex-wrap items-center gap-x-5 gap-y-2 border-b-2 border-beam bg-wash px-4 py-3 wide:px-7 print:hidden"
    >
      <p className="text-lg font-bold" role="status">
        Your class reads together: {numerals(now.round.question)}
      </p>
      <Link to="/read-together" className={buttonClass('main')}>
        Read it now
      </Link>
      <span className="text-small text-muted">What you were doing stays as it is.</span>
    </section>
  );
}
