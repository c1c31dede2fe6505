import {
  drawItem,
  planForAims,
  planRound,
  questionOn,
  shownItem,
  shownOnPaper,
  subjectById,
  subjectsNamed,
  type HouseRules,
  type ItemShown,
} from '@green-beam/core';

/** Which slips can be told apart on a subject: worked out once for each set of rules. */
export interface AimsRequest {
  readonly kind: 'aims';
  readonly id: number;
  readonly subjectId: string;
  readonly rules: HouseRules;
}

/** One item as a set would have it. */
export interface ExampleRequest {
  readonly kind: 'example';
  readonly id: number;
  readonly subjectIds: readonly string[];
  readonly aims: readonly string[];
  readonly onPaper: boolean;
  readonly seed: number;
  readonly rules: HouseRules;
}

export interface Example {
  readonly question: string;
  readonly shown: ItemShown;
}

export interface WorkerAnswer {
  readonly id: number;
  /** Null where the aims cannot be met on these subjects. */
  readonly answer: readonly string[] | Example | null;
}

const KNOWN = new Map<string, readonly string[]>();

function aimsOf({ subjectId, rules }: AimsRequest): readonly string[] {
  const key = `${subjectId} ${JSON.stringify(rules)}`;
  const aims = KNOWN.get(key) ?? subjectById(subjectId).aims(rules);
  KNOWN.set(key, aims);
  return aims;
}

function exampleOf({ subjectIds, aims, onPaper, seed, rules }: ExampleRequest): Example | null {
  try {
    const subjects = subjectsNamed(subjectIds);
    const [item] =
      aims.length > 0
        ? planForAims(subjects, aims, 1, seed, rules)
        : planRound(subjects, 1, seed, rules, (slip) => !onPaper || shownOnPaper(slip));
    if (!item) return null;
    const task = drawItem(item.subjectId, { seed: item.seed, aim: item.aim, rules, onPaper, level: 1 });
    return { question: questionOn(task), shown: shownItem(task) };
  } catch {
    return null;
  }
}

self.addEventListener('message', ({ data }: MessageEvent<AimsRequest | ExampleRequest>) => {
  const answer: WorkerAnswer = { id: data.id, answer: data.kind === 'aims' ? aimsOf(data) : exampleOf(data) };
  self.postMessage(answer);
});
