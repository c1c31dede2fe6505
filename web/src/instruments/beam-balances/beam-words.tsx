import { describePicture, describePointer, describeRiders, type BeamPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import type { WordsProps } from '../view.ts';
import type { Balance, BalanceNow } from './balance.ts';
import { useBalance } from './use-balance.ts';

function balanceInWords(picture: BeamPicture, { riderX, pointer, moving, vessel, thing, free }: BalanceNow): string {
  const hangs =
    picture.under === null || !thing
      ? ''
      : ` It hangs in the ${picture.under}, ${free ? 'free of the glass' : 'against the side of the beaker'}.`;
  const on = [
    ...(vessel && picture.vessel ? [`the ${picture.vessel.name}`] : []),
    ...(thing ? [`the ${picture.thing.name}`] : []),
  ];
  return `On the pan: ${on.length === 0 ? 'nothing' : on.join(' and ')}.${hangs} ${describeRiders(picture, riderX)} ${describePointer(pointer.at, moving)}`;
}

/** A beam balance in words: as it is looked at, or under somebody’s hands. */
export default function BeamWords({ picture, state: balance }: WordsProps<BeamPicture, Balance>): ReactNode {
  const numerals = useNumerals();
  const now = useBalance(balance);
  return numerals(picture.handled === 'weigh' ? balanceInWords(picture, now) : describePicture(picture));
}
