import { Suspense, type ReactNode } from 'react';
import { ErrorBoundary, type FallbackProps } from 'react-error-boundary';
import { Notice } from './notice.tsx';

/** As browsers say that a script did not come. */
const NOT_COME = /dynamically imported module|importing a module script/i;

function loadAgain(): void {
  window.location.reload();
}

/** In the place of what did not come, or broke: everything around it stays as it is. */
function Missing({ error }: FallbackProps): ReactNode {
  const hasNotCome = error instanceof Error && NOT_COME.test(error.message);
  return (
    <div role="alert" className="max-w-prose px-4 py-6 wide:px-7">
      <Notice tone="doubt" title={hasNotCome ? 'This has not been loaded yet' : 'Something went wrong on this page'}>
        <p>
          {hasNotCome
            ? 'The network does not answer just now. Go back to what you have used today, or load the page again when the network is back.'
            : 'Load the page again. If that does not help, tell your teacher what you did.'}{' '}
          What you have entered is kept.
        </p>
        <button type="button" className="mt-2 min-h-11 font-semibold underline underline-offset-4" onClick={loadAgain}>
          Load again
        </button>
      </Notice>
    </div>
  );
}

interface FetchedPartProps {
  /** What stands there until it comes; nothing when nothing is said. */
  readonly fallback?: ReactNode;
  /** Where one is: elsewhere it is tried again. */
  readonly at?: string;
  readonly children: ReactNode;
}

/** A part of a page that is fetched when it is used. Where it does not come it says so, and takes nothing else with it. */
export function FetchedPart({ fallback, at, children }: FetchedPartProps): ReactNode {
  return (
    <ErrorBoundary FallbackComponent={Missing} resetKeys={[at]}>
      <Suspense fallback={fallback}>{children}</Suspense>
    </ErrorBoundary>
  );
}
