import { describeRuler, type RulerPicture } from '@green-beam/core';
import type { ReactNode } from 'react';
import { useNumerals } from '../../numbers/decimal-mark.ts';
import { aside } from '../sight/aside.ts';
import { useSeen } from '../sight/sight.ts';
import type { WordsProps } from '../view.ts';
import { moved } from './geometry.ts';
import type { RulerState } from './ruler-state.ts';

/** Where both ends of the thing seem to lie, in words. */
export default function RulerWords({ picture, sight }: WordsProps<RulerPicture, RulerState>): ReactNode {
  const seen = useSeen(sight);
  return useNumerals()(describeRuler(picture, moved(picture, seen) + aside(picture, seen)));
}
