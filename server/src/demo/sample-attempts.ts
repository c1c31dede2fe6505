import { randomUUID } from 'node:crypto';
import type { NewAttempt } from '@green-beam/contract';
import { DEFAULT_RULES, expectedReading, predictedEntries, readingTask, slipById, withEyeAt, type Random, type ReadingTask, type SlipHistory } from '@green-beam/core';
import { addMinutes, addSeconds, subDays } from 'date-fns';
import type { CreationAttributes } from 'sequelize';
import { judgeAttempt } from '../bench/attempt-row.ts';
import { drawRound } from '../bench/draw-round.ts';
import type { Attempt, Round, Task } from '../models/bench.ts';
import type { SampleStudent } from './people.ts';

/** Rows of three weeks of reading by one student. */
export interface SampleWork {
  readonly rounds: CreationAttributes<Round>[];
  readonly tasks: CreationAttributes<Task>[];
  readonly attempts: CreationAttributes<Attempt>[];
}

/** A reader's own scatter, in divisions. */
const SCATTER = 0.06;

function careful(task: ReadingTask, random: Random): string {
  const division = task.instrumentId === 'cylinder-10' ? 0.1 : 1;
  const value = Math.min(Math.max(task.situation.value + SCATTER * division * random.normal(), 0), task.situation.value + division);
  const { text, unit } = expectedReading(readingTask(task.instrumentId, { ...task.situation, value: Number(value.toFixed(4)) }, task.rules));
  return `${text} ${unit}`;
}

/** What the student does on one try: the habit that happens, if one does, and where the eye is left. */
function tryOf(task: ReadingTask, student: SampleStudent, random: Random, calm: number): { entry: string; eyeHeight: number } {
  const level = Number((1.5 * random.normal()).toFixed(1));
  for (const [id, rate] of Object.entries(student.habits)) {
    if (random.uniform() > rate * calm) continue;
    const eye = id.startsWith('eye-') ? (task.situation.eyeHeight ?? 0) : level;
    const entry = predictedEntries(withEyeAt(task, eye), slipById(id))[0];
    if (entry !== undefined) return { entry, eyeHeight: eye };
  }
  return { entry: careful(task, random), eyeHeight: level };
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

interface SampleClass {
  readonly classId: string;
  readonly schoolId: string;
}

/** Three weeks of rounds by one student, judged by the same diagnosis as anybody's. */
export function sampleWork({ classId, schoolId }: SampleClass, student: SampleStudent, random: Random, now: Date): SampleWork {
  const work: SampleWork = { rounds: [], tasks: [], attempts: [] };
  const slips: Record<string, number> = {};
  const starts = Array.from({ length: student.rounds }, () => schoolDay(now, random)).sort((a, b) => a.getTime() - b.getTime());
  for (const [index, start] of starts.entries()) {
    const roundId = randomUUID();
    work.rounds.push({ classId, schoolId, personId: student.id, id: roundId, instrumentId: null, createdAt: start });
    const tasks = drawRound({ classId, schoolId, personId: student.id, instrumentId: null, rules: DEFAULT_RULES, rulesVersion: 1 }, random.below(2 ** 40), roundId);
    let at = start;
    for (const task of tasks) {
      const calm = 1 - 0.12 * index;
      at = addSeconds(at, 20 + random.below(50));
      let closes = false;
      for (let tryNumber = 1; tryNumber <= 2 && !closes; tryNumber += 1) {
        const reading = readingTask(task.instrumentId, task.situation, DEFAULT_RULES);
        const body: NewAttempt = { id: randomUUID(), taskId: task.id, kind: 'reading', ...tryOf(reading, student, random, tryNumber === 1 ? calm : calm * 0.3), actions: [], hints: random.uniform() < 0.08 ? 1 : 0, timeTaken: (12 + random.below(40)) * 1000 };
        const history: SlipHistory = { readings: work.attempts.length, slips: { ...slips } };
        const judged = judgeAttempt(task, body, tryNumber, DEFAULT_RULES, history);
        for (const id of judged.row.slips) slips[id] = (slips[id] ?? 0) + 1;
        work.attempts.push({ ...judged.row, createdAt: at });
        closes = judged.closes;
        at = addSeconds(at, 15 + random.below(30));
      }
      work.tasks.push({ ...task, closedAt: closes ? at : addMinutes(at, 1) });
    }
  }
  return work;
}
