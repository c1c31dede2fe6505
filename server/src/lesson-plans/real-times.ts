import type { RealTime } from '@green-beam/contract';
import { realSteps } from '@green-beam/core';
import { addHours, subMinutes } from 'date-fns';
import { Op } from 'sequelize';
import type { LessonPlanRow } from '../models/lesson-plans.ts';
import { RunEventRow, RunRow } from '../models/notebook.ts';

/** What is written so long after the beginning belongs to another lesson, in hours; so long before it, in minutes, to setting up. */
const LASTS_AT_MOST = 6;
const EARLY = 10;
const MS_PER_MINUTE = 60_000;

/**
 * How a lesson went, by what its groups have written since it began. A group is known by its number: the pages of a laboratory that were
 * written on in the lesson, in the order in which they stand in class work.
 */
export async function realTimes({ classId, beganAt, draft }: LessonPlanRow): Promise<RealTime[]> {
  if (!beganAt) return [];
  const events = await RunEventRow.findAll({
    attributes: ['runId', 'address', 'deviceTime'],
    where: {
      classId,
      deviceTime: { [Op.between]: [subMinutes(beganAt, EARLY), addHours(beganAt, LASTS_AT_MOST)] },
    },
  });
  const runs = await RunRow.findAll({
    attributes: ['id', 'protocolId', 'protocol', 'startedAt'],
    where: { classId, id: [...new Set(events.map(({ runId }) => runId))], protocolId: draft.stations },
    order: [
      ['startedAt', 'ASC'],
      ['id', 'ASC'],
    ],
  });
  return draft.stations.flatMap((station) =>
    runs
      .filter(({ protocolId }) => protocolId === station)
      .slice(0, draft.groups)
      .flatMap(({ id, protocol }, group) => {
        const written = events.flatMap(({ runId, address, deviceTime }) =>
          runId === id && 'kind' in address && address.kind === 'cell' ? [{ address, at: deviceTime.getTime() }] : [],
        );
        const minute = (at: number): number => (at - beganAt.getTime()) / MS_PER_MINUTE;
        return realSteps(protocol, written).map(({ step, from, to }): RealTime => ({
          group,
          step: `${station}/${step}`,
          from: minute(from),
          to: minute(to),
        }));
      }),
  );
}
