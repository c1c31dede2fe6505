import { setTimeout } from 'node:timers/promises';
import type { LabSheetFault } from '@green-beam/contract';
import {
  AimError,
  completeRules,
  DEFAULT_RULES,
  drawDifferent,
  keptOf,
  OwnWork,
  planForAims,
  planForBelief,
  PRIORS,
  proposal,
  protocolFaults,
  sampleFaults,
  subjectById,
  subjectIds,
  subjectsNamed,
  workOut,
  type GivenEntry,
  type HouseRules,
  type KeptRun,
  type Proposal,
  type Protocol,
  type RunEvent,
} from '@green-beam/core';
import { workerData } from 'piscina';
import type { CreationAttributes } from 'sequelize';
import type { Task } from '../models/bench.ts';
import { drawRound, type DrawnFor, type RoundFor } from './draw-round.ts';
import { learnedFrom, type FirstTry, type Knowledge } from './knowledge.ts';

/** What comes back from a thread, where only plain data can pass: the answer, or which aim cannot be met. */
export type Outcome<Answer> = { readonly answer: Answer } | { readonly refused: string };

function outcome<Answer>(work: () => Answer): Outcome<Answer> {
  try {
    return { answer: work() };
  } catch (error) {
    if (error instanceof AimError) return { refused: error.message };
    throw error;
  }
}

/** With rules as this thread knows them: a copy comes with each order, and what was worked out from equal ones is to be found again. */
function withKnownRules<Order extends { readonly rules: HouseRules }>(order: Order): Order {
  return { ...order, rules: completeRules(order.rules) };
}

export interface RoundOrder {
  readonly round: RoundFor;
  readonly from: DrawnFor;
  readonly seed: number;
  readonly roundId: string;
}

export function round({ round: ordered, from, seed, roundId }: RoundOrder): Outcome<CreationAttributes<Task>[]> {
  return outcome(() => drawRound(withKnownRules(ordered), from, seed, roundId));
}

export interface LearningOrder {
  readonly knowledge: Knowledge;
  readonly tries: readonly FirstTry[];
}

export function learning({ knowledge, tries }: LearningOrder): Outcome<Knowledge> {
  return outcome(() => learnedFrom(knowledge, tries.map(withKnownRules)));
}

export interface AimsOrder {
  readonly subjectIds: readonly string[];
  readonly aims: readonly string[];
  readonly rules: HouseRules;
}

/** Refuses what a round cannot aim at on some tools or exercises. */
export function aiming({ subjectIds, aims, rules }: AimsOrder): Outcome<void> {
  return outcome(() => {
    planForAims(subjectsNamed(subjectIds), aims, 1, 1, completeRules(rules));
  });
}

export interface ResultsOrder {
  readonly protocol: Protocol;
  readonly events: readonly RunEvent[];
  readonly rules: HouseRules;
}

/** What a run’s log comes to. */
export function results(order: ResultsOrder): Outcome<KeptRun> {
  return outcome(() => {
    const { protocol, events, rules } = withKnownRules(order);
    return keptOf(workOut(protocol, { events }, rules));
  });
}

export interface ProposalOrder extends ResultsOrder {
  /** Whose report it is, and what is left to students. */
  readonly student: { readonly author: string; readonly quantities: readonly string[] };
}

/** What is to be seen of a report before anybody has read it. */
export function report(order: ProposalOrder): Outcome<Proposal> {
  return outcome(() => {
    const { protocol, events, rules, student } = withKnownRules(order);
    const run = workOut(protocol, { events }, rules, student.quantities.length > 0 ? student : null);
    return proposal(run, new OwnWork(run), student.author);
  });
}

export interface GivenOrder {
  readonly protocol: Protocol;
  readonly count: number;
  readonly sample: number;
  readonly seed: number;
  readonly rules: HouseRules;
  readonly cabinet: readonly string[];
}

/** Readings that students are given, each something else. */
export function given(order: GivenOrder): Outcome<GivenEntry[][]> {
  return outcome(() => {
    const { protocol, count, ...options } = withKnownRules(order);
    return drawDifferent(protocol, count, options);
  });
}

/** What is wrong in a lab sheet that is to be put in use: in what it says, and where nothing is, in its samples. */
export function sheetFaults({ sheet }: { readonly sheet: object }): Outcome<LabSheetFault[]> {
  return outcome(() => {
    const faults = protocolFaults(sheet);
    const all = faults.length > 0 ? faults : sampleFaults(sheet as Protocol);
    return all.map(({ path, reason }) => ({ path, reason }));
  });
}

/** Time between two subjects, in ms: whoever waits for a round comes first. */
const PAUSE = 20;

/** Works out by the usual rules what can be told apart on each tool and in each kind of exercise, before the first round has to wait for it. */
async function prepare(): Promise<void> {
  for (const id of subjectIds()) {
    await setTimeout(PAUSE);
    const subject = subjectById(id);
    planForBelief(PRIORS[subject.domain], { subjects: [subject], count: 1, seed: 1, rules: DEFAULT_RULES });
  }
}

if ((workerData as { readonly prepares: boolean }).prepares) void prepare();
