import {
  cautionsFor,
  completeRules,
  drawTask,
  FIRST_TOOLS,
  hintsFor,
  instrumentById,
  pictureOf,
  plannedItems,
  questionFor,
  toolSubject,
  TRIES,
  writtenUnitOf,
} from '@green-beam/core';
import { newId } from '../../../outbox/new-id.ts';
import type { VisitorItems } from './visitor-bench.ts';

/** The first picture a visitor sees. */
const FIRST = { subjectId: 'cylinder-50', seed: 0, aim: [] };

const READINGS: Omit<VisitorItems, 'opening'> = {
  plan: (ids, seed) => plannedItems((ids.length > 0 ? ids : FIRST_TOOLS).map(toolSubject), seed, completeRules()),
  drawn: ({ subjectId, seed, aim }, position) => {
    const task = drawTask(subjectId, { seed, aim });
    return {
      task,
      shown: {
        id: newId(),
        position,
        question: questionFor(task),
        picture: pictureOf(task),
        hints: hintsFor(task),
        cautions: cautionsFor(task),
        unit: writtenUnitOf(instrumentById(subjectId), task.rules),
        tries: TRIES,
        toolCode: null,
        state: 'open',
        rightAtFirst: false,
      },
    };
  },
};

/** Rounds of readings, for who looks in without signing in. @param subjectIds tools of the first round; none for a mix. */
export function visitorReadings(subjectIds: readonly string[]): VisitorItems {
  return { ...READINGS, opening: { subjectIds, ...(subjectIds.length === 0 && { first: FIRST }) } };
}
