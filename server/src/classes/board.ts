import type { BoardCell, BoardRow } from '@green-beam/contract';
import { QueryTypes, type Sequelize } from 'sequelize';
import { labelOf } from '../auth/labels.ts';
import { latelyOf, NOT_SEEN } from './lately.ts';
import { rosterOf } from './roster.ts';

interface SkillCount {
  readonly person_id: string;
  readonly skill: string;
  readonly readings: number;
  readonly sound: number;
  readonly last_seen: Date;
}

interface SlipCount {
  readonly person_id: string;
  readonly skill: string;
  readonly slip: string;
  readonly count: number;
  readonly last_seen: Date;
}

/** Students by skill, with the slips each one keeps making, and what each does this lesson. */
export async function boardOf(sequelize: Sequelize, classId: string): Promise<BoardRow[]> {
  const students = await rosterOf(classId, 'present');
  const options = { replacements: { classId }, type: QueryTypes.SELECT } as const;
  const [lately, skills, slips] = await Promise.all([
    latelyOf(sequelize, classId),
    sequelize.query<SkillCount>(
      `select person_id, skill, sum(readings)::int readings, sum(sound)::int sound, max(last_at) last_seen
       from practice_days where class_id = :classId group by person_id, skill`,
      options,
    ),
    sequelize.query<SlipCount>(
      `select person_id, skill, slip, sum(made)::int count, max(last_at) last_seen
       from slip_days where class_id = :classId group by person_id, skill, slip order by count desc, last_seen desc`,
      options,
    ),
  ]);
  const cellsOf = (personId: string): BoardCell[] =>
    skills
      .filter((skill) => skill.person_id === personId)
      .map((skill) => ({
        skill: skill.skill,
        readings: skill.readings,
        sound: skill.sound,
        lastSeen: skill.last_seen.toISOString(),
        slips: slips
          .filter((slip) => slip.person_id === personId && slip.skill === skill.skill)
          .map((slip) => ({ id: slip.slip, count: slip.count, lastSeen: slip.last_seen.toISOString() })),
      }));
  return students.map((student) => ({
    id: student.personId,
    label: labelOf(student.person, 'short'),
    skills: cellsOf(student.personId),
    lately: lately.get(student.personId) ?? NOT_SEEN,
  }));
}
