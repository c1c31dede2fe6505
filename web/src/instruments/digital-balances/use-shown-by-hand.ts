import type { Weighables } from '@green-beam/core';
import { useCallback } from 'react';
import type { Shown } from '../display/shown.ts';
import { useShown } from '../display/use-shown.ts';
import { shownByHand, type PanState } from './pan-state.ts';

/** What a balance shows while it is weighed with by hand. */
export function useShownByHand(weighables: Weighables, pan: PanState): Shown {
  return useShown(useCallback((now: number) => shownByHand(weighables, pan, now), [weighables, pan]));
}
