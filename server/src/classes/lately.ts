import type { Lately } from '@green-beam/contract';
import { QueryTypes, type Sequelize } from 'sequelize';

interface Entry {
  readonly person_id: string;
  readonly slips: readonly string[];
}

interface LastSeen {
  readonly person_id: string;
  readonly last_seen: Date;
}

/** The same slip so often in a row, and somebody does not get on alone. */
const STUCK_AFTER = 3;
/** Entries that are looked at, per student. */
const LOOKED_AT = 30;

export const NOT_SEEN: Lately = { lastSeen: null, stuckOn: null, underWay: false };

/**
 * The slip behind each of the last entries, and how many there are in a row.
 * @param entries the slips found in each entry, the newest first.
 */
export function stuckOn(entries: readonly (readonly string[])[]): Lately['stuckOn'] {
  const runs = (entries[0] ?? []).map((slip) => {
    const without = entries.findIndex((slips) => !slips.includes(slip));
    return { slip, times: without < 0 ? entries.length : without };
  });
  const longest = runs.sort((a, b) => b.times - a.times)[0];
  return longest && longest.times >= STUCK_AFTER ? longest : null;
}

/** What each student of a class is doing this lesson: entries of the last hour count. */
export async function latelyOf(sequelize: Sequelize, classId: string): Promise<Map<string, Lately>> {
  const options = { replacements: { classId, lookedAt: LOOKED_AT }, type: QueryTypes.SELECT } as const;
  const [seen, entries, open] = await Promise.all([
    sequelize.query<LastSeen>(
      `select person_id, max(last_at) last_seen from practice_days where class_id = :classId group by person_id`,
      options,
    ),
    sequelize.query<Entry>(
      `select person_id, slips from (
         select person_id, slips, server_order, row_number() over (partition by person_id order by server_order desc) place
         from attempts
         where class_id = :classId and created_at > now() - interval '1 hour' and verdict not in ('shown', 'unreadable')
       ) last where place <= :lookedAt order by server_order desc`,
      options,
    ),
    sequelize.query<{ readonly person_id: string }>(
      `select last.person_id from (
         select distinct on (person_id) person_id, id from rounds
         where class_id = :classId order by person_id, taken_up_at desc
       ) last
       where exists (select 1 from tasks where class_id = :classId and round_id = last.id and closed_at is null)`,
      options,
    ),
  ]);
  const underWay = new Set(open.map((round) => round.person_id));
  return new Map(
    seen.map(({ person_id: personId, last_seen: lastSeen }) => [
      personId,
      {
        lastSeen: lastSeen.toISOString(),
        stuckOn: stuckOn(entries.filter((entry) => entry.person_id === personId).map(({ slips }) => slips)),
        underWay: underWay.has(personId),
      },
    ]),
  );
}
