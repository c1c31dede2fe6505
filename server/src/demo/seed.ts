import { seededRandom } from '@green-beam/core';
import type { Sequelize } from 'sequelize';
import { hashSecret } from '../auth/passwords.ts';
import { meetTools } from '../bench/met-tools.ts';
import { keep } from '../bench/tutor.ts';
import { createClass } from '../classes/create-class.ts';
import { Attempt, Round, Task } from '../models/bench.ts';
import { ClassTeacher, Student } from '../models/classes.ts';
import { Account, Person, School } from '../models/people.ts';
import {
  DEMO_CLASS,
  DEMO_CLASS_CODE,
  DEMO_CO_TEACHER,
  DEMO_OTHER_CLASS,
  DEMO_OTHER_CLASS_CODE,
  DEMO_PIN,
  DEMO_SCHOOL,
  DEMO_TEACHER,
  HERON_STUDENTS,
  PLOVER_STUDENTS,
  SAMPLE_TEACHERS,
  type SampleStudent,
} from './people.ts';
import { sampleWork } from './sample-attempts.ts';
import { seedCabinet } from './sample-cabinet.ts';
import { seedLabSheets } from './sample-lab-sheets.ts';
import { seedClassWork } from './sample-class-work.ts';
import { seedPairs } from './sample-pairs.ts';
import { seedPlan } from './sample-plan.ts';
import { seedRuns } from './sample-runs.ts';
import { seedTogether } from './sample-together.ts';
import { FIRST_ROUND, LESSON_SET, seedSetRounds } from './sample-set-rounds.ts';

async function seedTeachers(): Promise<void> {
  for (const { id, givenName, familyName, email, role } of SAMPLE_TEACHERS) {
    await Person.create({ id, schoolId: DEMO_SCHOOL, givenName, familyName });
    await Account.create({ personId: id, schoolId: DEMO_SCHOOL, role, email, passwordHash: null });
  }
}

interface SampleClass {
  readonly classId: string;
  readonly name: string;
  readonly code: string;
  readonly students: readonly SampleStudent[];
  readonly seed: number;
  /** Whether everybody’s first round was one that was set. */
  readonly begunTogether: boolean;
}

async function seedClass(
  { classId, name, code, students, seed, begunTogether }: SampleClass,
  now: Date,
): Promise<void> {
  const schoolId = DEMO_SCHOOL;
  await createClass({ id: classId, schoolId, teacherId: DEMO_TEACHER, name, code });
  await ClassTeacher.create({ classId, personId: DEMO_CO_TEACHER });
  const pinHash = await hashSecret(DEMO_PIN);
  await Person.bulkCreate(students.map(({ id, givenName, familyName }) => ({ id, schoolId, givenName, familyName })));
  await Student.bulkCreate(
    students.map(({ id, hasPin }) => ({ classId, personId: id, schoolId, pinHash: hasPin ? pinHash : null })),
  );
  const random = seededRandom(seed);
  const works = students.map((student) => sampleWork({ classId, schoolId }, student, random, now, LESSON_SET));
  if (begunTogether) await seedSetRounds(now);
  await Round.bulkCreate(
    works.flatMap(({ rounds }) =>
      rounds.map((round, i) => ({
        ...round,
        ...(begunTogether && i === 0 && { setRoundId: FIRST_ROUND }),
        ...(round.createdAt && { takenUpAt: round.createdAt }),
      })),
    ),
  );
  await Task.bulkCreate(works.flatMap((work) => work.tasks));
  const attempts = works
    .flatMap((work) => work.attempts)
    .sort((a, b) => (a.createdAt?.getTime() ?? 0) - (b.createdAt?.getTime() ?? 0));
  await Attempt.bulkCreate(attempts);
  const last = await Attempt.max<string, Attempt>('serverOrder', { where: { classId } });
  await meetTools(classId, [...new Set(attempts.map(({ subjectId }) => subjectId))]);
  await Promise.all(
    works.map(({ known }, i) => keep({ classId, schoolId, personId: students[i]?.id ?? '' }, known, last)),
  );
}

/** Fills an empty database with the sample world; `fresh` empties it first. */
export async function seedDemo(
  sequelize: Sequelize,
  { fresh, now = new Date() }: { fresh: boolean; now?: Date },
): Promise<void> {
  if (fresh) await sequelize.query('truncate schools, sessions, allowances, known_devices, one_time_links cascade');
  if (await School.findByPk(DEMO_SCHOOL)) return;
  await School.create({ id: DEMO_SCHOOL, name: 'Saltmarsh School' });
  await seedTeachers();
  await seedClass(
    {
      classId: DEMO_CLASS,
      name: 'Heron 9',
      code: DEMO_CLASS_CODE,
      students: HERON_STUDENTS,
      seed: 90,
      begunTogether: true,
    },
    now,
  );
  await seedClass(
    {
      classId: DEMO_OTHER_CLASS,
      name: 'Plover 10',
      code: DEMO_OTHER_CLASS_CODE,
      students: PLOVER_STUDENTS,
      seed: 100,
      begunTogether: false,
    },
    now,
  );
  await seedCabinet(now);
  await seedRuns(now);
  await seedClassWork(now);
  await seedLabSheets(now);
  await seedTogether(now);
  await seedPairs(now);
  await seedPlan();
}
