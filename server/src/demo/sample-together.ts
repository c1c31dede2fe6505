import { randomUUID } from 'node:crypto';
import {
  completeRules,
  CORE_VERSION,
  readingTask,
  seededRandom,
  writtenUnitOf,
  instrumentById,
  type Random,
} from '@green-beam/core';
import { addMinutes, addSeconds, subDays } from 'date-fns';
import { TogetherAnswerRow, TogetherRow } from '../models/together.ts';
import { judged } from '../together/task-of-room.ts';
import { DEMO_CLASS, DEMO_SCHOOL, DEMO_TEACHER, HERON_STUDENTS } from './people.ts';

const TOOL = 'burette-50';
const VALUE = 27.54;
const SEED = 54;

/** How a room reads: before it has talked about the eye, and after. In mL. */
const ROOMS = [
  { off: -0.03, scatter: 0.055, slips: { 3: '27.46 mL', 8: '28.54 mL', 15: '27.5 mL' } },
  { off: 0, scatter: 0.016, slips: { 8: '27.46 mL' } },
] as const satisfies readonly {
  readonly off: number;
  readonly scatter: number;
  readonly slips: Readonly<Record<number, string>>;
}[];

/** In mm above the mark: an eye that has not been levelled, or one that has. */
function eyeOf(off: number, random: Random): number {
  return off === 0 ? 0 : Math.round(40 + 20 * random.normal());
}

/** Two readings of one burette: the room before it talked about the level of the eye, and after. */
export async function seedTogether(now: Date): Promise<void> {
  const rules = completeRules();
  const situation = { value: VALUE };
  const task = readingTask(TOOL, situation, rules);
  const random = seededRandom(SEED);
  const readers = HERON_STUDENTS.slice(0, 22);
  const seriesId = randomUUID();
  const day = subDays(now, 6);
  for (const [i, { off, scatter, slips }] of ROOMS.entries()) {
    const id = i === 0 ? seriesId : randomUUID();
    const startedAt = addMinutes(day, 9 * i);
    const stoppedAt = addMinutes(startedAt, 3);
    await TogetherRow.create({
      classId: DEMO_CLASS,
      id,
      schoolId: DEMO_SCHOOL,
      openedBy: DEMO_TEACHER,
      seriesId,
      number: i + 1,
      kind: 'picture',
      instrumentId: TOOL,
      situation,
      title: '',
      unit: writtenUnitOf(instrumentById(TOOL), rules),
      rulesVersion: 1,
      startedAt,
      stoppedAt,
      shownAt: i === ROOMS.length - 1 ? addMinutes(stoppedAt, 3) : null,
      endedAt: addMinutes(day, 30),
    });
    await TogetherAnswerRow.bulkCreate(
      readers.map(({ id: personId }, k) => {
        const read = `${(VALUE + off + scatter * random.normal()).toFixed(2)} mL`;
        const entry = (slips as Readonly<Record<number, string>>)[k] ?? read;
        const eyeHeight = eyeOf(off, random);
        return {
          classId: DEMO_CLASS,
          roundId: id,
          personId,
          firstEntry: entry,
          entry,
          eyeHeight,
          diagnosis: judged(task, { kind: 'picture' }, entry, eyeHeight),
          answeredAt: addSeconds(startedAt, 30 + 5 * k),
          coreVersion: CORE_VERSION,
        };
      }),
    );
  }
}
