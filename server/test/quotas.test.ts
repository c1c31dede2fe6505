import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { databaseOf } from '../src/database.ts';
import { Student } from '../src/models/classes.ts';
import { Person } from '../src/models/people.ts';
import { checkRoom, withinRate } from '../src/quotas.ts';
import { openClassroom, streamOf, type Classroom } from './harness.ts';

let room: Classroom;
const url = (path: string): string => `/classes/${room.classId}${path}`;

beforeAll(async () => {
  room = await openClassroom();
});
afterAll(() => room.server.stop());

describe('rounds', () => {
  it('are drawn so many at once and then one every second, by whichever server process', async () => {
    const person = randomUUID();
    const begun = Date.now();
    const drawn = async (tries: number): Promise<number> => {
      const outcomes = await Promise.allSettled(Array.from({ length: tries }, () => withinRate('round', person)));
      return outcomes.filter(({ status }) => status === 'fulfilled').length;
    };
    // On a slow machine seconds go by meanwhile, and each gives one more.
    const secondsSince = (): number => Math.ceil((Date.now() - begun) / 1000);
    const first = await drawn(200);
    expect(first).toBeGreaterThanOrEqual(120);
    expect(first).toBeLessThanOrEqual(120 + secondsSince());
    await databaseOf(Person).query(`update allowances set at = at - interval '3 seconds'`);
    const all = first + (await drawn(60));
    expect(all).toBeGreaterThanOrEqual(123);
    expect(all).toBeLessThanOrEqual(123 + secondsSince());
  });

  it('are refused with the time to wait', async () => {
    await databaseOf(Person).query(
      `insert into allowances (key, most, every, used, at) values (:key, 120, 1, 120, now())`,
      { replacements: { key: `round:${room.studentId}` } },
    );
    const { status, body, headers } = await room.student.post(url('/rounds'), { subjectIds: ['cylinder-50'] });
    expect([status, body.message]).toEqual([429, expect.stringMatching(/^That was a lot in a short time. Wait /)]);
    expect(headers.get('retry-after')).toBe('1');
  });
});

describe('streams', () => {
  it('of one session are twelve at most, and one that is closed makes room', async () => {
    const open = await Promise.all(Array.from({ length: 12 }, () => streamOf(room.student, url('/events'))));
    expect((await room.student.get(url('/events'))).status).toBe(429);
    const others = await streamOf(room.teacherSignedIn, url('/events'));
    others.close();
    open.shift()?.close();
    await expect
      .poll(async () => {
        const again = await streamOf(room.student, url('/events'));
        const text = await again.until(/retry|message/);
        again.close();
        return text;
      })
      .toContain('retry');
    open.forEach((stream) => stream.close());
  });
});

describe('what a class holds', () => {
  it('has an end, and says what to do', async () => {
    const students = { classId: room.classId };
    await expect(checkRoom('students', Student, students, 398)).resolves.toBeUndefined();
    await expect(checkRoom('students', Student, students, 399)).rejects.toMatchObject({
      status: 409,
      message: 'A class has room for 400 students. Delete what you do not need, or begin a new one.',
    });
  });
});
