import { randomUUID } from 'node:crypto';
import type { NewAttempt } from '@green-beam/contract';
import {
  asOperated,
  DEFAULT_RULES,
  entriesWith,
  EXERCISE_KINDS,
  expectedReading,
  instrumentById,
  isExerciseKind,
  isExerciseTask,
  practiceTask,
  rightEntry,
  startingEye,
  type Action,
  type Exercise,
  type ExerciseTask,
  type PracticeTask,
  type Random,
  type ReadingTask,
  type SlipHistory,
} from '@green-beam/core';
import { addMinutes, addSeconds, subDays, subMinutes } from 'date-fns';
import type { CreationAttributes } from 'sequelize';
import { judgeAttempt } from '../bench/attempt-row.ts';
import { drawRound, type RoundFor } from '../drawing/draw-round.ts';
import { placeOf } from '../bench/place.ts';
import type { Attempt, Round, Task } from '../models/bench.ts';
import { learned, NOTHING_KNOWN, type Knowledge } from '../drawing/knowledge.ts';
import { NOTHING_WORKED, tellOf } from '../drawing/worked.ts';
import type { SampleStudent } from './people.ts';

/** Rows of three weeks of reading by one student. */
export interface SampleWork {
  readonly rounds: CreationAttributes<Round>[];
  readonly tasks: CreationAttributes<Task>[];
  readonly attempts: CreationAttributes<Attempt>[];
  /** What the three weeks have shown of the student’s habits. */
  readonly known: Knowledge;
}

/** How long a bulb is left in the liquid by who waits and who does not, in ms. */
const WAITED = 18_000;
const HASTY = 1500;
/** A reader's own scatter, in divisions. */
const SCATTER = 0.06;

function careful(task: ReadingTask, random: Random): string {
  const { division } = instrumentById(task.instrumentId);
  const { text, unit, place } = expectedReading(task);
  const off = SCATTER * division * random.normal();
  return `${(Number(text) + Math.round(off * 10 ** -place) / 10 ** -place).toFixed(Math.max(0, -place))} ${unit}`;
}

/** What is done with the tool before it is read: the bulb lowered so many ms before, the thing laid at the zero mark. */
function handling(task: ReadingTask, waited: number, timeTaken: number): Action[] {
  const did = (kind: Action['kind'], at: number, to: number | null = null): Action[] => [{ kind, at, to }];
  if (task.family === 'thermometers') return task.situation.settled === false ? did('lower', timeTaken - waited) : [];
  if (task.family === 'rulers') return task.situation.loose ? did('lay', 4000, task.situation.endOffset ?? 0) : [];
  if (task.family === 'burettes') return task.situation.left === 'funnel' ? did('clear-top', 3000) : [];
  return [];
}

interface Tried {
  readonly entry: string;
  readonly eyeHeight: number;
  readonly waited: number;
}

/** What the student writes on paper: the habit that happens, if one does. */
function workedOut(task: ExerciseTask, student: SampleStudent, random: Random, calm: number): Tried {
  for (const [id, rate] of Object.entries(student.habits)) {
    const wrong = random.uniform() > rate * calm ? [] : entriesWith(task, id);
    const entry = wrong[random.below(Math.max(1, wrong.length))];
    if (entry !== undefined) return { entry, eyeHeight: 0, waited: 0 };
  }
  return { entry: rightEntry(task), eyeHeight: 0, waited: 0 };
}

/** What the student does on one try. */
function tryOf(task: PracticeTask, student: SampleStudent, random: Random, calm: number): Tried {
  return isExerciseTask(task) ? workedOut(task, student, random, calm) : readOff(task, student, random, calm);
}

/** What the student reads: the habit that happens, if one does, and where the eye is left. */
function readOff(task: ReadingTask, student: SampleStudent, random: Random, calm: number): Tried {
  const level = Number((1.5 * random.normal()).toFixed(1));
  for (const [id, rate] of Object.entries(student.habits)) {
    if (random.uniform() > rate * calm) continue;
    const eye = id.startsWith('eye-') ? startingEye(task) : level;
    const waited = id === 'unsettled' ? HASTY : WAITED;
    const entry = entriesWith(
      asOperated(task, { eyeHeight: eye, done: handling(task, waited, waited), at: waited }),
      id,
    )[0];
    if (entry !== undefined) return { entry, eyeHeight: eye, waited };
  }
  return { entry: careful(task, random), eyeHeight: level, waited: WAITED };
}

function schoolDay(now: Date, random: Random): Date {
  for (;;) {
    const day = subDays(now, 1 + random.below(20));
    const weekday = day.getDay();
    if (weekday === 0 || weekday === 6) continue;
    day.setHours(9 + random.below(6), random.below(60), random.below(60), 0);
    return day;
  }
}

export const CYLINDERS = ['cylinder-10', 'cylinder-25', 'cylinder-50', 'cylinder-100', 'cylinder-250', 'cylinder-500'];

