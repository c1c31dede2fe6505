import type { FirstPin } from '@green-beam/contract';
import type { ReactNode } from 'react';
import { Button } from '../../ui/button.tsx';

interface FirstPinSlipsProps {
  readonly className: string;
  readonly code: string;
  readonly pins: readonly FirstPin[];
  readonly onDone: () => void;
}

/** A slip for each student with the first PIN: to be printed, cut and handed out. They are shown this once. */
export function FirstPinSlips({ className, code, pins, onDone }: FirstPinSlipsProps): ReactNode {
  return (
    <>
      <div className="print:hidden">
        <h1 className="text-2xl font-bold">First PINs, {className}</h1>
        <p className="mt-2 max-w-prose">
          Print these slips now and hand one to each student. A first PIN works once: the student then chooses another.
          Nobody can look them up later, but you can make new ones at any time.
        </p>
        <div className="mt-4 flex gap-3">
          <Button onClick={() => window.print()}>Print</Button>
          <Button look="plain" onClick={onDone}>
            Back to the students
          </Button>
        </div>
      </div>
      <ul className="mt-6 grid gap-px sm:grid-cols-2 print:mt-0 print:grid-cols-2">
        {pins.map(({ id, name, pin }) => (
          <li key={id} className="break-inside-avoid border border-dashed border-muted px-4 py-3">
            <p className="flex justify-between gap-4">
              <strong>{name}</strong>
              <span className="text-muted">{className}</span>
            </p>
            <dl className="mt-2 grid grid-cols-[auto_1fr] items-baseline gap-x-4 text-small">
              <dt>Open</dt>
              <dd className="font-mono break-all">{window.location.origin}</dd>
              <dt>Class code</dt>
              <dd className="font-mono">{code}</dd>
              <dt>First PIN</dt>
              <dd className="font-mono text-lg font-bold">{pin}</dd>
            </dl>
            <p className="mt-1 text-small text-muted">
              Sign in with this PIN once and choose your own. Keep this slip to yourself.
            </p>
          </li>
        ))}
      </ul>
    </>
  );
}
