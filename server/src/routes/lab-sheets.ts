import { labSheetChange, labSheetDraft, labSheetUse, newLabSheet } from '@green-beam/contract';
import { Router, type Request } from 'express';
import { Op } from 'sequelize';
import { signedInWithAccount } from '../auth/access.ts';
import type { Caller } from '../auth/session.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { labSheetPage, labSheetsSeenBy, seenBy } from '../lab-sheets/show.ts';
import { beginLabSheet, changeLabSheet, deleteLabSheet, putInUse, saveDraft } from '../lab-sheets/write.ts';
import { LabSheet } from '../models/lab-sheets.ts';
import { checkRoom, withinRate } from '../quotas.ts';
import { notFound, Refusal } from '../refusal.ts';
import { validated } from '../validated.ts';

interface SheetAccess {
  readonly caller: Caller;
  readonly sheet: LabSheet;
}

/** A lab sheet that a teacher may look at. */
async function sheetSeen(request: Request): Promise<SheetAccess> {
  const caller = await signedInWithAccount(request);
  const sheet = await LabSheet.findOne({
    where: { [Op.and]: [seenBy(caller), { id: String(request.params['sheetId']) }] },
  });
  if (!sheet) throw notFound();
  return { caller, sheet };
}

/** As `sheetSeen`, for who wrote it only. */
async function sheetOwned(request: Request): Promise<SheetAccess> {
  const access = await sheetSeen(request);
  if (access.sheet.ownerId !== access.caller.personId)
    throw new Refusal(403, 'Only who wrote a lab sheet changes it. Make a copy of your own.');
  return access;
}

/** Laboratories that teachers write. */
export function labSheetRoutes(drawing: Drawing): Router {
  const routes = Router();

  routes.get('/lab-sheets', async (request, response) => {
    response.json(await labSheetsSeenBy(await signedInWithAccount(request)));
  });

  routes.post('/lab-sheets', async (request, response) => {
    const caller = await signedInWithAccount(request);
    const begun = await validated(request, newLabSheet);
    await withinRate('lab-sheet', caller.personId);
    await checkRoom('lab sheets', LabSheet, { schoolId: caller.schoolId, ownerId: caller.personId }, 1);
    response.status(201).json(await labSheetPage(await beginLabSheet(caller, begun), caller));
  });

  routes.get('/lab-sheets/:sheetId', async (request, response) => {
    const { sheet, caller } = await sheetSeen(request);
    response.json(await labSheetPage(sheet, caller));
  });

  routes.put('/lab-sheets/:sheetId/draft', async (request, response) => {
    const { sheet, caller } = await sheetOwned(request);
    const { draft, revision } = await validated(request, labSheetDraft);
    await saveDraft(sheet, revision, draft);
    response.json(await labSheetPage(await sheet.reload(), caller));
  });

  routes.post('/lab-sheets/:sheetId/use', async (request, response) => {
    const { sheet, caller } = await sheetOwned(request);
    const { revision } = await validated(request, labSheetUse);
    await withinRate('lab-sheet', caller.personId);
    const faults = await putInUse(sheet, caller, revision, drawing);
    if (faults.length > 0) {
      response.status(422).json({ message: 'It is not in use yet: something in it is wrong.', field: null, faults });
      return;
    }
    response.json(await labSheetPage(await sheet.reload(), caller));
  });

  routes.patch('/lab-sheets/:sheetId', async (request, response) => {
    const { sheet, caller } = await sheetOwned(request);
    await changeLabSheet(sheet, await validated(request, labSheetChange));
    response.json(await labSheetPage(await sheet.reload(), caller));
  });

  routes.delete('/lab-sheets/:sheetId', async (request, response) => {
    const { sheet } = await sheetOwned(request);
    await deleteLabSheet(sheet);
    response.status(204).end();
  });

  return routes;
}
