import { completeRules, type HouseRules } from '@green-beam/core';
import { HouseRulesVersion } from './models/classes.ts';
import { notFound } from './refusal.ts';

/** A version of a class’s rules, with the name of the method it comes from. */
export interface NamedRules {
  readonly name: string;
  readonly rules: HouseRules;
}

const KNOWN = new Map<string, NamedRules>();
const MOST_KNOWN = 2000;

/** One version of a class's house rules. Versions never change, so those in use are kept at hand. */
export async function namedRulesOf(classId: string, version: number): Promise<NamedRules> {
  const key = `${classId} ${version}`;
  const known = KNOWN.get(key);
  if (known) return known;
  const row = await HouseRulesVersion.findOne({ where: { classId, version } });
  if (!row) throw notFound();
  const named = { name: row.name, rules: completeRules(row.rules) };
  if (KNOWN.size >= MOST_KNOWN) KNOWN.clear();
  KNOWN.set(key, named);
  return named;
}

/** As `namedRulesOf`, without the name. */
export async function rulesOf(classId: string, version: number): Promise<HouseRules> {
  return (await namedRulesOf(classId, version)).rules;
}

/** The rules of several versions at once, by version. */
export async function rulesByVersion(
  classId: string,
  versions: readonly number[],
): Promise<ReadonlyMap<number, HouseRules>> {
  const distinct = [...new Set(versions)];
  const all = await Promise.all(distinct.map((version) => rulesOf(classId, version)));
  return new Map(distinct.map((version, i) => [version, all[i] ?? completeRules()]));
}
