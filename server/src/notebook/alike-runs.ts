import type { AlikeRun } from '@green-beam/contract';
import { alike } from '@green-beam/core';
import { Op } from 'sequelize';
import { RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { Person } from '../models/people.ts';
import { labelOf } from '../auth/labels.ts';
import { settingOfRun } from './setting-of-run.ts';

/** Other groups’ runs of the same laboratory with the same readings in every place: for the teacher to ask about. */
export async function alikeRuns(run: RunRow): Promise<AlikeRun[]> {
  const { classId, id, protocolId } = run;
  if (run.given !== null) return [];
  const others = await RunRow.findAll({ where: { classId, protocolId, given: null, id: { [Op.ne]: id } } });
  if (others.length === 0) return [];
  const ids = others.map((other) => other.id);
  const rows = await RunEventRow.findAll({ where: { classId, runId: [id, ...ids] }, order: [['serverOrder', 'ASC']] });
  const own = await settingOfRun(run, rows);
  const found: AlikeRun[] = [];
  for (const other of others) {
    const same = alike(own, await settingOfRun(other, rows));
    if (!same) continue;
    const members = await RunMember.findAll({ where: { classId, runId: other.id, joinedAt: { [Op.not]: null } } });
    const people = await Person.findAll({ where: { id: members.map(({ personId }) => personId) } });
    found.push({ ...same, specimen: other.specimen, members: people.map((person) => labelOf(person, 'short')).sort() });
  }
  return found;
}
