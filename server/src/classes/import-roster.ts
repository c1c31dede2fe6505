import { rosterRow, type RosterResult, type RosterRow } from '@green-beam/contract';
import { ValidationError } from 'yup';
import { databaseOf } from '../database.ts';
import { Student, type SchoolClass } from '../models/classes.ts';
import { Person } from '../models/people.ts';
import { rosterOf } from './roster.ts';

type Checked = { readonly row: number } & (
  { readonly good: RosterRow } | { readonly field: string; readonly message: string }
);

async function checkRow(raw: unknown, row: number): Promise<Checked> {
  try {
    return { row, good: await rosterRow.validate(raw, { stripUnknown: true }) };
  } catch (error) {
    if (error instanceof ValidationError) return { row, field: error.path ?? '', message: error.message };
    throw error;
  }
}

function nameOf({ firstName, lastName }: { firstName: string; lastName: string }): string {
  return `${firstName} ${lastName}`.trim().toLocaleLowerCase();
}

/** Marks names and ids that stand twice in the list, and names that are on the roster already. */
function withoutDoubles(checked: readonly Checked[], present: ReadonlySet<string>): Checked[] {
  const seen = new Map<string, number>();
  const ids = new Set<string>();
  return checked.map((one) => {
    if (!('good' in one)) return one;
    const name = nameOf(one.good);
    if (ids.has(one.good.id)) return { row: one.row, field: 'id', message: 'Its id stands in the list twice.' };
    ids.add(one.good.id);
    if (present.has(name))
      return { row: one.row, field: 'firstName', message: 'This name is on the class list already.' };
    const earlier = seen.get(name);
    if (earlier !== undefined)
      return {
        row: one.row,
        field: 'firstName',
        message: `The same name is in row ${earlier}. Add a second initial to tell them apart.`,
      };
    seen.set(name, one.row);
    return one;
  });
}

/** Adds students from a list. Nothing is added while any row is wrong, so that a corrected list can be sent again whole. */
export async function importRoster(schoolClass: SchoolClass, rows: readonly unknown[]): Promise<RosterResult> {
  const { id: classId, schoolId } = schoolClass;
  const roster = await rosterOf(classId, 'all');
  // A list that is sent again because its answer was lost finds its own names here.
  const sent = new Set(rows.map((row) => (row as Partial<RosterRow> | null)?.id));
  const present = new Set(
    roster
      .filter(({ personId }) => !sent.has(personId))
      .map(({ person }) => nameOf({ firstName: person.givenName ?? '', lastName: person.familyName ?? '' })),
  );
  const checked = withoutDoubles(await Promise.all(rows.map((row, i) => checkRow(row, i + 1))), present);
  const errors = checked.flatMap((one) =>
    'good' in one ? [] : [{ row: one.row, field: one.field, message: one.message }],
  );
  const good = checked.flatMap((one) => ('good' in one ? [one.good] : []));
  if (errors.length > 0) return { added: 0, errors };
  const known = new Set(roster.map(({ personId }) => personId));
  const people = good
    .filter(({ id }) => !known.has(id))
    .map(({ id, firstName, lastName }) => ({
      id,
      schoolId,
      givenName: firstName,
      familyName: lastName || null,
    }));
  await databaseOf(Student).transaction(async (transaction) => {
    await Person.bulkCreate(people, { transaction });
    await Student.bulkCreate(
      people.map((person) => ({ classId, schoolId, personId: person.id, pinHash: null })),
      { transaction },
    );
  });
  return { added: good.length, errors };
}
