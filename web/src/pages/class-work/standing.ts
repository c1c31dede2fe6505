import type { GroupAtWork } from '@green-beam/contract';
import { differenceInMinutes, format } from 'date-fns';

/** Nothing written for so many minutes: a group may be stuck. */
const LONG = 10;

/** Longer ago, in minutes, it was another lesson. */
const LESSON = 120;

export type Standing = 'nothing' | 'writing' | 'quiet' | 'read' | 'handed-in';

/** Where a group is. @param now in milliseconds since 1970. */
export function standingOf({ readings, lastAt, handedInAt, given }: GroupAtWork, now: number): Standing {
  if (handedInAt !== null) return 'handed-in';
  if (lastAt === null) return 'nothing';
  if (given === null && readings.done === readings.of) return 'read';
  return differenceInMinutes(now, lastAt) >= LONG ? 'quiet' : 'writing';
}

/** The same in words. */
export function standingInWords(group: GroupAtWork, now: number): string {
  switch (standingOf(group, now)) {
    case 'nothing':
      return 'nothing yet';
    case 'writing':
      return 'writing';
    case 'quiet': {
      const minutes = differenceInMinutes(now, group.lastAt ?? now);
      return minutes <= LESSON ? `nothing for ${minutes} min` : `since ${format(group.lastAt ?? now, 'd MMM, HH:mm')}`;
    }
    case 'read':
      return 'readings complete';
    case 'handed-in':
      return 'handed in';
  }
}

/** How many groups are where, for the line above the board. */
export function boardInWords(groups: readonly GroupAtWork[], now: number): string {
  const count = (wanted: Standing): number => groups.filter((group) => standingOf(group, now) === wanted).length;
  const parts = [
    [count('nothing'), 'nothing yet'],
    [count('writing'), 'writing'],
    [count('quiet'), 'quiet'],
    [count('read'), 'readings complete'],
    [count('handed-in'), 'handed in'],
  ] as const;
  return parts
    .filter(([number]) => number > 0)
    .map(([number, words]) => `${number} ${words}`)
    .join(', ');
}
