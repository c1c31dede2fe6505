import type { AlikeRun } from '@green-beam/contract';
import { alike, FEWEST_ALIKE } from '@green-beam/core';
import { Op, QueryTypes } from 'sequelize';
import { databaseOf } from '../database.ts';
import { RunEventRow, RunMember, RunRow } from '../models/notebook.ts';
import { Person } from '../models/people.ts';
import { labelOf } from '../auth/labels.ts';
import { settingOfRun } from './setting-of-run.ts';

/** Runs of the same laboratory in which so much was entered at the same places as here that they may be alike. */
async function withSharedEntries({ classId, id, protocolId }: RunRow): Promise<string[]> {
  const rows = await databaseOf(RunRow).query<{ readonly run_id: string }>(
    `with own as (
       select distinct address, trim(text) as text from run_events
       where class_id = :classId and run_id = :id and address ->> 'kind' = 'cell' and trim(text) <> ''
     )
     select events.run_id from run_events events
     join runs on runs.class_id = events.class_id and runs.id = events.run_id
     join own on own.address = events.address and own.text = trim(events.text)
     where events.class_id = :classId and runs.protocol_id = :protocolId and events.run_id <> :id
     group by events.run_id having count(distinct events.address) >= :fewest`,
    { type: QueryTypes.SELECT, replacements: { classId, id, protocolId, fewest: FEWEST_ALIKE } },
  );
  return rows.map(({ run_id: runId }) => runId);
}

/** Other groups’ runs of the same laboratory with the same readings in every place: for the teacher to ask about. */
export async function alikeRuns(run: RunRow): Promise<AlikeRun[]> {
  const { classId, id } = run;
  if (run.given !== null) return [];
  const others = await RunRow.findAll({ where: { classId, given: null, id: await withSharedEntries(run) } });
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
