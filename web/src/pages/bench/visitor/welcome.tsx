import type { ReactNode } from 'react';
import { Link } from 'react-router';

/** The line for who comes here for the first time: what this is, and what to do. */
export function Welcome(): ReactNode {
  return (
    <p className="typing:hidden flex min-h-11 flex-wrap items-center justify-between gap-x-8 border-b border-hairline bg-wash px-4 py-1 text-small wide:px-7">
      <span>
        <strong>Learn to read measuring tools.</strong> Level your eye, type what you read, and press Check.
      </span>
      <Link to="/for-teachers" className="py-2 font-semibold underline underline-offset-4">
        For teachers
      </Link>
    </p>
  );
}
