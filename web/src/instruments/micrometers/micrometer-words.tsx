import { describeMicrometer, describeMicrometerAt, type MicrometerPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { whatIsHeld, type HeldState } from '../jaws/held-state.ts';
import { useSeen } from '../sight/sight.ts';
import type { WordsProps } from '../view.ts';

/** A micrometer in words, as it stands. */
export default function MicrometerWords({
  picture,
  sight,
  state,
}: WordsProps<MicrometerPicture, HeldState>): ReactNode {
  const numerals = useNumerals();
  const seen = useSeen(sight);
  if (picture.handled !== 'close') return numerals(describeMicrometer(picture));
  return numerals(`${whatIsHeld(picture.thing.name, state)} ${describeMicrometerAt(picture, seen.markAt)}`);
}
