import { randomUUID } from 'node:crypto';
import {
  toolRow,
  type NewTool,
  type NewToolNote,
  type ToolChange,
  type ToolImportResult,
  type ToolRow,
} from '@green-beam/contract';
import { CheckError, checkError, checkZeroError, hasZeroError, instrumentById, instrumentIds } from '@green-beam/core';
import { UniqueConstraintError, type Transaction } from 'sequelize';
import { ValidationError } from 'yup';
import type { ClassAccess } from '../auth/access.ts';
import { databaseOf } from '../database.ts';
import { Tool, ToolNoteRow } from '../models/cabinet.ts';
import { notFound, Refusal } from '../refusal.ts';
import { toolsShown } from './tools-shown.ts';

/** Which class’s cabinet is changed, and by whom. */
type Changing = Pick<ClassAccess, 'schoolClass' | 'caller'>;

const CODE_TAKEN = 'Another tool of this class has this code.';

function checkKind(instrumentId: string): void {
  if (!instrumentIds().includes(instrumentId))
    throw new Refusal(400, `“${instrumentId}” is not a kind of tool known here.`, 'instrumentId');
}

/** Puts a tool into the cabinet. @throws Refusal naming the field. */
export async function addTool(
  { schoolClass, caller }: Changing,
  tool: NewTool,
  transaction?: Transaction,
): Promise<Tool> {
  checkKind(tool.instrumentId);
  try {
    return await Tool.create(
      {
        ...tool,
        classId: schoolClass.id,
        schoolId: schoolClass.schoolId,
        id: randomUUID(),
        changedBy: caller.personId,
      },
      transaction ? { transaction } : {},
    );
  } catch (error) {
    if (error instanceof UniqueConstraintError) throw new Refusal(409, CODE_TAKEN, 'code');
    throw error;
  }
}

/** Changes a tool, unless somebody else has meanwhile: then nothing is overwritten, and it is said who did. @throws Refusal. */
export async function changeTool(
  { schoolClass, caller }: Changing,
  id: string,
  { after, ...change }: ToolChange,
): Promise<void> {
  const { id: classId } = schoolClass;
  try {
    const [changed] = await Tool.update(
      { ...change, version: after + 1, changedBy: caller.personId, changedAt: new Date() },
      { where: { classId, id, version: after } },
    );
    if (changed > 0) return;
  } catch (error) {
    if (error instanceof UniqueConstraintError) throw new Refusal(409, CODE_TAKEN, 'code');
    throw error;
  }
  const [now] = await toolsShown(classId, id);
  if (!now) throw notFound();
  throw new Refusal(
    409,
    `${now.changedBy} changed ${now.code} while you were writing. Your change was not saved. Look at the tool as it is now, then change it again.`,
    'after',
  );
}

/** Adds what was found about a tool; the same note sent twice is stored once. @throws Refusal naming the field. */
export async function noteOnTool(
  { schoolClass, caller }: Changing,
  toolId: string,
  { id, kind, reading, nominal, remark }: NewToolNote,
): Promise<void> {
  const { id: classId, schoolId } = schoolClass;
  const tool = await Tool.findOne({ where: { classId, id: toolId } });
  if (!tool) throw notFound();
  try {
    if (kind === 'check') checkError(tool.instrumentId, { nominal: nominal ?? 0, reading });
    else if (!hasZeroError(tool.instrumentId))
      throw new Refusal(400, `A ${instrumentById(tool.instrumentId).name} has no zero error to note.`, 'kind');
    else checkZeroError(tool.instrumentId, reading);
  } catch (error) {
    if (error instanceof CheckError)
      throw new Refusal(
        400,
        error.message.replace(/^\w+: /, '').replace(/^./, (first) => first.toUpperCase()),
        error.field === 'nominal' ? 'nominal' : 'reading',
      );
    throw error;
  }
  await ToolNoteRow.bulkCreate(
    [
      {
        classId,
        schoolId,
        id,
        toolId,
        kind,
        reading,
        nominal: kind === 'check' ? nominal : null,
        remark,
        personId: caller.personId,
      },
    ],
    { ignoreDuplicates: true },
  );
}

type Checked = { readonly row: number } & (
  { readonly good: ToolRow } | { readonly field: string; readonly message: string }
);

async function checkRow(raw: unknown, row: number, taken: ReadonlySet<string>): Promise<Checked> {
  try {
    const good = await toolRow.validate(raw, { stripUnknown: true });
    if (!instrumentIds().includes(good.instrumentId))
      return { row, field: 'instrumentId', message: `“${good.instrumentId}” is not a kind of tool known here.` };
    if (taken.has(good.code.toLocaleLowerCase()))
      return { row, field: 'code', message: 'There is a tool with this code already. It stays as it is.' };
    if (good.zeroError !== null && !hasZeroError(good.instrumentId))
      return { row, field: 'zeroError', message: 'This kind of tool has no zero error.' };
    if (good.zeroError !== null) checkZeroError(good.instrumentId, good.zeroError);
    return { row, good };
  } catch (error) {
    if (error instanceof ValidationError) return { row, field: error.path ?? '', message: error.message };
    if (error instanceof CheckError) return { row, field: 'zeroError', message: error.message.replace(/^\w+: /, '') };
    throw error;
  }
}

function withoutDoubles(checked: readonly Checked[]): Checked[] {
  const seen = new Map<string, number>();
  return checked.map((one) => {
    if (!('good' in one)) return one;
    const code = one.good.code.toLocaleLowerCase();
    const earlier = seen.get(code);
    if (earlier !== undefined) return { row: one.row, field: 'code', message: `The same code is in row ${earlier}.` };
    seen.set(code, one.row);
    return one;
  });
}

/** Adds tools from a list. Nothing is added while any row is wrong, and nothing that is there is changed. */
export async function importTools(changing: Changing, rows: readonly unknown[]): Promise<ToolImportResult> {
  const { id: classId, schoolId } = changing.schoolClass;
  const taken = new Set(
    (await Tool.findAll({ attributes: ['code'], where: { classId } })).map(({ code }) => code.toLocaleLowerCase()),
  );
  const checked = withoutDoubles(await Promise.all(rows.map((row, i) => checkRow(row, i + 1, taken))));
  const errors = checked.flatMap((one) =>
    'good' in one ? [] : [{ row: one.row, field: one.field, message: one.message }],
  );
  if (errors.length > 0) return { added: 0, errors };
  const good = checked.flatMap((one) => ('good' in one ? [one.good] : []));
  await databaseOf(Tool).transaction(async (transaction) => {
    for (const { zeroError, ...tool } of good) {
      const added = await addTool(changing, tool, transaction);
      if (zeroError !== null)
        await ToolNoteRow.create(
          {
            classId,
            schoolId,
            id: randomUUID(),
            toolId: added.id,
            kind: 'zero',
            reading: zeroError,
            nominal: null,
            remark: '',
            personId: changing.caller.personId,
          },
          { transaction },
        );
    }
  });
  return { added: good.length, errors };
}
