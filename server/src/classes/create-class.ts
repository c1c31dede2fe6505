import { randomUUID } from 'node:crypto';
import { DEFAULT_RULES, PRESETS, type HouseRules } from '@green-beam/core';
import { databaseOf } from '../database.ts';
import { ClassTeacher, HouseRulesVersion, SchoolClass } from '../models/classes.ts';
import { Refusal } from '../refusal.ts';
import { newClassCode } from './codes.ts';

interface NewClassFor {
  readonly schoolId: string;
  readonly teacherId: string;
  readonly name: string;
  readonly id?: string;
  readonly code?: string;
}

/** Makes a class with its first version of house rules and its teacher; the same one sent twice is made once. */
export async function createClass({
  schoolId,
  teacherId,
  name,
  id = randomUUID(),
  code = newClassCode(),
}: NewClassFor): Promise<SchoolClass> {
  const sequelize = databaseOf(SchoolClass);
  return sequelize.transaction(async (transaction) => {
    const [schoolClass, isNew] = await SchoolClass.findOrCreate({
      where: { id },
      defaults: { id, schoolId, name, code, founderId: teacherId },
      transaction,
    });
    if (!isNew) {
      if (schoolClass.founderId !== teacherId) throw new Refusal(409, 'This id is in use already.', 'id');
      return schoolClass;
    }
    await HouseRulesVersion.create(
      { classId: id, schoolId, version: 1, name: PRESETS[0]?.name ?? '', rules: DEFAULT_RULES satisfies HouseRules },
      { transaction },
    );
    await ClassTeacher.create({ classId: id, personId: teacherId }, { transaction });
    return schoolClass;
  });
}
