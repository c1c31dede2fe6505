import type { ReactNode } from 'react';
import { Shelf } from './shelf.tsx';

/** The shelf for who looks in without signing in. */
export default function VisitorShelf({
  begun,
  unknown,
}: {
  /** What has been taken so far, by its name in the address. */
  readonly begun: readonly string[];
  readonly unknown: string | null;
}): ReactNode {
  return (
    <Shelf
      mix="A mix of rulers and cylinders"
      unknown={unknown}
      standing={(name) => (begun.includes(name) ? 'begun' : null)}
    />
  );
}
