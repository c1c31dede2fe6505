import type { HouseRules } from '../rules/house-rules.ts';
import { seededRandom, type Random } from '../simulation/random.ts';
import type { PlannedItem } from './plan-round.ts';
import {
  entriesWith,
  explanationsFor,
  isExerciseTask,
  isRightNumber,
  sampleItem,
  type PracticeTask,
} from './practice-task.ts';
import { isExerciseKind } from '../exercises/kinds.ts';
import { canBeToldTogether } from '../reading/drawing/draw-task.ts';
import { shuffled } from '../simulation/shuffled.ts';
import { EXERCISE_SLIPS } from '../exercises/slips/registry.ts';
import { SLIPS } from '../reading/slips.ts';
import type { Domain, Subject } from './subject.ts';

/**
 * What is believed of a student: the probability of each habit, `none` among them. A hidden Markov model with one habit at a time,
 * filtered forward reading by reading (Rabiner, Proc. IEEE 77 (1989) 257), as in knowledge tracing (Corbett & Anderson, User Model.
 * User-Adapt. Interact. 4 (1995) 253): a reading multiplies each habit by the likelihood of what was written, and before the next one
 * a little of the belief flows back to the prior, since habits are learned and shed.
 */
export type Belief = Readonly<Record<string, number>>;

export const NO_HABIT = 'none';

/** Who has a habit makes the slip in so many of the readings on which it can be made. */
export const MADE = 0.7;
/** Part of the belief that flows back to the prior between two readings. */
const FORGOTTEN = 0.02;
/** Prior of having no habit at all. */
const CAREFUL = 0.35;
/** A number nobody would come to by any one slip, or without one: a floor under each likelihood. */
const FLOOR = 1e-4;

function priorOver(slips: readonly { readonly id: string; readonly baseRate: number }[]): Belief {
  const total = slips.reduce((sum, { baseRate }) => sum + baseRate, 0);
  const share = (baseRate: number): number => 0.5 / slips.length + (0.5 * baseRate) / total;
  return {
    [NO_HABIT]: CAREFUL,
    ...Object.fromEntries(slips.map(({ id, baseRate }) => [id, (1 - CAREFUL) * share(baseRate)])),
  };
}

/** Before anything was read or calculated: half alike, half by how often each slip is made. What the hand does at a tool and on paper are two habits. */
export const PRIORS: Readonly<Record<Domain, Belief>> = {
  reading: priorOver(SLIPS),
  calculating: priorOver(EXERCISE_SLIPS),
};

function normalised(weights: Record<string, number>): Belief {
  const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
  return Object.fromEntries(Object.entries(weights).map(([id, weight]) => [id, weight / total]));
}

/** The belief some time later: what was learned of a habit fades toward the prior. */
export function faded(belief: Belief, domain: Domain, part = FORGOTTEN): Belief {
  return Object.fromEntries(
    Object.entries(PRIORS[domain]).map(([id, prior]) => [id, (1 - part) * (belief[id] ?? prior) + part * prior]),
  );
}

/** Whether a slip would show on a task: somebody who made it would write something that does not count as right. */
function shows(task: PracticeTask, slip: string): boolean {
  return entriesWith(task, slip).some((entry) => !isRightNumber(task, slip, entry));
}

/**
 * What is believed after one more item.
 * @param drawn the task as it was set, with the eye off the level: what could have been done wrong.
 * @param read the same as it stood at Enter, after what was done with the tool.
 */
export function updated(belief: Belief, drawn: PracticeTask, read: PracticeTask, entry: string): Belief {
  const masses = explanationsFor(read, entry);
  if (!masses) return belief;
  const careful = (masses.get('') ?? 0) + FLOOR;
  const before = faded(belief, isExerciseTask(read) ? 'calculating' : 'reading');
  return normalised(
    Object.fromEntries(
      Object.entries(before).map(([id, weight]) => {
        if (id === NO_HABIT) return [id, weight * careful];
        // Where the slip could not show, the reading tells nothing; where it was avoided (an eye brought to the level), it was not made.
        if (!shows(read, id)) return [id, weight * careful * (shows(drawn, id) ? 1 - MADE : 1)];
        return [id, weight * (MADE * ((masses.get(id) ?? 0) + FLOOR) + (1 - MADE) * careful)];
      }),
    ),
  );
}

