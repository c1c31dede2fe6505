import type { OverTime, PractisedInWeek, SlipInWeek } from '@green-beam/contract';
import { ENOUGH_ITEMS } from '../../../skill-lines.tsx';

/** The last weeks that count as lately; those before are what it is compared with. */
export const LATELY = 3;
/** A part that has changed by less is not said to have changed. */
const NOTICED = 0.15;
const NAMED = 3;

/** How much of something was right at the first try, and which way it goes. */
export interface Share {
  readonly readings: number;
  readonly sound: number;
  /** Null while it is too early to say. */
  readonly part: number | null;
  readonly way: 'up' | 'down' | 'same' | null;
}

/** The same without the weeks before anything was practised. */
export function sinceFirst(time: OverTime): OverTime {
  const first = Math.min(...time.practised.map(({ week }) => week));
  if (!Number.isFinite(first)) return time;
  const later = <One extends { readonly week: number }>(one: One): One => ({ ...one, week: one.week - first });
  return {
    ...time,
    weeks: time.weeks.slice(first),
    practised: time.practised.map(later),
    slips: time.slips.filter(({ week }) => week >= first).map(later),
  };
}

const isLate = (week: number, weeks: number): boolean => week >= weeks - LATELY;

function counted(rows: readonly PractisedInWeek[]): { readonly readings: number; readonly sound: number } {
  let [readings, sound] = [0, 0];
  for (const row of rows) {
    readings += row.readings;
    sound += row.sound;
  }
  return { readings, sound };
}

/** Lately, if there is enough of it; else of all weeks. */
export function shareOf(rows: readonly PractisedInWeek[], weeks: number): Share {
  const all = counted(rows);
  const late = counted(rows.filter(({ week }) => isLate(week, weeks)));
  const early = { readings: all.readings - late.readings, sound: all.sound - late.sound };
  const shown = late.readings >= ENOUGH_ITEMS ? late : all;
  const part = shown.readings < ENOUGH_ITEMS ? null : shown.sound / shown.readings;
  if (late.readings < ENOUGH_ITEMS || early.readings < ENOUGH_ITEMS) return { ...shown, part, way: null };
  const change = late.sound / late.readings - early.sound / early.readings;
  return { ...shown, part, way: change > NOTICED ? 'up' : change < -NOTICED ? 'down' : 'same' };
}

/** A student who needs a visit, and why. */
export interface ToVisit {
  readonly id: string;
  readonly label: string;
  readonly why:
    { readonly kind: 'falls' | 'wrong'; readonly skill: string; readonly share: Share } | { readonly kind: 'away' };
}

function worstOf(
  rows: readonly PractisedInWeek[],
  weeks: number,
): { readonly skill: string; readonly share: Share } | null {
  const skills = [...new Set(rows.map(({ skill }) => skill))];
  const shares = skills.map((skill) => ({
    skill,
    share: shareOf(
      rows.filter((row) => row.skill === skill),
      weeks,
    ),
  }));
  const known = shares.flatMap(({ skill, share }) => (share.part === null ? [] : [{ skill, share, part: share.part }]));
  const [worst] = known.sort((a, b) => a.part - b.part);
  return worst ? { skill: worst.skill, share: worst.share } : null;
}

/** Below this part of right first tries somebody needs help. */
const NEEDS_HELP = 0.6;

/** The two or three to visit: whose work gets worse, who is mostly wrong, and who has not practised lately and did before. */
export function whomToVisit({ students, practised, weeks }: OverTime): ToVisit[] {
  const found = students.flatMap(({ id, label }): (ToVisit & { readonly urgency: number })[] => {
    const rows = practised.filter(({ personId }) => personId === id);
    if (rows.length === 0) return [];
    const worst = worstOf(rows, weeks.length);
    const part = worst?.share.part ?? 1;
    if (worst?.share.way === 'down') return [{ id, label, urgency: 3 - part, why: { kind: 'falls', ...worst } }];
    if (worst && part < NEEDS_HELP) return [{ id, label, urgency: 2 - part, why: { kind: 'wrong', ...worst } }];
    if (!rows.some(({ week }) => isLate(week, weeks.length)))
      return [{ id, label, urgency: 0.5, why: { kind: 'away' } }];
    return [];
  });
  return found
    .sort((a, b) => b.urgency - a.urgency || a.label.localeCompare(b.label))
    .slice(0, NAMED)
    .map(({ id, label, why }) => ({ id, label, why }));
}

