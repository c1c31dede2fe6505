import { describeColumn, type LiquidColumnPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { useSeen, type Sight } from '../sight/sight.ts';
import { apparentOnScale } from './geometry.ts';

interface ColumnWordsProps {
  readonly picture: LiquidColumnPicture;
  readonly sight: Sight;
  /** Words for where the mark seems to stand, where they are not those for a surface among lines. */
  readonly described?: (picture: LiquidColumnPicture, apparentY: number) => string;
  /** What else is to be seen. */
  readonly also?: string;
}

/** Where the mark seems to stand from the eye’s present height, in words. */
export default function ColumnWords({
  picture,
  sight,
  described = describeColumn,
  also = '',
}: ColumnWordsProps): ReactNode {
  const numerals = useNumerals();
  return numerals(`${described(picture, apparentOnScale(picture, useSeen(sight)))}${also}`);
}
