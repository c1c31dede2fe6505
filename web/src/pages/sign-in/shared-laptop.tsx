import type { ReactNode } from 'react';

interface SharedLaptopProps {
  readonly shared: boolean;
  readonly onChange: (shared: boolean) => void;
  /** After how many minutes without work one is signed out. */
  readonly idleMinutes: number;
}

function spanOf(minutes: number): string {
  return minutes % 60 === 0 && minutes > 60 ? `${minutes / 60} hours` : `${minutes} minutes`;
}

/** Whether others use the computer too: then one is signed out after a while. */
export function SharedLaptop({ shared, onChange, idleMinutes }: SharedLaptopProps): ReactNode {
  return (
    <label className="flex min-h-11 items-start gap-3 py-2">
      <input
        type="checkbox"
        className="mt-0.5 size-5 shrink-0 accent-beam"
        checked={shared}
        onChange={(event) => onChange(event.target.checked)}
      />
      <span>
        This is a shared laptop
        <span className="block text-small text-muted">
          {shared
            ? `You are signed out after ${spanOf(idleMinutes)} without work.`
            : 'You stay signed in here for a week.'}
        </span>
      </span>
    </label>
  );
}
