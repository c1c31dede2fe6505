import type { ReactNode } from 'react';
import { Failed, Loading } from './notice.tsx';

/** A page that has not got yet what it shows: that it is on its way, or why it did not come. */
export function Waiting({ what, error }: { readonly what: string; readonly error: Error | null }): ReactNode {
  return <div className="px-7">{error ? <Failed error={error} /> : <Loading what={what} />}</div>;
}
