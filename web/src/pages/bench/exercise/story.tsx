import type { StoryPart } from '@green-beam/core';
import { Fragment, type ReactNode } from 'react';
import { useNumerals } from '../../../numbers/decimal-mark.ts';
import { MeasuredNumber } from '../../../numbers/measured-number.tsx';

/** What is known: words, and quantities with their doubtful digits. */
export function Story({ parts }: { readonly parts: readonly StoryPart[] }): ReactNode {
  const numerals = useNumerals();
  return parts.map((part, i) => (
    <Fragment key={i}>
      {typeof part === 'string' ? numerals(part) : <MeasuredNumber text={part.text} unit={part.unit} />}
    </Fragment>
  ));
}
