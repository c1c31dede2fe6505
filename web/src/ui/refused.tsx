import type { ReactNode } from 'react';
import { RefusedError } from '../api/request.ts';

/** What the server said of one field of a form; nothing where it blamed another, or none. */
export function refusedIn(error: Error | null, field: string): string | undefined {
  return error instanceof RefusedError && error.field === field ? error.message : undefined;
}

/** Why a form was not taken, where no field is to blame. */
export function Refused({ error }: { readonly error: Error | null }): ReactNode {
  if (!error || (error instanceof RefusedError && error.field)) return null;
  return (
    <p role="alert" className="text-slip">
      {error.message}
    </p>
  );
}