/** A slip week by week: how often it was made in 100 items of its skill; null in a week with too few of them. */
export interface SlipTrend {
  readonly slip: string;
  readonly skill: string;
  readonly made: number;
  readonly rates: readonly (number | null)[];
  readonly way: 'up' | 'down' | 'same' | null;
}

function wayOf(rates: readonly (number | null)[]): SlipTrend['way'] {
  const known = rates.filter((rate) => rate !== null);
  const half = Math.floor(known.length / 2);
  if (half === 0) return null;
  const mean = (some: readonly number[]): number => some.reduce((sum, rate) => sum + rate, 0) / some.length;
  const [before, after] = [mean(known.slice(0, half)), mean(known.slice(-half))];
  const change = after - before;
  // By a third, or by more than two in a hundred where it was seldom.
  const noticed = Math.max(2, before / 3);
  return change > noticed ? 'up' : change < -noticed ? 'down' : 'same';
}

/** The slips made most often, each with its weeks. */
export function slipTrends({ slips, practised, weeks }: OverTime, most: number): SlipTrend[] {
  const items = new Map<string, number>();
  for (const { skill, week, readings } of practised)
    items.set(`${skill} ${week}`, (items.get(`${skill} ${week}`) ?? 0) + readings);
  const bySlip = new Map<string, SlipInWeek[]>();
  for (const one of slips) {
    const key = `${one.slip} ${one.skill}`;
    bySlip.set(key, [...(bySlip.get(key) ?? []), one]);
  }
  return [...bySlip.values()]
    .flatMap((all): SlipTrend[] => {
      const [first] = all;
      if (!first) return [];
      const { slip, skill } = first;
      const rates = weeks.map((_, week) => {
        const readings = items.get(`${skill} ${week}`) ?? 0;
        const made = all.find((one) => one.week === week)?.made ?? 0;
        return readings < ENOUGH_ITEMS ? null : (100 * made) / readings;
      });
      return [{ slip, skill, made: all.reduce((sum, one) => sum + one.made, 0), rates, way: wayOf(rates) }];
    })
    .sort((a, b) => b.made - a.made)
    .slice(0, most);
}

/** A slip that many make lately. */
export interface MisleadsMany {
  readonly slip: string;
  readonly skill: string;
  /** The most in one week. */
  readonly students: number;
}

/** What misleads many lately: at least three, and the most first. */
export function misleadsMany({ slips, weeks }: OverTime): MisleadsMany[] {
  const most = new Map<string, MisleadsMany>();
  for (const { slip, skill, week, students } of slips) {
    if (!isLate(week, weeks.length)) continue;
    const key = `${slip} ${skill}`;
    if (students > (most.get(key)?.students ?? 0)) most.set(key, { slip, skill, students });
  }
  return [...most.values()]
    .filter(({ students }) => students >= 3)
    .sort((a, b) => b.students - a.students)
    .slice(0, NAMED);
}

/** How long an item of a skill takes on average, in s: lately, and before. */
export interface TimeTaken {
  readonly skill: string;
  readonly late: number | null;
  readonly early: number | null;
}

export function timesTaken({ practised, weeks }: OverTime): TimeTaken[] {
  const mean = (rows: readonly PractisedInWeek[]): number | null => {
    const timed = rows.reduce((sum, row) => sum + row.timed, 0);
    return timed < ENOUGH_ITEMS ? null : rows.reduce((sum, row) => sum + row.timeTaken, 0) / timed / 1000;
  };
  return [...new Set(practised.map(({ skill }) => skill))].map((skill) => {
    const rows = practised.filter((row) => row.skill === skill);
    return {
      skill,
      late: mean(rows.filter(({ week }) => isLate(week, weeks.length))),
      early: mean(rows.filter(({ week }) => !isLate(week, weeks.length))),
    };
  });
}
