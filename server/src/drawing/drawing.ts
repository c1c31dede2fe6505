import type { LabSheetFault } from '@green-beam/contract';
import type { GivenEntry, HouseRules, KeptRun, Proposal } from '@green-beam/core';
import type { Logger } from 'pino';
import { Piscina } from 'piscina';
import type { CreationAttributes } from 'sequelize';
import { FROM_SOURCE } from '../from-source.ts';
import type { Task } from '../models/bench.ts';
import { Refusal } from '../refusal.ts';
import type { DrawnFor, RoundFor } from './draw-round.ts';
import type { FirstTry, Knowledge } from './knowledge.ts';
import type * as thread from './thread.ts';
import type { GivenOrder, ProposalOrder, ResultsOrder } from './thread.ts';

/** What takes too long for the thread that answers requests: it is done in threads of its own, in the order in which it is asked for. */
export interface Drawing {
  /** The rows of a round, drawn but not stored. */
  round(round: RoundFor, from: DrawnFor, seed: number, roundId: string): Promise<CreationAttributes<Task>[]>;
  learnedFrom(known: Knowledge, tries: readonly FirstTry[]): Promise<Knowledge>;
  /** The results that a run has and what they were made with, as they are kept. */
  results(order: ResultsOrder): Promise<KeptRun>;
  /** Readings that students are given, each something else. */
  given(order: GivenOrder): Promise<GivenEntry[][]>;
  /** What is to be seen of a report before anybody has read it. */
  proposal(order: ProposalOrder): Promise<Proposal>;
  /** What is wrong in a lab sheet that is to be put in use. */
  labSheetFaults(sheet: object): Promise<LabSheetFault[]>;
  /** @throws Refusal where a slip cannot be told apart on any of the tools or exercises. */
  checkAims(subjectIds: readonly string[], aims: readonly string[], rules: HouseRules): Promise<void>;
  close(): Promise<void>;
}

type Jobs = typeof thread;
type Answer<Name extends keyof Jobs> = Extract<ReturnType<Jobs[Name]>, { answer: unknown }>['answer'];

export interface Threads {
  readonly count: number;
  /** Whether they begin at once, and work out beforehand what the first rounds would have to wait for. */
  readonly prepares: boolean;
  readonly logger: Logger;
}

function openThreads({ count, prepares, logger }: Threads): Piscina {
  const threads = new Piscina({
    filename: new URL(FROM_SOURCE ? './thread-from-source.js' : './drawing-thread.js', import.meta.url).href,
    workerData: { prepares },
    minThreads: prepares ? count : 0,
    maxThreads: count,
    idleTimeout: Infinity,
    // A thread without an order goes on preparing.
    atomics: 'disabled',
    // A round waits for its turn, however many are before it.
    maxQueue: Infinity,
  });
  // What was asked of a thread that ends is refused; the next one starts with what is asked next.
  threads.on('error', (error) => logger.error({ err: error }, 'a thread that draws has ended'));
  return threads;
}

export function drawingInThreads(given: Threads): Drawing {
  const threads = openThreads(given);
  const ask = async <Name extends keyof Jobs>(name: Name, order: Parameters<Jobs[Name]>[0]): Promise<Answer<Name>> => {
    const outcome = (await threads.run(order, { name })) as thread.Outcome<Answer<Name>>;
    if ('refused' in outcome) throw new Refusal(400, outcome.refused, 'aims');
    return outcome.answer;
  };
  return {
    round: (round, from, seed, roundId) => ask('round', { round, from, seed, roundId }),
    learnedFrom: (knowledge, tries) => ask('learning', { knowledge, tries }),
    results: (order) => ask('results', order),
    given: (order) => ask('given', order),
    proposal: (order) => ask('report', order),
    labSheetFaults: (sheet) => ask('sheetFaults', { sheet }),
    checkAims: (named, aims, rules) => ask('aiming', { subjectIds: named, aims, rules }),
    close: () => threads.close({ force: true }),
  };
}
