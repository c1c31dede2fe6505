import { foldRun, isReadingPlace, type GivenEntry, type Protocol } from '@green-beam/core';
import { toolsShown } from '../cabinet/tools-shown.ts';
import type { Drawing } from '../drawing/drawing.ts';
import type { SchoolClass } from '../models/classes.ts';
import { RunRow } from '../models/notebook.ts';
import { eventsOf, logOf } from '../notebook/log.ts';
import { inLog } from '../notebook/tools-of-cabinet.ts';
import { Refusal } from '../refusal.ts';
import { rulesOf } from '../rules.ts';

/** What stands on a page of the class, to be given to somebody else: its readings, without what anybody made of them. */
export async function copiedReadings(classId: string, lab: Protocol, runId: string): Promise<GivenEntry[]> {
  const run = await RunRow.findOne({ where: { classId, id: runId } });
  if (!run) throw new Refusal(400, 'The page to copy from was not found in this class.', 'groups');
  if (run.protocolId !== lab.id)
    throw new Refusal(400, 'The page to copy from is one of another laboratory.', 'groups');
  if (run.protocol.version !== lab.version)
    throw new Refusal(400, 'The page to copy from goes by another version of this laboratory.', 'groups');
  const slots = foldRun({ events: eventsOf(await logOf({ classId, runId })) });
  const entries = [...slots.values()].flatMap(({ current: { address, text, reason } }): GivenEntry[] =>
    isReadingPlace(address) && text.trim() !== '' ? [{ address, text, reason }] : [],
  );
  if (!entries.some(({ address }) => address.kind === 'cell'))
    throw new Refusal(400, 'There are no readings yet on the page to copy from.', 'groups');
  return entries;
}

/** Draws the readings of several pages, each different, on the usable tools of the class’s cabinet where it has such ones. */
export async function drawnReadings(
  { id, rulesVersion }: SchoolClass,
  lab: Protocol,
  { sample, count, seed }: { sample: number; count: number; seed: number },
  drawing: Drawing,
): Promise<GivenEntry[][]> {
  if (sample >= lab.samples.length)
    throw new Refusal(400, `This laboratory has ${lab.samples.length} examples.`, 'groups');
  const cabinet = (await toolsShown(id)).filter(({ state }) => state !== 'out-of-use').map(inLog);
  const rules = await rulesOf(id, rulesVersion);
  const runs = await drawing.given({ protocol: lab, count, sample, seed, rules, cabinet });
  return runs.map((entries) => entries.filter(({ address }) => isReadingPlace(address)));
}
