import { addDays, setHours, startOfDay, subDays } from 'date-fns';
import { SetRound } from '../models/bench.ts';
import { CYLINDERS } from './sample-attempts.ts';
import { DEMO_CLASS, DEMO_SCHOOL, DEMO_TEACHER } from './people.ts';

function roundId(number: number): string {
  return `5a17a4b0-0000-4000-8000-00000000e${String(number).padStart(3, '0')}`;
}

/** The round with which everybody began. */
export const FIRST_ROUND = roundId(2);

/** What is worked in the lesson under way. */
export const LESSON_SET = {
  id: roundId(1),
  subjectIds: ['burette-25', 'burette-50'],
  length: 6,
  aims: ['final-as-delivered', 'upside-down'],
  tries: 2,
  hints: true,
  onPaper: false,
  given: null,
};

/** What Heron 9 has been set: cylinders to begin with, a round on paper, and burettes for next week. */
export async function seedSetRounds(now: Date): Promise<void> {
  const base = {
    classId: DEMO_CLASS,
    schoolId: DEMO_SCHOOL,
    setBy: DEMO_TEACHER,
    tries: 2,
    hints: true,
    studentIds: null,
    rulesVersion: null,
  };
  await SetRound.bulkCreate([
    {
      ...base,
      ...LESSON_SET,
      title: 'Burettes, both readings',
      dueAt: setHours(startOfDay(addDays(now, 5)), 9),
      createdAt: subDays(now, 1),
    },
    {
      ...base,
      id: roundId(3),
      title: 'Away from the laptops',
      subjectIds: [],
      length: 10,
      aims: [],
      tries: 1,
      hints: false,
      onPaper: true,
      dueAt: setHours(startOfDay(addDays(now, 2)), 9),
      createdAt: subDays(now, 2),
    },
    {
      ...base,
      id: FIRST_ROUND,
      title: 'Cylinders, to begin with',
      subjectIds: [...CYLINDERS],
      length: 10,
      aims: [],
      dueAt: setHours(startOfDay(subDays(now, 9)), 16),
      createdAt: subDays(now, 21),
    },
  ]);
}
