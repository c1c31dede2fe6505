import type { Calculation } from '@green-beam/core';
import type { ReactNode } from 'react';
import { MeasuredNumber } from './measured-number.tsx';

/** The result of a calculation as it is written, with its uncertainty where one is stated. */
export function CalculatedNumber({
  calculation: { text, unit, place, uncertainty },
}: {
  readonly calculation: Calculation;
}): ReactNode {
  return (
    <MeasuredNumber
      text={text}
      unit={unit}
      exact={place === -Infinity}
      {...(uncertainty === null ? {} : { uncertainty })}
    />
  );
}