/** What each habit would write on an item, as far as it would show: habits that write the same cannot be told apart by it. */
type Signature = ReadonlyMap<string, string>;

function signatureOf(task: PracticeTask, slips: readonly string[]): Signature {
  return new Map(
    slips.flatMap((id): [string, string][] => (shows(task, id) ? [[id, entriesWith(task, id)[0] ?? '']] : [])),
  );
}

/** A subject and an aim, with what such items would show: a few of them, drawn beforehand. */
interface Candidate {
  readonly subjectId: string;
  readonly aim: readonly string[];
  readonly signatures: readonly Signature[];
}

/** Enough items for what shows only now and then to be met as often as it comes; what is aimed at always shows. */
const SAMPLES = { unaimed: 14, aimed: 3 };
/** Exercises take longer to draw, and one that is aimed at tells what its like would. */
const EXERCISE_SAMPLES = { unaimed: 10, aimed: 1 };
/** A slip that shows on at most this part of the items of a subject needs to be aimed at. */
const RARE = 0.5;

function sampled(
  { id, domain }: Subject,
  aim: readonly string[],
  slips: readonly string[],
  rules: HouseRules,
): Candidate {
  const random = seededRandom(7 + aim.join().length);
  const samples = domain === 'calculating' ? EXERCISE_SAMPLES : SAMPLES;
  const signatures = Array.from({ length: aim.length === 0 ? samples.unaimed : samples.aimed }, () =>
    signatureOf(sampleItem(id, aim, rules, random), slips),
  );
  return { subjectId: id, aim, signatures };
}

/** Items aimed at nothing, at each slip that seldom shows by itself, and, on a tool, at two of those together. */
function candidatesOn(subject: Subject, rules: HouseRules): Candidate[] {
  const slips = subject.slips(rules);
  const plain = sampled(subject, [], slips, rules);
  const rare = slips.filter(
    (id) => plain.signatures.filter((signature) => signature.has(id)).length <= RARE * plain.signatures.length,
  );
  const aims = [...rare.map((id) => [id]), ...pairsOn(subject, rare, rules)];
  return [plain, ...aims.map((aim) => sampled(subject, aim, slips, rules))];
}

/** Two slips that one item of a tool has room for; an exercise is aimed at one. */
function pairsOn({ domain, id }: Subject, slips: readonly string[], rules: HouseRules): string[][] {
  if (domain !== 'reading') return [];
  const pairs = slips.flatMap((first, i) => slips.slice(i + 1).map((second) => [first, second]));
  return pairs.filter((pair) => canBeToldTogether(id, pair, rules));
}

/** Worked out once for each subject and set of rules: complete rules never change. */
const CANDIDATES = new WeakMap<HouseRules, Map<string, readonly Candidate[]>>();

function candidates(subjects: readonly Subject[], rules: HouseRules): Candidate[] {
  const known = CANDIDATES.get(rules) ?? new Map<string, readonly Candidate[]>();
  CANDIDATES.set(rules, known);
  return subjects.flatMap((subject) => {
    const here = known.get(subject.id) ?? candidatesOn(subject, rules);
    known.set(subject.id, here);
    return here;
  });
}

/** p·log₂p, and 0 for nothing. */
function surprise(weight: number): number {
  return weight > 0 ? weight * Math.log2(weight) : 0;
}

/**
 * Expected loss of entropy by one item: what is written is either what a habit writes, shared by all habits that write the same, or a
 * right reading, made by everybody whose habit does not show or was not followed this time.
 */
