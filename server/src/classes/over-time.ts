import type { OverTime, PractisedInWeek, SlipInWeek } from '@green-beam/contract';
import { addDays, format, startOfISOWeek, subWeeks } from 'date-fns';
import { QueryTypes, type Sequelize } from 'sequelize';
import { labelOf } from '../auth/labels.ts';
import { rosterOf } from './roster.ts';

/** A term is looked back over. */
const WEEKS = 12;

/** What a class has practised week by week, up to a day. */
export async function overTime(sequelize: Sequelize, classId: string, now = new Date()): Promise<OverTime> {
  const latest = startOfISOWeek(now);
  const weeks = Array.from({ length: WEEKS }, (_, i) => format(subWeeks(latest, WEEKS - 1 - i), 'yyyy-MM-dd'));
  const options = {
    replacements: { classId, from: weeks[0], to: format(addDays(latest, 7), 'yyyy-MM-dd') },
    type: QueryTypes.SELECT,
  } as const;
  const since = `class_id = :classId and day >= :from and day < :to`;
  const week = `((day - :from::date) / 7)::integer as week`;
  const [students, practised, slips] = await Promise.all([
    rosterOf(classId, 'present'),
    sequelize.query<PractisedInWeek>(
      `select person_id "personId", skill, ${week}, sum(readings)::integer readings, sum(sound)::integer sound,
         sum(time_taken)::float8 "timeTaken", sum(timed)::integer timed
       from practice_days where ${since} group by 1, 2, 3 order by 3, 1, 2`,
      options,
    ),
    sequelize.query<SlipInWeek>(
      `select slip, skill, ${week}, sum(made)::integer made, count(distinct person_id)::integer students
       from slip_days where ${since} group by 1, 2, 3 order by 3, 4 desc, 1, 2`,
      options,
    ),
  ]);
  const present = new Set(students.map(({ personId }) => personId));
  return {
    weeks,
    students: students.map(({ personId, person }) => ({ id: personId, label: labelOf(person, 'short') })),
    practised: practised.filter(({ personId }) => present.has(personId)),
    slips,
  };
}
