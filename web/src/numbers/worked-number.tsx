import type { WorkedNumber } from '@green-beam/core';
import type { ReactNode } from 'react';
import { MeasuredNumber } from './measured-number.tsx';

interface ShownWorkedProps {
  readonly number: WorkedNumber;
  /** Whether it is one that decides how far the result is known. */
  readonly decides?: boolean;
}

/** A number of a working, with the digits that are carried but do not count. */
export function ShownWorked({
  number: { kept, guard, text, unit, exact },
  decides = false,
}: ShownWorkedProps): ReactNode {
  const shown =
    kept === '' ? (
      <MeasuredNumber text={text} unit={unit} exact={exact} />
    ) : (
      <MeasuredNumber text={kept} guard={guard} unit={unit} exact={exact} />
    );
  if (!decides) return shown;
  return (
    <mark className="border-b-2 border-beam bg-wash pb-0.5 text-ink">
      {shown}
      <span className="sr-only">, which decides</span>
    </mark>
  );
}