function gainOf(belief: readonly (readonly [string, number])[], signature: Signature): number {
  let soundly = 0;
  let soundSurprise = 0;
  const shared = new Map<string, { total: number; surprise: number }>();
  for (const [id, weight] of belief) {
    const entry = signature.get(id);
    const right = entry === undefined ? weight : weight * (1 - MADE);
    soundly += right;
    soundSurprise += surprise(right);
    if (entry === undefined) continue;
    const known = shared.get(entry) ?? { total: 0, surprise: 0 };
    shared.set(entry, { total: known.total + weight * MADE, surprise: known.surprise + surprise(weight * MADE) });
  }
  // The entropy left over is Σ over outcomes of (total·log total − Σ w·log w); the entropy now is the same for every item.
  const left = [...shared.values(), { total: soundly, surprise: soundSurprise }].reduce(
    (sum, outcome) => sum + surprise(outcome.total) - outcome.surprise,
    0,
  );
  return -left;
}

function expectedGain(belief: readonly (readonly [string, number])[], { signatures }: Candidate): number {
  return signatures.reduce((sum, signature) => sum + gainOf(belief, signature), 0) / signatures.length;
}

/** The belief after an item on which nothing showed: each habit less likely by the chance that it would have. */
function unshown(belief: Belief, { signatures }: Candidate): Record<string, number> {
  const chance = (id: string): number => signatures.filter((signature) => signature.has(id)).length / signatures.length;
  return Object.fromEntries(Object.entries(belief).map(([id, weight]) => [id, weight * (1 - MADE * chance(id))]));
}

/** Items within this many bits of the best one are as good; one of them is taken by lot, so that rounds differ. */
const NEARLY_BEST = 0.02;
/** Of exercises all that tell this part of what the best would are: a story that everybody gets first is soon told on. */
const WORTH_SETTING = 0.5;

export interface TutorOptions {
  /** All of the domain that the belief is about. */
  readonly subjects: readonly Subject[];
  readonly count: number;
  readonly seed: number;
  readonly rules: HouseRules;
  /** Slips that were habits once and are to be looked at again. */
  readonly revisit?: readonly string[];
}

/** One item in so many is a revisit, where there is something to revisit. */
const REVISIT_EVERY = 5;

function best(belief: Belief, all: readonly Candidate[], random: Random): Candidate | null {
  const weights = Object.entries(belief);
  const gains = all.map((candidate) => expectedGain(weights, candidate));
  const most = Math.max(...gains);
  const least = (subjectId: string): number =>
    isExerciseKind(subjectId) ? most - (1 - WORTH_SETTING) * Math.abs(most - Math.min(...gains)) : most - NEARLY_BEST;
  const good = all.filter(({ subjectId }, i) => (gains[i] ?? -Infinity) >= least(subjectId));
  return good[random.below(good.length)] ?? null;
}

/** Kinds of exercises come in turn, in an order by lot: who asks for something of everything gets it. Tools come as they tell most. */
function turns(subjects: readonly Subject[], random: Random): readonly string[] | null {
  if (!subjects.every(({ domain }) => domain === 'calculating')) return null;
  return shuffled(
    random,
    subjects.map(({ id }) => id),
  );
}

/**
 * Plans the next items so as to learn most about a student’s habits. Each is chosen as if nothing showed on those before it, so that
 * a few planned ahead look at different things.
 */
export function planForBelief(
  belief: Belief,
  { subjects, count, seed, rules, revisit = [] }: TutorOptions,
): PlannedItem[] {
  const random = seededRandom(seed);
  const all = candidates(subjects, rules);
  const turn = turns(subjects, random);
  let ahead: Belief = belief;
  return Array.from({ length: count }, (_, position): PlannedItem => {
    const again =
      revisit.length > 0 && position % REVISIT_EVERY === REVISIT_EVERY - 1
        ? revisit[random.below(revisit.length)]
        : undefined;
    const here = turn === null ? all : all.filter(({ subjectId }) => subjectId === turn[position % turn.length]);
    const possible = again === undefined ? here : all.filter((candidate) => candidate.aim.includes(again));
    const chosen = best(ahead, possible.length > 0 ? possible : here, random);
    if (!chosen) throw new RangeError('subjects: there is nothing to choose from.');
    ahead = normalised(unshown(ahead, chosen));
    return { subjectId: chosen.subjectId, seed: random.below(2 ** 48), aim: chosen.aim };
  });
}
