import type { WorkedNumber } from '@green-beam/core';
import type { ReactNode } from 'react';
import { MeasuredNumber } from './measured-number.tsx';

/** A number of a working, with the digits that are carried but do not count. */
export function ShownWorked({ number }: { readonly number: WorkedNumber }): ReactNode {
  const { kept, guard, text, unit, exact } = number;
  return kept === '' ? <MeasuredNumber text={text} unit={unit} exact={exact} /> : <MeasuredNumber text={kept} guard={guard} unit={unit} exact={exact} />;
}
