import { isDeepStrictEqual } from 'node:util';
import type { LabSheetChange, LabSheetDraft, LabSheetFault, NewLabSheet } from '@green-beam/contract';
import type { Protocol } from '@green-beam/core';
import type { Transaction } from 'sequelize';
import type { Caller } from '../auth/session.ts';
import { databaseOf } from '../database.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { LabSheet, LabSheetVersion } from '../models/lab-sheets.ts';
import { notFound, Refusal } from '../refusal.ts';

/** Begins a lab sheet. The same one sent twice is kept once. */
export async function beginLabSheet({ schoolId, personId }: Caller, { id, draft }: NewLabSheet): Promise<LabSheet> {
  const [sheet, isNew] = await LabSheet.findOrCreate({
    where: { schoolId, id },
    defaults: { schoolId, id, ownerId: personId, draft },
  });
  if (!isNew && sheet.ownerId !== personId) throw new Refusal(409, 'This id is in use already.', 'id');
  return sheet;
}

/** @throws Refusal (409) where it was saved elsewhere since it was seen. */
async function changeSeen(
  sheet: LabSheet,
  revision: number,
  change: (locked: LabSheet, transaction: Transaction) => Promise<unknown>,
): Promise<void> {
  await databaseOf(LabSheet).transaction(async (transaction) => {
    const { schoolId, id } = sheet;
    const locked = await LabSheet.findOne({
      where: { schoolId, id },
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    if (!locked) throw notFound();
    if (locked.revision !== revision)
      throw new Refusal(
        409,
        'This lab sheet was changed in another window. Load the page again to see it. What you wrote here was not saved.',
        'revision',
      );
    await change(locked, transaction);
  });
}

/** Keeps what is being written. */
export async function saveDraft(sheet: LabSheet, revision: number, draft: LabSheetDraft): Promise<void> {
  await changeSeen(sheet, revision, (locked, transaction) =>
    locked.update({ draft, revision: revision + 1, savedAt: new Date(), hasChanges: true }, { transaction }),
  ).catch(async (error: unknown) => {
    // The same, sent again since its answer was lost, is saved already.
    if (!isDeepStrictEqual((await sheet.reload()).draft, draft)) throw error;
  });
}

/**
 * Puts what was written in use, as a version that never changes; whoever has begun an earlier one goes on with that.
 * @returns what is wrong in it: then nothing is put in use.
 */
export async function putInUse(
  sheet: LabSheet,
  { personId }: Caller,
  revision: number,
  drawing: Drawing,
): Promise<LabSheetFault[]> {
  const { schoolId, id } = sheet;
  const version = (sheet.version ?? 0) + 1;
  const protocol = { ...sheet.draft, id, version };
  const faults = await drawing.labSheetFaults(protocol);
  if (faults.length > 0) return faults;
  await changeSeen(sheet, revision, async (locked, transaction) => {
    // Whoever put it in use in another window meanwhile has made this version.
    if (locked.version !== sheet.version) return;
    await LabSheetVersion.create(
      { schoolId, id, version, protocol: protocol as unknown as Protocol, putInUseBy: personId },
      { transaction },
    );
    await locked.update({ version, hasChanges: false, retiredAt: null }, { transaction });
  });
  return [];
}

/** Shares a lab sheet with the school, or takes it out of use. */
export async function changeLabSheet(sheet: LabSheet, { isShared, isRetired }: LabSheetChange): Promise<void> {
  if (isRetired !== undefined && sheet.version === null)
    throw new Refusal(409, 'It is not in use yet. Delete it instead.', 'isRetired');
  await sheet.update({
    ...(isShared === undefined ? {} : { isShared }),
    ...(isRetired === undefined ? {} : { retiredAt: isRetired ? (sheet.retiredAt ?? new Date()) : null }),
  });
}

/** Deletes a lab sheet that was never in use. */
export async function deleteLabSheet(sheet: LabSheet): Promise<void> {
  const { schoolId, id } = sheet;
  if ((await LabSheet.destroy({ where: { schoolId, id, version: null } })) === 0)
    throw new Refusal(409, 'It has been in use, and pages go by it. Retire it instead.');
}
