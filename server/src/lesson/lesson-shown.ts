import type { LessonShown, Presence } from '@green-beam/contract';
import { Op } from 'sequelize';
import { labelOf } from '../auth/labels.ts';
import { rosterOf } from '../classes/roster.ts';
import { askPrepared, databaseOf } from '../database.ts';
import type { SchoolClass } from '../models/classes.ts';
import { Absence, AdmissionRow, Cover } from '../models/lesson.ts';
import { Person } from '../models/people.ts';

/** Students of a class who have a session that is not over, their own or as partners. */
async function presentIn(classId: string): Promise<Set<string>> {
  const rows = await askPrepared<{ id: string }>(
    databaseOf(Person),
    `with here as (
       select sess -> 'identity' as identity from sessions
       where sess -> 'identity' ->> 'classId' = $1 and expire > now()
     ), signed as (
       select identity as one from here union all select json_array_elements(identity -> 'partners') from here
     )
     select distinct people.id from signed
       join people on people.id = (one ->> 'personId')::uuid and sessions_ended = (one ->> 'sessionsEnded')::integer`,
    [classId],
  );
  return new Set(rows.map(({ id }) => id));
}

/** How a lesson stands that begins on a day. */
export async function lessonShown(schoolClass: SchoolClass, day: string): Promise<LessonShown> {
  const classId = schoolClass.id;
  const named = { model: Person, as: 'person', required: true };
  const [roster, present, absences, asking, covers] = await Promise.all([
    rosterOf(classId, 'present'),
    presentIn(classId),
    Absence.findAll({ where: { classId, day } }),
    AdmissionRow.findAll({ where: { classId }, include: named, order: [['askedAt', 'ASC']] }),
    Cover.findAll({ where: { classId, until: { [Op.gt]: new Date() } }, include: named, order: [['until', 'ASC']] }),
  ]);
  const away = new Set(absences.map(({ personId }) => personId));
  const presenceOf = (id: string): Presence => (present.has(id) ? 'in' : away.has(id) ? 'away' : 'not-yet');
  return {
    className: schoolClass.name,
    code: schoolClass.codeOpen ? schoolClass.code : null,
    students: roster.map(({ personId, person }) => ({
      id: personId,
      label: labelOf(person, 'short'),
      presence: presenceOf(personId),
    })),
    asking: asking.flatMap(({ personId, person, askedAt }) =>
      person ? [{ id: personId, name: labelOf(person, 'full'), at: askedAt.toISOString() }] : [],
    ),
    covers: covers.flatMap(({ id, person, until }) =>
      person ? [{ id, name: labelOf(person, 'full'), until: until.toISOString() }] : [],
    ),
  };
}