/** What the class went through: cylinders, then what is read downward, then warmth and length. */
const WEEKS: readonly (readonly string[])[] = [
  CYLINDERS,
  [...CYLINDERS, 'burette-25', 'burette-50'],
  ['burette-50', 'thermometer-degree', 'ruler-millimetre', 'ruler-inch', 'cylinder-100'],
];

/** What is worked on paper, each kind by itself at first and then together. */
const KINDS: readonly (readonly string[])[] = [
  ['count-figures', 'round-number', 'add-subtract', 'multiply-divide'],
  EXERCISE_KINDS.map(({ id }) => id),
];

/** What a student’s rounds are made of: weeks at the tools, and a round or two on paper by those who have come so far. */
function subjectsOf(rounds: number): readonly (readonly string[])[] {
  const atTools = Array.from(
    { length: rounds },
    (_, i) => WEEKS[Math.min(WEEKS.length - 1, Math.floor((i * WEEKS.length) / rounds))] ?? [],
  );
  return [...atTools, ...KINDS.slice(rounds < 3 ? 2 : rounds < 5 ? 1 : 0)];
}

type LessonSet = NonNullable<RoundFor['set']> & { readonly subjectIds: readonly string[] };

interface SampleClass {
  readonly classId: string;
  readonly schoolId: string;
}

/** How long a lesson has gone on that is under way, in minutes. */
const LESSON_SO_FAR = 14;

/** Three weeks of rounds by one student, and what was done so far this lesson, judged by the same diagnosis as anybody's. */
export function sampleWork(
  { classId, schoolId }: SampleClass,
  student: SampleStudent,
  random: Random,
  now: Date,
  lessonSet: LessonSet,
): SampleWork {
  const work: Omit<SampleWork, 'known'> = { rounds: [], tasks: [], attempts: [] };
  const slips: Record<string, number> = {};
  let known = NOTHING_KNOWN;
  const { lesson } = student;
  const past = subjectsOf(student.rounds);
  const planned = lesson ? [...past, lessonSet.subjectIds] : past;
  const starts = past.map(() => schoolDay(now, random)).sort((a, b) => a.getTime() - b.getTime());
  const lastEntry = subMinutes(now, lesson?.quietFor ?? 0);
  const seen = new Set<string>();
  for (const [index, subjectIds] of planned.entries()) {
    const today = index >= past.length;
    const start = starts[index] ?? subMinutes(now, LESSON_SO_FAR);
    const roundId = randomUUID();
    work.rounds.push({
      classId,
      schoolId,
      personId: student.id,
      id: roundId,
      subjectIds: [...subjectIds],
      place: placeOf(subjectIds),
      setRoundId: today ? lessonSet.id : null,
      createdAt: start,
    });
    const tasks = drawRound(
      {
        classId,
        schoolId,
        personId: student.id,
        subjectIds,
        rules: DEFAULT_RULES,
        rulesVersion: 1,
        set: today ? lessonSet : null,
      },
      { knowledge: placeOf(subjectIds) === 'bench' ? known : null, worked: { ...NOTHING_WORKED, seen } },
      random.below(2 ** 40),
      roundId,
    );
    for (const { subjectId, situation } of tasks)
      if (isExerciseKind(subjectId)) seen.add(tellOf(situation as Exercise));
    let at = start;
    for (const task of tasks) {
      // Reading is learned week by week; what is worked on paper is new to all.
      const calm = isExerciseKind(task.subjectId) ? 0.95 : today ? (lesson?.haste ?? 0.5) : 1 - 0.12 * index;
      at = addSeconds(at, 20 + random.below(50));
      let closes = false;
      for (let tryNumber = 1; tryNumber <= 2 && !closes && at < lastEntry; tryNumber += 1) {
        const reading = practiceTask(task.subjectId, task.situation, DEFAULT_RULES);
        const { entry, eyeHeight, waited } = tryOf(
          reading,
          student,
          random,
          tryNumber === 1 || calm > 1 ? calm : calm * 0.3,
        );
        const timeTaken = (22 + random.below(40)) * 1000;
        const actions = isExerciseTask(reading) ? [] : handling(reading, waited, timeTaken);
        const body: NewAttempt = {
          id: randomUUID(),
          taskId: task.id,
          kind: 'reading',
          entry,
          eyeHeight,
          actions,
          hints: random.uniform() < 0.08 ? 1 : 0,
          timeTaken,
        };
        const history: SlipHistory = { readings: work.attempts.length, slips: { ...slips } };
        const judged = judgeAttempt(task, body, tryNumber, DEFAULT_RULES, history);
        for (const id of judged.row.slips) slips[id] = (slips[id] ?? 0) + 1;
        work.attempts.push({ ...judged.row, createdAt: at });
        if (tryNumber === 1) known = learned(known, judged.drawn, judged.read, entry);
        closes = judged.closes;
        at = addSeconds(at, 15 + random.below(30));
      }
      work.tasks.push({ ...task, closedAt: closes ? at : addMinutes(at, 1) < lastEntry ? addMinutes(at, 1) : null });
    }
  }
  return { ...work, known };
}
