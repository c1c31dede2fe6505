import type { AttemptResult, BenchRound, BenchTask, NewAttempt, StripMark } from '@green-beam/contract';
import type { Diagnosis, PlannedItem, PracticeTask } from '@green-beam/core';
import { useCallback, useEffect, useState } from 'react';
import { newId } from '../../../outbox/new-id.ts';
import type { BenchSource } from '../bench-source.ts';
import { VISITORS } from '../../../rules/house-rules.ts';
import { useMade } from '../entry/use-made.ts';

const LENGTH = 10;

export interface VisitorTask {
  readonly shown: BenchTask;
  readonly task: PracticeTask;
}

/** What a visitor's rounds are made of: tools, or kinds of exercises. */
export interface VisitorItems {
  /** The round that begins by itself, and its first item where one is fixed; null where it is to be chosen. */
  readonly opening: { readonly subjectIds: readonly string[]; readonly first?: PlannedItem } | null;
  plan(subjectIds: readonly string[], seed: number): Iterator<PlannedItem, never>;
  /** @param done what was drawn before, with how each went at the first try. */
  drawn(item: PlannedItem, position: number, done: readonly WorkedItem[]): VisitorTask;
}

/** An item that was worked, and whether it went right at the first try. */
export interface WorkedItem {
  readonly task: PracticeTask;
  readonly right: boolean;
}

interface VisitorRound {
  readonly id: string;
  readonly subjectIds: readonly string[];
  readonly plan: Iterator<PlannedItem, never>;
  readonly tasks: readonly VisitorTask[];
}

/** A round with its first item drawn; each further one follows when the one before it is done. */
function newVisitorRound(
  items: VisitorItems,
  subjectIds: readonly string[],
  done: readonly WorkedItem[],
  first?: PlannedItem,
): VisitorRound {
  const [seed = 1] = crypto.getRandomValues(new Uint32Array(1));
  const plan = items.plan(subjectIds, seed);
  return {
    id: newId(),
    subjectIds,
    plan,
    tasks: [items.drawn(first === undefined ? plan.next().value : { ...first, seed }, 0, done)],
  };
}

/** The next item is drawn once the answer to the last one is on the page, in ms. */
const PAUSE = 60;

interface Tried {
  readonly taskId: string;
  readonly tryNumber: number;
  readonly diagnosis: Diagnosis | null;
}

function marksOf(tried: readonly Tried[]): StripMark[] {
  return tried.flatMap(({ taskId, tryNumber, diagnosis }) =>
    diagnosis === null || diagnosis.offBy === null
      ? []
      : [{ taskId, tryNumber, offBy: diagnosis.offBy, sound: diagnosis.verdict === 'sound' }],
  );
}

function doneIn(round: VisitorRound, tried: readonly Tried[]): WorkedItem[] {
  return round.tasks.map(({ task, shown }) => ({
    task,
    right:
      tried.find((one) => one.taskId === shown.id && one.diagnosis?.verdict !== 'unreadable')?.diagnosis?.verdict ===
      'sound',
  }));
}

/** What judges an entry is fetched while the first picture is looked at. */
const judging = (): Promise<typeof import('./visitor-judge.ts')> => import('./visitor-judge.ts');
const FETCHED_AFTER = 1500;

/** Nothing has to wait for a server that is not asked. */
const NONE: ReadonlySet<string> = new Set();

/** A bench that needs no account: drawn, judged and forgotten in the browser. */
export function useVisitorBench(items: VisitorItems): BenchSource {
  const [round, setRound] = useState(() =>
    items.opening ? newVisitorRound(items, items.opening.subjectIds, [], items.opening.first) : null,
  );
  const [earlier, setEarlier] = useState<readonly WorkedItem[]>([]);
  const { made, add, clear } = useMade();
  const [tried, setTried] = useState<readonly Tried[]>([]);
  const [closed, setClosed] = useState<ReadonlySet<string>>(new Set());
  useEffect(() => {
    if (!round || round.tasks.length >= LENGTH || round.tasks.length > closed.size) return undefined;
    const next = (): void =>
      setRound({
        ...round,
        tasks: [
          ...round.tasks,
          items.drawn(round.plan.next().value, round.tasks.length, [...earlier, ...doneIn(round, tried)]),
        ],
      });
    const timer = setTimeout(next, PAUSE);
    return () => clearTimeout(timer);
  }, [round, closed, items, earlier, tried]);

  useEffect(() => {
    const timer = setTimeout(() => void judging(), FETCHED_AFTER);
    return () => clearTimeout(timer);
  }, []);

  const submit = useCallback(
    async (shown: BenchTask, attempt: NewAttempt): Promise<AttemptResult> => {
      const found = round?.tasks.find((one) => one.shown.id === shown.id);
      if (!found) throw new Error('This reading belongs to another round.');
      const { judged } = await judging();
      const before = tried.filter((one) => one.taskId === shown.id && one.diagnosis?.verdict !== 'unreadable');
      const tryNumber = before.length + 1;
      const { diagnosis, verdict, closes, feedback } = judged(found.task, attempt, tryNumber);
      const here: Tried = { taskId: shown.id, tryNumber, diagnosis };
      setTried([...tried, here]);
      if (closes) setClosed(new Set([...closed, shown.id]));
      const result: AttemptResult = {
        ...feedback,
        attemptId: attempt.id,
        verdict,
        tryNumber,
        closed: closes,
        strip: closes ? marksOf([...before, here]) : [],
      };
      add(shown.id, { text: attempt.entry, result });
      return result;
    },
    [round, tried, closed, add],
  );
  const newRound = useCallback(
    (subjectIds: readonly string[]): Promise<void> => {
      const done = [...earlier, ...(round ? doneIn(round, tried) : [])];
      setEarlier(done);
      setRound(newVisitorRound(items, subjectIds, done));
      setTried([]);
      setClosed(new Set());
      clear();
      return Promise.resolve();
    },
    [clear, items, earlier, round, tried],
  );

  const shown: BenchRound | null = round && {
    id: round.id,
    title: null,
    subjectIds: round.subjectIds,
    rules: VISITORS,
    tasks: round.tasks.map((one) => one.shown),
    strip: [],
  };
  return {
    round: shown,
    idle: round === null,
    length: LENGTH,
    strip: marksOf(tried.filter((one) => closed.has(one.taskId))),
    error: null,
    made,
    notChecked: NONE,
    submit,
    newRound,
  };
}
