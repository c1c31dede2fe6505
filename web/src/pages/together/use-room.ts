import type { TogetherAtFront } from '@green-beam/contract';
import { useMemo } from 'react';
import { roomOf, type Room } from './room-in-words.ts';

/** What a room has read, as far as its readings can be read; null of none. */
export function useRoom({
  round: { division, unit },
  answers,
}: Pick<TogetherAtFront, 'round' | 'answers'>): Room | null {
  return useMemo(
    () =>
      roomOf(
        answers.flatMap(({ dot }) => dot ?? []),
        division,
        unit,
      ),
    [answers, division, unit],
  );
}
