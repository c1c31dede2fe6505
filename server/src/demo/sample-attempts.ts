import { randomUUID } from 'node:crypto';
import type { NewAttempt } from '@green-beam/contract';
import { asOperated, DEFAULT_RULES, expectedReading, instrumentById, predictedEntries, readingTask, slipById, type Done, type Random, type ReadingTask, type Situation, type SlipHistory } from '@green-beam/core';
import { addMinutes, addSeconds, subDays } from 'date-fns';
import type { CreationAttributes } from 'sequelize';
import { judgeAttempt } from '../bench/attempt-row.ts';
import { drawRound } from '../bench/draw-round.ts';
import type { Attempt, Round, Task } from '../models/bench.ts';
import { learned, NOTHING_KNOWN, type Known } from '../bench/tutor.ts';
import type { SampleStudent } from './people.ts';

/** Rows of three weeks of reading by one student. */
export interface SampleWork {
  readonly rounds: CreationAttributes<Round>[];
  readonly tasks: CreationAttributes<Task>[];
  readonly attempts: CreationAttributes<Attempt>[];
  /** What the three weeks have shown of the student’s habits. */
  readonly known: Known;
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
function handling({ settled, loose, left, endOffset = 0 }: Situation, waited: number, timeTaken: number): Done[] {
  return [
    ...(settled === false ? [{ kind: 'lower' as const, at: timeTaken - waited, to: null }] : []),
    ...(loose ? [{ kind: 'lay' as const, at: 4000, to: endOffset }] : []),
    ...(left === 'funnel' ? [{ kind: 'clear-top' as const, at: 3000, to: null }] : []),
  ];
}

/** What the student does on one try: the habit that happens, if one does, and where the eye is left. */
function tryOf(task: ReadingTask, student: SampleStudent, random: Random, calm: number): { entry: string; eyeHeight: number; waited: number } {
  const level = Number((1.5 * random.normal()).toFixed(1));
  for (const [id, rate] of Object.entries(student.habits)) {
    if (random.uniform() > rate * calm) continue;
    const eye = id.startsWith('eye-') ? (task.situation.eyeHeight ?? 0) : level;
    const waited = id === 'unsettled' ? HASTY : WAITED;
    const entry = predictedEntries(asOperated(task, { eyeHeight: eye, done: handling(task.situation, waited, waited), at: waited }), slipById(id))[0];
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
const WEEKS: readonly (readonly string[])[] = [CYLINDERS, [...CYLINDERS, 'burette-25', 'burette-50'], ['burette-50', 'thermometer-degree', 'ruler-millimetre', 'ruler-inch', 'cylinder-100']];

interface SampleClass {
  readonly classId: string;
  readonly schoolId: string;
}

/** Three weeks of rounds by one student, judged by the same diagnosis as anybody's. */
export function sampleWork({ classId, schoolId }: SampleClass, student: SampleStudent, random: Random, now: Date): SampleWork {
  const work: Omit<SampleWork, 'known'> = { rounds: [], tasks: [], attempts: [] };
  const slips: Record<string, number> = {};
  let known = NOTHING_KNOWN;
  const starts = Array.from({ length: student.rounds }, () => schoolDay(now, random)).sort((a, b) => a.getTime() - b.getTime());
  for (const [index, start] of starts.entries()) {
    const tools = WEEKS[Math.min(WEEKS.length - 1, Math.floor((index * WEEKS.length) / starts.length))] ?? [];
    const roundId = randomUUID();
    work.rounds.push({ classId, schoolId, personId: student.id, id: roundId, instrumentIds: [...tools], createdAt: start });
    const tasks = drawRound({ classId, schoolId, personId: student.id, instrumentIds: tools, rules: DEFAULT_RULES, rulesVersion: 1, set: null }, known, random.below(2 ** 40), roundId);
    let at = start;
    for (const task of tasks) {
      const calm = 1 - 0.12 * index;
      at = addSeconds(at, 20 + random.below(50));
      let closes = false;
      for (let tryNumber = 1; tryNumber <= 2 && !closes; tryNumber += 1) {
        const reading = readingTask(task.instrumentId, task.situation, DEFAULT_RULES);
        const { entry, eyeHeight, waited } = tryOf(reading, student, random, tryNumber === 1 ? calm : calm * 0.3);
        const timeTaken = (22 + random.below(40)) * 1000;
        const actions = handling(task.situation, waited, timeTaken);
        const body: NewAttempt = { id: randomUUID(), taskId: task.id, kind: 'reading', entry, eyeHeight, actions, hints: random.uniform() < 0.08 ? 1 : 0, timeTaken };
        const history: SlipHistory = { readings: work.attempts.length, slips: { ...slips } };
        const judged = judgeAttempt(task, body, tryNumber, DEFAULT_RULES, history);
        for (const id of judged.row.slips) slips[id] = (slips[id] ?? 0) + 1;
        work.attempts.push({ ...judged.row, createdAt: at });
        if (tryNumber === 1) known = learned(known, judged.drawn, judged.read, entry);
        closes = judged.closes;
        at = addSeconds(at, 15 + random.below(30));
      }
      work.tasks.push({ ...task, closedAt: closes ? at : addMinutes(at, 1) });
    }
  }
  return { ...work, known };
}
