import { databaseOf } from '../database.ts';
import { Person } from '../models/people.ts';

/** Tells the teachers of a class that somebody has come in, is away, or asks to be let in. */
export async function notifyLesson(classId: string, personId: string): Promise<void> {
  await databaseOf(Person).query(`select pg_notify('class_events', :told)`, {
    replacements: { told: `${classId} lesson ${personId}` },
  });
}
