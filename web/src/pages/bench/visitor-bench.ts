import type { AttemptResult, BenchRound, BenchTask, NewAttempt, StripMark } from '@green-beam/contract';
import { closesTask, diagnose, drawTask, feedbackOn, hintsFor, instrumentById, instrumentIds, pictureOf, seededRandom, withEyeAt, writtenUnitOf, type Diagnosis, type ReadingTask } from '@green-beam/core';
import { useCallback, useState } from 'react';
import { newId } from '../../outbox/new-id.ts';
import type { BenchSource } from './bench-source.ts';

const LENGTH = 10;
const AIMS = ['meniscus-edge', 'eye-high', 'label-above', 'eye-low', 'rounded-up'];

interface VisitorTask {
  readonly shown: BenchTask;
  readonly task: ReadingTask;
}

interface VisitorRound {
  readonly id: string;
  readonly tasks: readonly VisitorTask[];
}

/** Tools the bench can draw. */
export const BENCH_TOOLS = instrumentIds().map(instrumentById).filter((instrument) => instrument.reads === 'liquid-column');

function drawVisitorRound(instrumentId: string | null): VisitorRound {
  const [seed = 1] = crypto.getRandomValues(new Uint32Array(1));
  const random = seededRandom(seed);
  const tasks = Array.from({ length: LENGTH }, (_, position): VisitorTask => {
    const tool = instrumentId ?? (position === 0 ? 'cylinder-50' : (BENCH_TOOLS[random.below(BENCH_TOOLS.length)]?.id ?? 'cylinder-50'));
    const aim = AIMS[random.below(AIMS.length * 2)];
    const task = drawTask(tool, { seed: random.below(2 ** 32), aim: aim ? [aim] : [] });
    return { task, shown: { id: newId(), position, picture: pictureOf(task), hints: hintsFor(task), unit: writtenUnitOf(instrumentById(tool), task.rules), state: 'open' } };
  });
  return { id: newId(), tasks };
}

interface Tried {
  readonly taskId: string;
  readonly tryNumber: number;
  readonly diagnosis: Diagnosis | null;
}

function marksOf(tried: readonly Tried[]): StripMark[] {
  return tried.flatMap(({ taskId, tryNumber, diagnosis }) =>
    diagnosis === null || diagnosis.offBy === null ? [] : [{ taskId, tryNumber, offBy: diagnosis.offBy, sound: diagnosis.verdict === 'sound' }],
  );
}

/** A bench that needs no account: drawn, judged and forgotten in the browser. */
export function useVisitorBench(): BenchSource {
  const [round, setRound] = useState(() => drawVisitorRound(null));
  const [tried, setTried] = useState<readonly Tried[]>([]);
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());

  const submit = useCallback(
    (shown: BenchTask, attempt: NewAttempt): Promise<AttemptResult> => {
      const found = round.tasks.find((one) => one.shown.id === shown.id);
      if (!found) return Promise.reject(new Error('This reading belongs to another round.'));
      const task = withEyeAt(found.task, attempt.eyeHeight);
      const before = tried.filter((one) => one.taskId === shown.id && one.diagnosis?.verdict !== 'unreadable');
      const tryNumber = before.length + 1;
      const diagnosis = attempt.kind === 'shown' ? null : diagnose(task, attempt.entry);
      const verdict = diagnosis?.verdict ?? 'shown';
      const closes = closesTask(verdict, tryNumber);
      const here: Tried = { taskId: shown.id, tryNumber, diagnosis };
      setTried([...tried, here]);
      if (closes) setClosed(new Set([...closed, shown.id]));
      return Promise.resolve({ ...feedbackOn(task, diagnosis, closes), attemptId: attempt.id, verdict, tryNumber, closed: closes, strip: closes ? marksOf([...before, here]) : [] });
    },
    [round, tried, closed],
  );
  const newRound = useCallback((instrumentId: string | null): Promise<void> => {
    setRound(drawVisitorRound(instrumentId));
    setTried([]);
    setClosed(new Set());
    return Promise.resolve();
  }, []);

  const shown: BenchRound = { id: round.id, tasks: round.tasks.map((one) => one.shown), strip: [] };
  return { round: shown, strip: marksOf(tried.filter((one) => closed.has(one.taskId))), error: null, submit, newRound };
}
