import { randomUUID } from 'node:crypto';
import type { BenchRound } from '@green-beam/contract';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { knownOf } from '../src/bench/tutor.ts';
import { NOTHING_KNOWN } from '../src/drawing/knowledge.ts';
import { StudentBelief } from '../src/models/tutor.ts';
import { sameSomeMinutesAgo } from './entries-ago.ts';
import { openClassroom, type Classroom } from './harness.ts';

let room: Classroom;

beforeAll(async () => {
  room = await openClassroom();
});
afterAll(() => room.server.stop());

const who = () => ({ classId: room.classId, schoolId: room.school.id, personId: room.studentId });
const kept = (): Promise<number> => StudentBelief.count({ where: { classId: room.classId } });

async function enterWithoutUnit(count: number): Promise<void> {
  const { body } = await room.student.post(`/classes/${room.classId}/rounds`, { subjectIds: ['cylinder-50'] });
  for (const { id: taskId } of (body as BenchRound).tasks.slice(0, count))
    await room.student.post(`/classes/${room.classId}/attempts`, {
      id: randomUUID(),
      taskId,
      kind: 'reading',
      entry: '31.4',
      eyeHeight: 0,
      actions: [],
      hints: 0,
      timeTaken: 4000,
    });
}

describe('what is known of a student', () => {
  it('is nothing before the first entry', async () => {
    expect(await knownOf(who(), room.server.drawing)).toEqual(NOTHING_KNOWN);
    expect(await kept()).toBe(0);
  });

  it('takes the newest entries into account, and is not kept before they have settled', async () => {
    await enterWithoutUnit(3);
    const known = await knownOf(who(), room.server.drawing);
    expect(known.reading.readings).toBe(3);
    expect(known.reading.belief['unit-missing']).toBeGreaterThan(
      NOTHING_KNOWN.reading.belief['unit-missing'] ?? Infinity,
    );
    expect(await kept()).toBe(0);
    expect(await knownOf(who(), room.server.drawing)).toEqual(known);
  });

  it('is kept once they have settled; it comes out the same, and nothing is counted twice', async () => {
    const other = { ...who(), personId: room.students[1] ?? '' };
    await sameSomeMinutesAgo({ classId: room.classId, personId: room.studentId }, other.personId, 2);
    const known = await knownOf(who(), room.server.drawing);
    for (let again = 0; again < 2; again += 1) {
      expect(await knownOf(other, room.server.drawing)).toEqual(known);
      expect(await kept()).toBe(2);
    }
  });
});
