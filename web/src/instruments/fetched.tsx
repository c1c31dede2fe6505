import { Suspense, type ReactNode } from 'react';

/** A stage that is fetched when it comes: its room is kept meanwhile. */
export function FetchedStage({ children }: { readonly children: ReactNode }): ReactNode {
  return <Suspense fallback={<div className="aspect-[7/5]" />}>{children}</Suspense>;
}

/** Controls or words that are fetched by those who use them. */
export function Fetched({ children }: { readonly children: ReactNode }): ReactNode {
  return <Suspense fallback={<span className="block min-h-11" />}>{children}</Suspense>;
}
