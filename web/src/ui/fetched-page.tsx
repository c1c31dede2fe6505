import { type ReactNode } from 'react';
import { useLocation } from 'react-router';
import { Loading } from './notice.tsx';
import { FetchedPart } from './fetched-part.tsx';

/** A page, or a large part of one, that is fetched when it is gone to. */
export function FetchedPage({ what, children }: { readonly what: string; readonly children: ReactNode }): ReactNode {
  return (
    <FetchedPart
      at={useLocation().pathname}
      fallback={
        <div className="flex-1 px-7">
          <Loading what={what} />
        </div>
      }
    >
      {children}
    </FetchedPart>
  );
}
