import { Student } from '../models/classes.ts';
import { Person } from '../models/people.ts';

/** A student with the name behind it. */
export type NamedStudent = Student & { readonly person: Person };

/**
 * The students of a class by first name.
 * @param which whether those who have been put away are among them.
 */
export async function rosterOf(classId: string, which: 'present' | 'all'): Promise<NamedStudent[]> {
  const students = await Student.findAll({
    where: { classId, ...(which === 'present' ? { archivedAt: null } : {}) },
    include: { model: Person, as: 'person', required: true, where: { deletedAt: null } },
    order: [[{ model: Person, as: 'person' }, 'givenName', 'ASC']],
  });
  return students.filter((student): student is NamedStudent => student.person !== undefined);
}
