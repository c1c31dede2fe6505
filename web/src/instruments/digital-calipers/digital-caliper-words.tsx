import { describePicture, type DisplayPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { useSeen } from '../sight/sight.ts';
import type { WordsProps } from '../view.ts';
import { shownByJaws, type DigitalHold } from './digital-hold.ts';

/** What a digital caliper shows, in words. */
export default function DigitalCaliperWords({
  picture,
  sight,
  state,
}: WordsProps<DisplayPicture, DigitalHold>): ReactNode {
  const numerals = useNumerals();
  const { markAt } = useSeen(sight);
  return numerals(picture.jaws ? `It shows ${shownByJaws(state, markAt)}.` : describePicture(picture));
}
