import { randomInt } from 'node:crypto';
import type { NewTogether } from '@green-beam/contract';
import {
  instrumentById,
  SituationError,
  togetherTask,
  UnitMismatchError,
  valueIn,
  writtenUnitOf,
  type HouseRules,
} from '@green-beam/core';
import type { CreationAttributes, Transaction } from 'sequelize';
import type { ClassAccess } from '../auth/access.ts';
import { databaseOf } from '../database.ts';
import { TogetherRow } from '../models/together.ts';
import { notFound, Refusal } from '../refusal.ts';
import { rulesOf } from '../rules.ts';

/** What is read: of a picture, or at the front. */
type WhatIsRead = Pick<CreationAttributes<TogetherRow>, 'kind' | 'instrumentId' | 'situation' | 'title' | 'unit'>;

/** @param value what the tool is to stand at; null for a drawn one. @throws Refusal naming the field. */
function pictured(instrumentId: string | null, value: number | null, rules: HouseRules): WhatIsRead {
  if (instrumentId === null) throw new Refusal(400, 'Choose a tool.', 'instrumentId');
  try {
    const { situation } = togetherTask(instrumentId, randomInt(2 ** 31), value, rules);
    const unit = writtenUnitOf(instrumentById(instrumentId), rules);
    return { kind: 'picture', instrumentId, situation, title: '', unit };
  } catch (error) {
    if (error instanceof SituationError) throw new Refusal(400, error.message.replace(/^\w+: /, ''), 'value');
    throw error;
  }
}

/** Another tool at the same thing. */
function atTheSame(before: TogetherRow, { instrumentId, title }: NewTogether, rules: HouseRules): WhatIsRead {
  if (before.kind === 'front') {
    if (title === '') throw new Refusal(400, 'Say what the tool is called.', 'title');
    return { kind: 'front', instrumentId: null, situation: null, title, unit: before.unit };
  }
  if (instrumentId === null || before.instrumentId === null) throw new Refusal(400, 'Choose a tool.', 'instrumentId');
  const [from, to] = [instrumentById(before.instrumentId), instrumentById(instrumentId)];
  try {
    return pictured(instrumentId, valueIn(before.situation?.value ?? 0, from.unit, to.unit), rules);
  } catch (error) {
    if (error instanceof UnitMismatchError)
      throw new Refusal(400, `${to.name} does not measure the same as the tool before.`, 'instrumentId');
    throw error;
  }
}

function whatIsRead(asked: NewTogether, before: TogetherRow | null, rules: HouseRules): WhatIsRead {
  switch (asked.kind) {
    case 'picture':
      return pictured(asked.instrumentId, asked.value, rules);
    case 'front':
      if (asked.title === '') throw new Refusal(400, 'Say what the tool is called.', 'title');
      if (!asked.unit) throw new Refusal(400, 'Choose one of the units.', 'unit');
      return { kind: 'front', instrumentId: null, situation: null, title: asked.title, unit: asked.unit };
    case 'again': {
      if (!before) throw notFound();
      const { kind, instrumentId, situation, title, unit } = before;
      return { kind, instrumentId, situation, title, unit };
    }
    case 'other-tool':
      if (!before) throw notFound();
      return atTheSame(before, asked, rules);
  }
}

/** What was read before is stopped; what is not laid over it is put away. */
async function endOthers(classId: string, seriesId: string, transaction: Transaction): Promise<void> {
  await databaseOf(TogetherRow).query(
    `update together_rounds set stopped_at = coalesce(stopped_at, now()), ended_at = now()
     where class_id = :classId and series_id <> :seriesId and ended_at is null`,
    { replacements: { classId, seriesId }, transaction },
  );
  await databaseOf(TogetherRow).query(
    `update together_rounds set stopped_at = now() where class_id = :classId and series_id = :seriesId and stopped_at is null`,
    { replacements: { classId, seriesId }, transaction },
  );
}

/** Begins a reading of the whole class; the same one sent twice is begun once. */
export async function beginTogether({ schoolClass, caller }: ClassAccess, asked: NewTogether): Promise<TogetherRow> {
  const { id: classId, schoolId, rulesVersion } = schoolClass;
  const known = await TogetherRow.findOne({ where: { classId, id: asked.id } });
  if (known) return known;
  const before = asked.over === null ? null : await TogetherRow.findOne({ where: { classId, id: asked.over } });
  if (asked.over !== null && !before)
    throw new Refusal(404, 'What this was to be laid over is not there any more.', 'over');
  const version = before?.rulesVersion ?? rulesVersion;
  const read = whatIsRead(asked, before, await rulesOf(classId, version));
  const seriesId = before?.seriesId ?? asked.id;
  return databaseOf(TogetherRow).transaction(async (transaction) => {
    await endOthers(classId, seriesId, transaction);
    const latest = await TogetherRow.max<number | null, TogetherRow>('number', {
      where: { classId, seriesId },
      transaction,
    });
    return TogetherRow.create(
      {
        ...read,
        classId,
        id: asked.id,
        schoolId,
        openedBy: caller.personId,
        seriesId,
        number: (latest ?? 0) + 1,
        rulesVersion: version,
      },
      { transaction },
    );
  });
}
