import { instrumentById, instrumentIds } from '../instruments/catalogue.ts';
import { seededRandom, type Random } from '../simulation/random.ts';
import { singleExplanations } from './diagnose.ts';
import { predictedEntries, slipsOn } from './draw-task.ts';
import { drawSituation } from './draw-situation.ts';
import { acceptedAnswers } from './expected-reading.ts';
import type { HouseRules } from '../rules/house-rules.ts';
import { asLaid } from './operation.ts';
import type { PlannedItem } from './plan-round.ts';
import { readingTask, type ReadingTask } from './reading-task.ts';
import { slipById, SLIPS } from './slips/registry.ts';
import type { Slip } from './slips/slip.ts';

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

/** Slips that stand for a habit of their own: `other` ways to the same number are left to the diagnosis. */
const HABITS: readonly Slip[] = SLIPS;

/** Before anything was read: half alike, half by how often each slip is made. */
export const PRIOR: Belief = (() => {
  const total = HABITS.reduce((sum, slip) => sum + slip.baseRate, 0);
  const share = (slip: Slip): number => 0.5 / HABITS.length + (0.5 * slip.baseRate) / total;
  return { [NO_HABIT]: CAREFUL, ...Object.fromEntries(HABITS.map((slip) => [slip.id, (1 - CAREFUL) * share(slip)])) };
})();

function normalised(weights: Record<string, number>): Belief {
  const total = Object.values(weights).reduce((sum, weight) => sum + weight, 0);
  return Object.fromEntries(Object.entries(weights).map(([id, weight]) => [id, weight / total]));
}

/** The belief some time later: what was learned of a habit fades toward the prior. */
export function faded(belief: Belief, part = FORGOTTEN): Belief {
  return Object.fromEntries(Object.entries(PRIOR).map(([id, prior]) => [id, (1 - part) * (belief[id] ?? prior) + part * prior]));
}

/** Whether a slip would show on a task: somebody who made it would write something that does not count as right. */
function shows(task: ReadingTask, slip: Slip): boolean {
  const entries = predictedEntries(task, slip);
  if (slip.stage === 'form') return entries.length > 0;
  const accepted = acceptedAnswers(task);
  const [low, high] = [accepted[0] ?? 0, accepted.at(-1) ?? 0];
  return entries.some((entry) => {
    const number = Number.parseFloat(entry);
    return number < low - 1e-9 || number > high + 1e-9;
  });
}

/**
 * What is believed after one more reading.
 * @param drawn the task as it was set, with the eye off the level: what could have been done wrong.
 * @param read the same as it stood at Enter, after what was done with the tool.
 */
export function updated(belief: Belief, drawn: ReadingTask, read: ReadingTask, entry: string): Belief {
  const masses = singleExplanations(read, entry);
  if (!masses) return belief;
  const careful = (masses.get('') ?? 0) + FLOOR;
  const before = faded(belief);
  return normalised(
    Object.fromEntries(
      Object.entries(before).map(([id, weight]) => {
        if (id === NO_HABIT) return [id, weight * careful];
        const slip = slipById(id);
        // Where the slip could not show, the reading tells nothing; where it was avoided (an eye brought to the level), it was not made.
        if (!shows(read, slip)) return [id, weight * careful * (shows(drawn, slip) ? 1 - MADE : 1)];
        return [id, weight * (MADE * ((masses.get(id) ?? 0) + FLOOR) + (1 - MADE) * careful)];
      }),
    ),
  );
}

/** What each habit would write on an item, as far as it would show: habits that write the same cannot be told apart by it. */
type Signature = ReadonlyMap<string, string>;

function signatureOf(task: ReadingTask, slips: readonly string[]): Signature {
  return new Map(slips.flatMap((id): [string, string][] => (shows(task, slipById(id)) ? [[id, predictedEntries(task, slipById(id))[0] ?? '']] : [])));
}

/** A tool and an aim, with what such items would show: a few of them, drawn beforehand. */
interface Candidate {
  readonly instrumentId: string;
  readonly aim: readonly string[];
  readonly signatures: readonly Signature[];
}

/** Enough items for what shows only now and then to be met as often as it comes; what is aimed at always shows. */
const SAMPLES = { unaimed: 14, aimed: 3 };
/** A slip that shows on at most this part of the items of a tool needs to be aimed at. */
const RARE = 0.5;

function sampled(instrumentId: string, aim: readonly string[], slips: readonly string[], rules: HouseRules): Candidate {
  const random = seededRandom(7 + aim.join().length);
  const instrument = instrumentById(instrumentId);
  const signatures = Array.from({ length: aim.length === 0 ? SAMPLES.unaimed : SAMPLES.aimed }, () => signatureOf(asLaid(readingTask(instrumentId, drawSituation(instrument, random, aim, rules), rules)), slips));
  return { instrumentId, aim, signatures };
}

/** Items aimed at nothing, at each slip that seldom shows by itself, and at two of those together. */
function candidatesOn(instrumentId: string, rules: HouseRules): Candidate[] {
  const slips = slipsOn(instrumentId, rules);
  const plain = sampled(instrumentId, [], slips, rules);
  const rare = slips.filter((id) => plain.signatures.filter((signature) => signature.has(id)).length <= RARE * plain.signatures.length);
  const pairs = rare.flatMap((first, i) => rare.slice(i + 1).map((second) => [first, second]));
  return [plain, ...[...rare.map((id) => [id]), ...pairs].map((aim) => sampled(instrumentId, aim, slips, rules))];
}

/** Worked out once for each tool and set of rules: complete rules never change. */
const CANDIDATES = new WeakMap<HouseRules, Map<string, readonly Candidate[]>>();

function candidates(tools: readonly string[], rules: HouseRules): Candidate[] {
  const known = CANDIDATES.get(rules) ?? new Map<string, readonly Candidate[]>();
  CANDIDATES.set(rules, known);
  return tools.flatMap((id) => {
    const here = known.get(id) ?? candidatesOn(id, rules);
    known.set(id, here);
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
  const left = [...shared.values(), { total: soundly, surprise: soundSurprise }].reduce((sum, outcome) => sum + surprise(outcome.total) - outcome.surprise, 0);
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

export interface TutorOptions {
  /** None named means every tool of the bench. */
  readonly tools: readonly string[];
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
  const good = all.filter((_, i) => (gains[i] ?? -Infinity) >= most - NEARLY_BEST);
  return good[random.below(good.length)] ?? null;
}

/**
 * Plans the next items so as to learn most about a student’s habits. Each is chosen as if nothing showed on those before it, so that
 * a few planned ahead look at different things.
 */
export function planForBelief(belief: Belief, { tools, count, seed, rules, revisit = [] }: TutorOptions): PlannedItem[] {
  const random = seededRandom(seed);
  const all = candidates(tools.length > 0 ? tools : instrumentIds(), rules);
  let ahead: Belief = belief;
  return Array.from({ length: count }, (_, position): PlannedItem => {
    const again = revisit.length > 0 && position % REVISIT_EVERY === REVISIT_EVERY - 1 ? revisit[random.below(revisit.length)] : undefined;
    const possible = again === undefined ? all : all.filter((candidate) => candidate.aim.includes(again));
    const chosen = best(ahead, possible.length > 0 ? possible : all, random);
    if (!chosen) throw new RangeError('tools: there is nothing to choose from.');
    ahead = normalised(unshown(ahead, chosen));
    return { instrumentId: chosen.instrumentId, seed: random.below(2 ** 48), aim: chosen.aim };
  });
}
