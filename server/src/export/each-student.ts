import { strToU8, zip } from 'fflate';
import { labelOf } from '../auth/labels.ts';
import { rosterOf } from '../classes/roster.ts';
import type { Drawing } from '../drawing/drawing.ts';
import type { SchoolClass } from '../models/classes.ts';
import { exportStudent } from './export.ts';

/** A name as a file can have it everywhere. */
export function fileName(name: string): string {
  return name.replace(/[^\p{L}\p{N}]+/gu, '-');
}

/** What is kept of each student of a class, in a file for each, to be handed to them: as a ZIP archive. */
export async function exportStudents(schoolClass: SchoolClass, drawing: Drawing): Promise<Buffer> {
  const students = await rosterOf(schoolClass.id, 'all');
  const files: Record<string, Uint8Array> = {};
  for (const [i, { personId, person }] of students.entries()) {
    const data = await exportStudent(schoolClass, personId, drawing);
    // Two may have the same name.
    files[`${String(i + 1).padStart(2, '0')}-${fileName(labelOf(person, 'full'))}.json`] = strToU8(
      JSON.stringify(data),
    );
  }
  return new Promise((resolve, reject) =>
    zip(files, { level: 6 }, (error, archive) => (error ? reject(error) : resolve(Buffer.from(archive)))),
  );
}
