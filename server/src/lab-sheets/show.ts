import type { LabSheetPage, LabSheetState, LabSheetSummary } from '@green-beam/contract';
import { Op, type WhereOptions } from 'sequelize';
import { labelOf } from '../auth/labels.ts';
import type { Caller } from '../auth/session.ts';
import { LabSheet, LabSheetVersion } from '../models/lab-sheets.ts';
import { Person } from '../models/people.ts';

function stateOf({ version, retiredAt }: LabSheet): LabSheetState {
  if (retiredAt) return 'retired';
  return version === null ? 'draft' : 'in-use';
}

/** Names by id; nobody for who has left. */
async function namesOf(ids: readonly (string | null)[]): Promise<Map<string, string>> {
  const people = await Person.findAll({
    where: { id: [...new Set(ids.flatMap((id) => id ?? []))], deletedAt: null },
  });
  return new Map(people.map((person) => [person.id, labelOf(person, 'full')]));
}

function summaryOf(sheet: LabSheet, caller: Caller, names: ReadonlyMap<string, string>): LabSheetSummary {
  const { id, draft, version, hasChanges, isShared, ownerId, savedAt } = sheet;
  return {
    id,
    title: typeof draft['title'] === 'string' ? draft['title'] : '',
    state: stateOf(sheet),
    version,
    hasChanges,
    isShared,
    isMine: ownerId === caller.personId,
    by: names.get(ownerId ?? '') ?? null,
    savedAt: savedAt.toISOString(),
  };
}

/** What a teacher may look at: their own, and what colleagues have put in use and share. */
export function seenBy({ schoolId, personId }: Caller): WhereOptions<LabSheet> {
  return {
    schoolId,
    [Op.or]: [{ ownerId: personId }, { isShared: true, version: { [Op.ne]: null } }],
  };
}

/** The lab sheets that a teacher may look at, the latest first. */
export async function labSheetsSeenBy(caller: Caller): Promise<LabSheetSummary[]> {
  const sheets = await LabSheet.findAll({ where: seenBy(caller), order: [['savedAt', 'DESC']] });
  const names = await namesOf(sheets.map(({ ownerId }) => ownerId));
  const shown = await Promise.all(sheets.map((sheet) => asSeen(sheet, caller)));
  return shown.map((sheet) => summaryOf(sheet, caller, names));
}

/** A colleague’s is shown as it is in use, never as it is being written. */
async function asSeen(sheet: LabSheet, { personId }: Caller): Promise<LabSheet> {
  if (sheet.ownerId === personId || sheet.version === null) return sheet;
  const { schoolId, id, version } = sheet;
  const inUse = await LabSheetVersion.findOne({ where: { schoolId, id, version }, rejectOnEmpty: true });
  return LabSheet.build({ ...sheet.get(), draft: { ...inUse.protocol }, hasChanges: false });
}

export async function labSheetPage(sheet: LabSheet, caller: Caller): Promise<LabSheetPage> {
  const versions = await LabSheetVersion.findAll({
    attributes: ['version', 'putInUseBy', 'putInUseAt'],
    where: { schoolId: sheet.schoolId, id: sheet.id },
    order: [['version', 'DESC']],
  });
  const names = await namesOf([sheet.ownerId, ...versions.map(({ putInUseBy }) => putInUseBy)]);
  const seen = await asSeen(sheet, caller);
  return {
    ...summaryOf(seen, caller, names),
    draft: seen.draft,
    revision: seen.revision,
    versions: versions.map(({ version, putInUseAt, putInUseBy }) => ({
      version,
      at: putInUseAt.toISOString(),
      by: names.get(putInUseBy ?? '') ?? null,
    })),
  };
}
