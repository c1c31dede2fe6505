import type { ReactNode } from 'react';

/** One part of a page of settings. */
export function Section({ title, children }: { readonly title: string; readonly children: ReactNode }): ReactNode {
  return (
    <section className="mt-8 border-t border-hairline pt-4">
      <h2 className="text-lg font-bold">{title}</h2>
      {children}
    </section>
  );
}
