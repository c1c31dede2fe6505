import { randomUUID } from 'node:crypto';
import type { ClassDetails } from '@green-beam/contract';
import type { Request } from 'express';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { accountOf, guessing } from '../src/auth/sign-in-limits.ts';
import { databaseOf } from '../src/database.ts';
import { Person } from '../src/models/people.ts';
import { asStudent, makeStudent, makeTeacher, openClassroom, PASSWORD, Visitor, type Classroom } from './harness.ts';

let room: Classroom;
let studentId: string;

beforeAll(async () => {
  room = await openClassroom();
});
afterAll(() => room.server.stop());
beforeEach(async () => {
  studentId = await makeStudent(room.schoolClass, 'Ilse', randomUUID().slice(0, 8));
});

const guest = (): Promise<Visitor> => new Visitor(room.server.base).open();
const tried = async (visitor: Visitor, pin: string): Promise<number> =>
  (await visitor.post('/session/student', { code: room.schoolClass.code, studentId, pin })).status;

/** As if so much time had gone by, by the clock of the database. */
function later(interval: string): Promise<unknown> {
  return databaseOf(Person).query(`update allowances set at = at - interval '${interval}'`);
}

/** A guess at an account as it comes from some address, at a browser where nobody has signed in. */
async function guessFrom(address: string, account: string): Promise<'looked at' | 'refused'> {
  const request = { ip: address, headers: {} } as unknown as Request;
  try {
    await guessing(request, account, 'your teacher', () => Promise.resolve(null));
    return 'looked at';
  } catch {
    return 'refused';
  }
}

async function lookedAt(addresses: readonly string[], account: string): Promise<number> {
  const outcomes = await Promise.all(addresses.map((address) => guessFrom(address, account)));
  return outcomes.filter((outcome) => outcome === 'looked at').length;
}

describe('guessing at a PIN from a device that is new to the name', () => {
  it('is stopped after four wrong ones, even for the right one, with the time to wait', async () => {
    const stranger = await guest();
    for (let i = 0; i < 4; i += 1) expect(await tried(stranger, '9999')).toBe(401);
    const { status, body } = await stranger.post('/session/student', {
      code: room.schoolClass.code,
      studentId,
      pin: '1357',
    });
    expect([status, body.message]).toEqual([429, 'Too many wrong tries. Wait 15 minutes, or ask your teacher.']);
  });

  it('is counted before it is looked at: of two hundred at once four get through', async () => {
    const account = accountOf('student', studentId);
    expect(
      await lookedAt(
        Array.from({ length: 200 }, () => '192.0.2.1'),
        account,
      ),
    ).toBe(4);
  });

  it('comes to at most twelve within an hour, from however many addresses', async () => {
    const account = accountOf('student', studentId);
    let all = 0;
    for (let minute = 0; minute < 60; minute += 1) {
      all += await lookedAt(
        Array.from({ length: 3 }, (_, i) => `198.51.100.${minute * 3 + i}`),
        account,
      );
      await later('1 minute');
    }
    expect(all).toBeGreaterThanOrEqual(6);
    expect(all).toBeLessThanOrEqual(12);
  });

  it('comes back with time, and a right one uses nothing up', async () => {
    for (let i = 0; i < 4; i += 1) expect(await tried(await guest(), '9999')).toBe(401);
    expect(await tried(await guest(), '1357')).toBe(429);
    await later('16 minutes');
    for (let i = 0; i < 3; i += 1) expect(await tried(await guest(), '1357')).toBe(200);
  });

  it('is not used up by guesses that could not be looked at', async () => {
    const account = accountOf('student', studentId);
    const request = { ip: '192.0.2.7', headers: {} } as unknown as Request;
    const away = (): Promise<never> => Promise.reject(new Error('The database is away.'));
    for (let i = 0; i < 8; i += 1)
      await expect(guessing(request, account, 'your teacher', away)).rejects.toThrow('The database is away.');
    expect(
      await lookedAt(
        Array.from({ length: 5 }, () => '192.0.2.7'),
        account,
      ),
    ).toBe(4);
  });

  it('does not wait longer when a clock was set back', async () => {
    const account = accountOf('student', studentId);
    expect(await guessFrom('192.0.2.9', account)).toBe('looked at');
    await databaseOf(Person).query(`update allowances set at = at + interval '1 day' where account = :account`, {
      replacements: { account },
    });
    expect(await guessFrom('192.0.2.9', account)).toBe('looked at');
    await later('1 hour');
    expect(await guessFrom('192.0.2.9', account)).toBe('looked at');
  });
});

describe('a device at which somebody has signed in before', () => {
  it('is let in whatever strangers have tried, and has guesses of its own', async () => {
    const own = await asStudent(room.server.base, room.schoolClass.code, studentId);
    for (let i = 0; i < 4; i += 1) await tried(await guest(), '9999');
    expect(await tried(await guest(), '1357')).toBe(429);
    expect(await tried(own, '1357')).toBe(200);
    for (let i = 0; i < 10; i += 1) expect(await tried(own, '9999')).toBe(401);
    expect(await tried(own, '1357')).toBe(429);
    await later('1 minute');
    expect(await tried(own, '1357')).toBe(200);
  });

  it('is no help at another name', async () => {
    const own = await asStudent(room.server.base, room.schoolClass.code, studentId);
    studentId = await makeStudent(room.schoolClass, 'Otto', 'Quist');
    for (let i = 0; i < 4; i += 1) expect(await tried(own, '9999')).toBe(401);
    expect(await tried(own, '9999')).toBe(429);
  });
});

describe('a name that is locked', () => {
  const listed = (details: ClassDetails): boolean | undefined =>
    details.roster.find(({ id }) => id === studentId)?.locked;

  it('is seen by the teacher, who lets it in again with one tap', async () => {
    const url = `/classes/${room.classId}`;
    expect(listed((await room.teacherSignedIn.get(url)).body as ClassDetails)).toBe(false);
    for (let i = 0; i < 4; i += 1) await tried(await guest(), '9999');
    expect(listed((await room.teacherSignedIn.get(url)).body as ClassDetails)).toBe(true);
    const { body } = await room.teacherSignedIn.post(`${url}/students/${studentId}/unlock`);
    expect(listed(body as ClassDetails)).toBe(false);
    expect(await tried(await guest(), '1357')).toBe(200);
  });
});

describe('guessing at a password', () => {
  it('waits in the same way, and tells who can help', async () => {
    const { email } = await makeTeacher(room.school.id, 'forgetful@harbour.example', 'teacher');
    const stranger = await guest();
    for (let i = 0; i < 4; i += 1)
      expect((await stranger.post('/session/teacher', { email, password: 'wrong one entirely' })).status).toBe(401);
    const { status, body } = await stranger.post('/session/teacher', { email, password: PASSWORD });
    expect([status, body.message]).toEqual([429, 'Too many wrong tries. Wait 15 minutes, or ask your administrator.']);
  });

  it('says the same of an address that nobody has', async () => {
    const stranger = await guest();
    const body = { email: 'nobody@harbour.example', password: PASSWORD };
    for (let i = 0; i < 4; i += 1) expect((await stranger.post('/session/teacher', body)).body.field).toBe('password');
    expect((await stranger.post('/session/teacher', body)).status).toBe(429);
  });
});
