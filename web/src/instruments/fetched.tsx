import { type ReactNode } from 'react';
import { FetchedPart } from '../ui/fetched-part.tsx';

/** A stage that is fetched when it comes: its room is kept meanwhile. */
export function FetchedStage({ children }: { readonly children: ReactNode }): ReactNode {
  return <FetchedPart fallback={<div className="aspect-[7/5]" />}>{children}</FetchedPart>;
}

/** Controls or words that are fetched by those who use them. */
export function Fetched({ children }: { readonly children: ReactNode }): ReactNode {
  return <FetchedPart fallback={<span className="block min-h-11" />}>{children}</FetchedPart>;
}
