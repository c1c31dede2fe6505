import type { AttemptResult, BenchRound, BenchTask, NewAttempt, StripMark } from '@green-beam/contract';
import { cautionsFor, drawTask, hintsFor, instrumentById, pictureOf, plannedItems, questionFor, completeRules, writtenUnitOf, TRIES, type Diagnosis, type PlannedItem, type ReadingTask } from '@green-beam/core';
import { useCallback, useEffect, useState } from 'react';
import { newId } from '../../outbox/new-id.ts';
import type { BenchSource } from './bench-source.ts';
import { VISITORS } from '../../rules/house-rules.ts';
import { useMade } from './use-made.ts';

const LENGTH = 10;
/** The first picture a visitor sees. */
const FIRST = 'cylinder-50';

interface VisitorTask {
  readonly shown: BenchTask;
  readonly task: ReadingTask;
}

interface VisitorRound {
  readonly id: string;
  readonly plan: Iterator<PlannedItem, never>;
  readonly tasks: readonly VisitorTask[];
}

function drawn({ instrumentId, seed, aim }: PlannedItem, position: number): VisitorTask {
  const task = drawTask(instrumentId, { seed, aim });
  return {
    task,
    shown: { id: newId(), position, question: questionFor(task), picture: pictureOf(task), hints: hintsFor(task), cautions: cautionsFor(task), unit: writtenUnitOf(instrumentById(instrumentId), task.rules), tries: TRIES, toolCode: null, state: 'open' },
  };
}

/** A round with its first reading drawn; each further one follows when the one before it is done. */
function newVisitorRound(instrumentIds: readonly string[], first?: string): VisitorRound {
  const [seed = 1] = crypto.getRandomValues(new Uint32Array(1));
  const plan = plannedItems(instrumentIds, seed, completeRules());
  return { id: newId(), plan, tasks: [drawn(first === undefined ? plan.next().value : { instrumentId: first, seed, aim: [] }, 0)] };
}

/** The next reading is drawn once the answer to the last one is on the page, in ms. */
const PAUSE = 60;

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

/** What judges an entry is fetched while the first picture is looked at. */
const judging = (): Promise<typeof import('./visitor-judge.ts')> => import('./visitor-judge.ts');
const FETCHED_AFTER = 1500;

/** Nothing has to wait for a server that is not asked. */
const NONE: ReadonlySet<string> = new Set();

/** A bench that needs no account: drawn, judged and forgotten in the browser. */
export function useVisitorBench(): BenchSource {
  const [round, setRound] = useState(() => newVisitorRound([], FIRST));
  const { made, add, clear } = useMade();
  const [tried, setTried] = useState<readonly Tried[]>([]);
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    if (round.tasks.length >= LENGTH || round.tasks.length > closed.size) return undefined;
    const timer = setTimeout(() => setRound({ ...round, tasks: [...round.tasks, drawn(round.plan.next().value, round.tasks.length)] }), PAUSE);
    return () => clearTimeout(timer);
  }, [round, closed]);

  useEffect(() => {
    const timer = setTimeout(() => void judging(), FETCHED_AFTER);
    return () => clearTimeout(timer);
  }, []);

  const submit = useCallback(
    async (shown: BenchTask, attempt: NewAttempt): Promise<AttemptResult> => {
      const found = round.tasks.find((one) => one.shown.id === shown.id);
      if (!found) throw new Error('This reading belongs to another round.');
      const { judged } = await judging();
      const before = tried.filter((one) => one.taskId === shown.id && one.diagnosis?.verdict !== 'unreadable');
      const tryNumber = before.length + 1;
      const { diagnosis, verdict, closes, feedback } = judged(found.task, attempt, tryNumber);
      const here: Tried = { taskId: shown.id, tryNumber, diagnosis };
      setTried([...tried, here]);
      if (closes) setClosed(new Set([...closed, shown.id]));
      const result: AttemptResult = { ...feedback, attemptId: attempt.id, verdict, tryNumber, closed: closes, strip: closes ? marksOf([...before, here]) : [] };
      add(shown.id, { text: attempt.entry, result });
      return result;
    },
    [round, tried, closed, add],
  );
  const newRound = useCallback((instrumentIds: readonly string[]): Promise<void> => {
    setRound(newVisitorRound(instrumentIds));
    setTried([]);
    setClosed(new Set());
    clear();
    return Promise.resolve();
  }, [clear]);

  const shown: BenchRound = { id: round.id, title: null, rules: VISITORS, tasks: round.tasks.map((one) => one.shown), strip: [] };
  return { round: shown, length: LENGTH, strip: marksOf(tried.filter((one) => closed.has(one.taskId))), error: null, made, notChecked: NONE, submit, newRound };
}
