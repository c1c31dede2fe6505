import { describeCaliper, describeCaliperAt, type CaliperPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { aside } from '../sight/aside.ts';
import { whatIsHeld, type HeldState } from '../jaws/held-state.ts';
import { useSeen } from '../sight/sight.ts';
import type { WordsProps } from '../view.ts';

/** A caliper in words, as it stands and is seen. */
export default function CaliperWords({ picture, sight, state }: WordsProps<CaliperPicture, HeldState>): ReactNode {
  const numerals = useNumerals();
  const seen = useSeen(sight);
  const shift = aside(picture, seen);
  if (picture.handled !== 'close') return numerals(describeCaliper(picture, shift));
  return numerals(`${whatIsHeld(picture.thing.name, state)} ${describeCaliperAt(picture, seen.markAt + shift)}`);
}
