import { FIRST_TOOLS, instrumentIds } from '@green-beam/core';
import { databaseOf } from '../database.ts';
import { SchoolClass } from '../models/classes.ts';
import { Refusal } from '../refusal.ts';

/** The tools a class has met, in the order of the catalogue; none at first. */
export function metTools({ metTools: met }: Pick<SchoolClass, 'metTools'>): string[] {
  return instrumentIds().filter((id) => met.includes(id));
}

/** What is practised by who just goes on: the tools the class has met, or the first ones. */
export function practisedTools(schoolClass: Pick<SchoolClass, 'metTools'>): string[] {
  const met = metTools(schoolClass);
  return met.length > 0 ? met : [...FIRST_TOOLS];
}

/** @throws Refusal naming what is no tool. */
export function checkTool(id: string): void {
  if (!instrumentIds().includes(id)) throw new Refusal(400, `“${id}” is not a tool on the bench.`, 'toolId');
}

/** Notes that a class has met some tools; kinds of exercises among them are passed over. */
export async function meetTools(classId: string, ids: readonly string[]): Promise<void> {
  const met = ids.filter((id) => instrumentIds().includes(id));
  if (met.length === 0) return;
  await databaseOf(SchoolClass).query(
    `update classes set met_tools = array(select distinct unnest(met_tools || array[:met]::text[])) where id = :classId`,
    { replacements: { met, classId } },
  );
}

/** Notes that a class has not met a tool after all. */
export async function unmeetTool(classId: string, id: string): Promise<void> {
  await databaseOf(SchoolClass).query(
    `update classes set met_tools = array_remove(met_tools, :id) where id = :classId`,
    {
      replacements: { id, classId },
    },
  );
}
