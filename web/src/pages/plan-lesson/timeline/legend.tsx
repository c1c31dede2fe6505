import type { ReactNode } from 'react';

const SWATCH = 'inline-block h-3.5 w-5';

/** What the bars of the timeline mean. */
export function Legend({ hasReal }: { readonly hasReal: boolean }): ReactNode {
  return (
    <p className="mt-1 flex flex-wrap gap-x-7 gap-y-1 text-small text-muted">
      <span>
        <span aria-hidden className={`${SWATCH} bg-beam`} /> at a shared tool
      </span>
      <span>
        <span aria-hidden className={`${SWATCH} bg-hairline`} /> hands busy
      </span>
      <span>
        <span aria-hidden className={`${SWATCH} border-[1.6px] border-doubt`} /> goes on by itself, watched
      </span>
      {hasReal && (
        <span>
          <span aria-hidden className="mb-1 inline-block h-0.5 w-5 bg-ink" /> when it was written, on the day
        </span>
      )}
      <span>Drag a step along its line to move it.</span>
    </p>
  );
}
