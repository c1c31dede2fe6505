import type { ReactNode } from 'react';

/** The last row of a working: what is written of it. */
export function WrittenResult({ children }: { readonly children: ReactNode }): ReactNode {
  return (
    <p className="flex items-baseline justify-between border-y border-hairline py-3">
      <span className="text-muted">Written, rounded once</span>
      <span className="text-reading">{children}</span>
    </p>
  );
}
