import type { ReactNode } from 'react';

interface ClosedOrOnProps {
  readonly closed: boolean;
  readonly thing: string;
  /** What closes: jaws or faces. */
  readonly faces: string;
  readonly onChange: (closed: boolean) => void;
}

/** Whether a tool is looked at on the thing, or closed, where it shows how far it is off. */
export function ClosedOrOn({ closed, thing, faces, onChange }: ClosedOrOnProps): ReactNode {
  return (
    <fieldset className="flex flex-wrap items-center gap-x-5">
      <legend className="sr-only">What is looked at</legend>
      {[false, true].map((one) => (
        <label key={String(one)} className="flex min-h-11 items-center gap-2">
          <input type="radio" name="closed" className="size-5 accent-beam" checked={closed === one} onChange={() => onChange(one)} />
          {one ? `with the ${faces} closed` : `on the ${thing}`}
        </label>
      ))}
    </fieldset>
  );
}
