import { Suspense, type ReactNode } from 'react';
import { Loading } from './notice.tsx';

/** A page, or a large part of one, that is fetched when it is gone to. */
export function FetchedPage({ what, children }: { readonly what: string; readonly children: ReactNode }): ReactNode {
  return (
    <Suspense
      fallback={
        <div className="flex-1 px-7">
          <Loading what={what} />
        </div>
      }
    >
      {children}
    </Suspense>
  );
}
