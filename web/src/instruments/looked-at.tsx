import type { ReactNode } from 'react';

interface LookedAtProps {
  /** What can be looked at, in words. */
  readonly views: readonly string[];
  readonly shown: number;
  readonly onChange: (view: number) => void;
}

/** Which of several states of a tool is looked at: on the thing, with its jaws closed, with a vessel alone. */
export function LookedAt({ views, shown, onChange }: LookedAtProps): ReactNode {
  if (views.length < 2) return null;
  return (
    <fieldset className="typing:hidden flex flex-wrap items-center gap-x-5">
      <legend className="sr-only">What is looked at</legend>
      {views.map((view, i) => (
        <label key={view} className="flex min-h-11 items-center gap-2">
          <input
            type="radio"
            name="looked-at"
            className="size-5 accent-beam"
            checked={shown === i}
            onChange={() => onChange(i)}
          />
          {view}
        </label>
      ))}
    </fieldset>
  );
}
