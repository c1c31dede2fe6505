import { randomUUID } from 'node:crypto';
import { isDeepStrictEqual } from 'node:util';
import type { LabSheetFault, RunFile } from '@green-beam/contract';
import {
  completeRules,
  contradictionIn,
  CORE_VERSION,
  GROUP,
  type Address,
  type HouseRules,
  type Protocol,
} from '@green-beam/core';
import type { CreationAttributes } from 'sequelize';
import type { ClassAccess } from '../auth/access.ts';
import { labelOf } from '../auth/labels.ts';
import { addRules } from '../classes/change-rules.ts';
import { rosterOf } from '../classes/roster.ts';
import { databaseOf } from '../database.ts';
import type { Drawing } from '../drawing/drawing.ts';
import { HouseRulesVersion, type SchoolClass } from '../models/classes.ts';
import { RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { Refusal } from '../refusal.ts';
import { checkPlaces } from './places.ts';
import { storeEntries } from './store-entries.ts';

type Entries = RunFile['events'];

/** So often options and members change in a file: at each the places of the page are found anew. */
const MOST_CHANGES = 200;

/** The class’s rules that are these; added beside the present ones where it has had none like them. */
async function versionOf(
  schoolClass: SchoolClass,
  { name, rules }: { name: string; rules: HouseRules },
): Promise<number> {
  const { id: classId, schoolId } = schoolClass;
  const versions = await HouseRulesVersion.findAll({ where: { classId }, order: [['version', 'DESC']] });
  const same = versions.find((row) => isDeepStrictEqual(completeRules(row.rules), rules));
  return same?.version ?? addRules({ classId, schoolId }, name, rules);
}

/** Who of the class wrote it, by the ids in the file: the same person, else the one student of that name. */
async function studentsIn(classId: string, people: RunFile['people']): Promise<Map<string, string>> {
  const roster = await rosterOf(classId, 'all');
  const byLabel = (label: unknown): string[] =>
    roster.filter(({ person }) => labelOf(person, 'short') === label).map(({ personId }) => personId);
  return new Map(
    Object.entries(people).flatMap(([id, label]) => {
      if (roster.some(({ personId }) => personId === id)) return [[id, id]];
      const [one, another] = byLabel(label);
      return one !== undefined && another === undefined ? [[id, one]] : [];
    }),
  );
}

/** Pieces of a log between which options and members change: the places of a piece are those that the page had then. */
function pieces(entries: Entries): Entries[] {
  const found: Entries[] = [[]];
  for (const entry of entries) {
    const { kind } = entry.address as Address;
    if (kind === 'option' || kind === 'members') found.push([]);
    found.at(-1)?.push(entry);
  }
  return found.filter((piece) => piece.length > 0);
}

function checkEntries(protocol: Protocol, entries: Entries, rules: HouseRules): void {
  const seen = new Set<string>();
  for (const { id, replaces } of entries) {
    if (seen.has(id)) throw new Refusal(400, 'Two entries have the same id.', 'file.events');
    if (replaces !== null && !seen.has(replaces))
      throw new Refusal(400, 'An entry corrects one that does not stand before it.', 'file.events');
    seen.add(id);
  }
  const parts = pieces(entries);
  if (parts.length > MOST_CHANGES)
    throw new Refusal(400, `Options and members change more than ${MOST_CHANGES} times.`, 'file.events');
  const before: Entries = [];
  for (const piece of parts) {
    checkPlaces(
      protocol,
      before.map((entry, i) => ({ ...entry, address: entry.address as Address, order: i + 1 })),
      piece.map((entry) => ({ ...entry, address: entry.address as Address })),
      rules,
    );
    before.push(...piece);
  }
}

/** Whose own work an entry is, by the ids that people have here. */
function withAuthor(address: Address, here: (id: string) => string): Address {
  return 'author' in address && address.author !== undefined && address.author !== GROUP
    ? { ...address, author: here(address.author) }
    : address;
}

/**
 * Takes in a run from a file: the same entries in the same order, by the same rules. Who wrote it and is not in the class is shown as who
 * takes it in. The same one sent twice is taken in once.
 * @returns what is wrong in its laboratory: then nothing is taken in.
 */
export async function importRun(
  access: ClassAccess,
  { id: runId, file }: { readonly id: string; readonly file: RunFile },
  drawing: Drawing,
): Promise<LabSheetFault[]> {
  const { schoolClass, caller } = access;
  const { id: classId, schoolId } = schoolClass;
  const before = await RunRow.findOne({ where: { classId, id: runId } });
  if (before && before.startedBy !== caller.personId) throw new Refusal(409, 'This id is in use already.', 'id');
  if (before?.resultsBy) return [];
  const faults = await drawing.labSheetFaults(file.protocol);
  if (faults.length > 0) return faults.map(({ path, reason }) => ({ path: `protocol.${path}`, reason }));
  const protocol = file.protocol as unknown as Protocol;
  const rules = completeRules(file.rules.rules);
  const contradiction = contradictionIn(rules);
  if (contradiction) throw contradiction;
  checkEntries(protocol, file.events, rules);
  const students = await studentsIn(classId, file.people);
  const here = (id: string): string => students.get(id) ?? caller.personId;
  const rulesVersion = await versionOf(schoolClass, { name: file.rules.name, rules });
  const ids = new Map(file.events.map(({ id }) => [id, randomUUID() as string]));
  if (!before)
    await databaseOf(RunRow).transaction(async (transaction) => {
      await RunRow.create(
        {
          classId,
          id: runId,
          schoolId,
          protocolId: protocol.id,
          protocol,
          arrangement: { ...file.arrangement },
          specimen: file.specimen,
          rulesVersion,
          startedBy: caller.personId,
          startedAt: new Date(file.startedAt),
        },
        { transaction },
      );
      await RunMember.bulkCreate(
        [...new Set(students.values())].map((personId) => ({ classId, runId, personId, joinedAt: new Date() })),
        { transaction },
      );
    });
  const entries = file.events.map(
    ({ id, address, text, replaces, reason, person, deviceTime, clockAhead }): CreationAttributes<RunEventRow> => ({
      classId,
      runId,
      schoolId,
      id: ids.get(id) ?? id,
      personId: here(person),
      address: withAuthor(address as Address, here),
      text,
      replaces: replaces === null ? null : (ids.get(replaces) ?? null),
      reason,
      deviceTime: new Date(deviceTime),
      clockAhead,
      coreVersion: CORE_VERSION,
    }),
  );
  await storeEntries({ classId, runId }, { entries }, drawing);
  return [];
}
