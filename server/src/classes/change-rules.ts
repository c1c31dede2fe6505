import type { NewRules, RulesShown } from '@green-beam/contract';
import { completeRules, contradictionIn, type HouseRules } from '@green-beam/core';
import type { Transaction } from 'sequelize';
import { databaseOf } from '../database.ts';
import { HouseRulesVersion, SchoolClass } from '../models/classes.ts';
import { notFound, Refusal } from '../refusal.ts';

/** Adds a version of rules to a class, for all of it or for one round. @returns the version’s number. */
export async function addRules(
  { classId, schoolId }: { readonly classId: string; readonly schoolId: string },
  name: string,
  rules: HouseRules,
  transaction?: Transaction,
): Promise<number> {
  const last = await HouseRulesVersion.max<number, HouseRulesVersion>('version', { where: { classId }, transaction });
  const version = last + 1;
  await HouseRulesVersion.create({ classId, schoolId, version, name, rules }, { transaction });
  return version;
}

/**
 * Adds a version of a class’s rules and makes it the present one. What was judged by an earlier version stays as it was.
 * @throws HouseRuleError naming the rule; Refusal (409) when the rules were changed meanwhile.
 */
export async function changeRules(
  { id: classId, schoolId }: SchoolClass,
  { name, rules: given, after }: NewRules,
): Promise<RulesShown> {
  const rules = completeRules(given);
  const contradiction = contradictionIn(rules);
  if (contradiction) throw contradiction;
  const sequelize = databaseOf(SchoolClass);
  return sequelize.transaction(async (transaction) => {
    const schoolClass = await SchoolClass.findOne({
      where: { id: classId },
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    if (!schoolClass) throw notFound();
    if (schoolClass.rulesVersion !== after)
      throw new Refusal(
        409,
        'Somebody else changed these rules in the meantime. Load the page again to see their rules. Yours were not saved.',
        'after',
      );
    const version = await addRules({ classId, schoolId }, name, rules, transaction);
    await schoolClass.update({ rulesVersion: version }, { transaction });
    return { name, version, rules };
  });
}
