import type { Marking, ReportInQueue, Rubric } from '@green-beam/contract';
import { MOST_POINTS, SEEN, type Proposal } from '@green-beam/core';

/** Points of a criterion as they stand: the teacher’s, else what the program proposes; null where neither is. */
export function pointsOf(
  { id, sees }: Rubric['criteria'][number],
  marking: Marking,
  proposal: Proposal | null,
): { readonly points: number | null; readonly isProposed: boolean } {
  const given = marking.points[id];
  if (given !== undefined) return { points: given, isProposed: false };
  const proposed = sees === null ? undefined : proposal?.of[sees].points;
  return { points: proposed ?? null, isProposed: proposed !== undefined };
}

/** All points, with those that were proposed and not changed. */
export function withProposed(rubric: Rubric, marking: Marking, proposal: Proposal | null): Marking['points'] {
  return Object.fromEntries(
    rubric.criteria.flatMap((criterion) => {
      const { points } = pointsOf(criterion, marking, proposal);
      return points === null ? [] : [[criterion.id, points]];
    }),
  );
}

/** Reports that are still to be marked. */
export function toMark(reports: readonly ReportInQueue[]): ReportInQueue[] {
  return reports.filter(({ marking, returnedAt }) => !marking.isDone && returnedAt === null);
}

/** Reports that are marked and not returned. */
export function toReturn(reports: readonly ReportInQueue[]): ReportInQueue[] {
  return reports.filter(({ marking, returnedAt }) => marking.isDone && returnedAt === null);
}

/** How many reports wait, and how many of them need a closer look. */
export function waitingInWords(reports: readonly ReportInQueue[]): string {
  const waiting = toMark(reports);
  if (waiting.length === 0) return 'Nothing is waiting.';
  const complete = waiting.filter(({ proposal }) => proposal?.isComplete).length;
  const need = waiting.length - complete;
  return `${waiting.length} waiting: ${complete} look${complete === 1 ? 's' : ''} complete, ${need} need${need === 1 ? 's' : ''} you.`;
}

/** The report after one, in the order of the list, that is still to be marked: from the beginning again after the last. */
export function nextToMark(
  reports: readonly ReportInQueue[],
  current: { readonly runId: string; readonly author: string },
): ReportInQueue | null {
  const at = reports.findIndex(
    ({ runId, author, isInForce }) => isInForce && runId === current.runId && author === current.author,
  );
  const order = [...reports.slice(at + 1), ...reports.slice(0, Math.max(0, at))];
  return toMark(order)[0] ?? null;
}

/** Why a report needs a closer look, in a few words; empty where it looks complete. */
export function needsInWords({ of, unwritten }: Proposal): string {
  const seen = SEEN.filter((criterion) => of[criterion].points < MOST_POINTS).map(
    (criterion) => `${criterion}: ${of[criterion].because}`,
  );
  const parts = unwritten === 0 ? seen : [...seen, unwritten === 1 ? 'one text missing' : `${unwritten} texts missing`];
  return parts.join('; ');
}
