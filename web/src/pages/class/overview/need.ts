import type { BoardCell, BoardRow } from '@green-beam/contract';
import { differenceInMinutes, isSameDay, subDays } from 'date-fns';
import { ENOUGH_ITEMS } from '../../skill-lines.tsx';

/** Minutes without an entry, in the middle of a round, after which a student may need a visit; and after which the lesson is over. */
const QUIET_AFTER = 4;
const LESSON_OVER_AFTER = 45;

/** The part of a skill that was right at the first try; null while it is too early to say. */
export function partRight({ readings, sound }: BoardCell): number | null {
  return readings < ENOUGH_ITEMS ? null : sound / readings;
}

/** Below this part of right first tries a skill needs work, and a slip that was made so often is worth naming. */
const NEEDS_WORK = 0.6;
const OFTEN = 3;

/** The skill that needs work most, with a slip behind it; null when there is none. */
export function weakest({ skills }: BoardRow): BoardCell | null {
  const weak = skills.flatMap((cell) => {
    const part = partRight(cell);
    return part !== null && part < NEEDS_WORK && (cell.slips[0]?.count ?? 0) >= OFTEN ? [{ cell, part }] : [];
  });
  return weak.sort((a, b) => a.part - b.part)[0]?.cell ?? null;
}

/** For how many minutes somebody has been quiet in the middle of a round; null when nothing is the matter. */
export function quietFor({ lately }: BoardRow, now: number): number | null {
  if (!lately.underWay || lately.lastSeen === null) return null;
  const minutes = differenceInMinutes(now, new Date(lately.lastSeen));
  return minutes >= QUIET_AFTER && minutes < LESSON_OVER_AFTER ? minutes : null;
}

function needOf(row: BoardRow, now: number): number {
  const [readings, sound] = row.skills.reduce<readonly [number, number]>(
    ([all, right], cell) => [all + cell.readings, right + cell.sound] as const,
    [0, 0],
  );
  const wrong = readings < ENOUGH_ITEMS ? 0 : 1 - sound / readings;
  return wrong + (row.lately.stuckOn ? 3 : quietFor(row, now) !== null ? 2 : 0);
}

/** Students in the order in which they need the teacher: who is stuck, who is quiet, then who was wrong most often. */
export function byNeed(rows: readonly BoardRow[], now: number): BoardRow[] {
  return [...rows].sort((a, b) => needOf(b, now) - needOf(a, now) || a.label.localeCompare(b.label));
}

/** Students to visit now, the most urgent first. */
export function toVisit(rows: readonly BoardRow[], now: number): BoardRow[] {
  return byNeed(rows, now).filter((row) => row.lately.stuckOn !== null || quietFor(row, now) !== null);
}

/** A slip that several students make, where it was made most, and whether it was today. */
export interface SharedSlip {
  readonly slip: string;
  readonly skill: string;
  readonly students: number;
  readonly today: boolean;
}

function sharedSince(rows: readonly BoardRow[], counts: (lastSeen: Date) => boolean): Omit<SharedSlip, 'today'> | null {
  const made = new Map<string, { readonly students: Set<string>; readonly skills: Map<string, number> }>();
  for (const { id, skills } of rows)
    for (const { skill, slips } of skills)
      for (const slip of slips.filter((one) => counts(new Date(one.lastSeen)))) {
        const one = made.get(slip.id) ?? { students: new Set(), skills: new Map<string, number>() };
        one.students.add(id);
        one.skills.set(skill, (one.skills.get(skill) ?? 0) + 1);
        made.set(slip.id, one);
      }
  const [most] = [...made].sort(([, a], [, b]) => b.students.size - a.students.size);
  if (!most || most[1].students.size < 2) return null;
  const [skill = ''] = [...most[1].skills].sort((a, b) => b[1] - a[1])[0] ?? [];
  return { slip: most[0], skill, students: most[1].students.size };
}

/** What most students have in common today, or else this week: to be said once to everybody. */
export function mostShared(rows: readonly BoardRow[], now: number): SharedSlip | null {
  const today = sharedSince(rows, (seen) => isSameDay(seen, now));
  if (today) return { ...today, today: true };
  const week = sharedSince(rows, (seen) => seen > subDays(now, 7));
  return week && { ...week, today: false };
}
