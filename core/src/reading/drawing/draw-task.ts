import { instrumentById } from '../../instruments/catalogue.ts';
import type { Instrument } from '../../instruments/instrument.ts';
import { completeRules, type HouseRules } from '../../rules/house-rules.ts';
import { seededRandom, type Random } from '../../simulation/random.ts';
import { asLaid, asOnPaper } from '../bench.ts';
import { familyOf } from '../families.ts';
import { isBeyondEstimates } from '../indication/acceptance.ts';
import { isGiven } from '../indication/resolution.ts';
import { SituationError } from '../indication/situation-error.ts';
import { numberWritten } from '../indication/written.ts';
import { diagnose } from '../judging/diagnose.ts';
import { indicationOf, inSituation, readingTask, type ReadingTask } from '../reading-task.ts';
import type { Situation } from '../situation.ts';
import { estimateOff } from '../slips/estimate-off.ts';
import { slipById, slipOn, SLIPS, type KnownSlip } from '../slips.ts';
import { predictedEntries } from './predictions.ts';

/** A slip was aimed at where it cannot be made, or not be told apart. */
export class AimError extends Error {
  override readonly name = 'AimError';
  /** @param subjects names of the tools or the kinds of exercises that were to show it. */
  constructor(
    readonly offending: string,
    subjects: readonly string[],
  ) {
    super(
      `aim: “${offending}” cannot be told apart on ${subjects.length > 3 ? 'any of these' : subjects.map((name) => `“${name}”`).join(' or ')}.`,
    );
  }
}

export interface DrawOptions {
  /** The same seed, aim and rules draw the same item. */
  readonly seed: number;
  /** Slips that the item should be able to tell apart. */
  readonly aim?: readonly string[];
  readonly rules?: Partial<HouseRules>;
  /** For a printed picture: seen from the level, with everything at rest. */
  readonly onPaper?: boolean;
  /** What the very tool shows at true zero, where one is named: it takes the place of a drawn error. */
  readonly zeroError?: number;
}

/** How many situations are tried before the best one is taken. */
const TRIES = 400;
/** Scatter, in divisions, that the naming of an aimed slip is to outlast: up to nearly two of a careful reader's. */
const NUDGES = [0, -0.13, 0.13, -0.07, 0.07];
/** The same for a line that coincides, in lines. */
const LINE_NUDGES = [0, -0.5, 0.5, -0.3, 0.3];

/** The same task with the true value a little off, as a reader's scatter would have it; null beyond the scale. */
function nudged(task: ReadingTask, divisions: number): ReadingTask | null {
  const { tool, mark } = indicationOf(task);
  const { situation } = task;
  const [least, most] = tool.range;
  const off = divisions * tool.division;
  const value = situation.value + off;
  const stands = (mark ?? situation.value) + off;
  if (stands < least || stands > most || value < least) return null;
  const shown = 'shown' in situation && situation.shown !== undefined ? { shown: situation.shown + off } : {};
  return inSituation(task, { ...situation, value, ...shown });
}

/** The task seen from the level, as by somebody who does everything but estimate with care. */
function fromTheLevel(task: ReadingTask): ReadingTask {
  return 'eyeHeight' in task.situation ? inSituation(task, { ...task.situation, eyeHeight: 0 }) : task;
}

/** Whether what a slip leads to is further off than any estimate; what is seen of the tool as it stands tells the others, and a record is no reading. */
function isTellable(task: ReadingTask, slip: KnownSlip, entries: readonly string[]): boolean {
  if (slip.needsTheTool === true || slip.stage === 'form' || slip.id === estimateOff.id) return true;
  const indication = indicationOf(task);
  return entries.every((entry) =>
    isBeyondEstimates(indication, numberWritten(entry.split(' ')[0] ?? '') - indication.answer),
  );
}

/** Whether a slip can still be made when the reading scatters; what is wrong with the digits or the record does not hang on it. */
function canBeMade({ stage }: KnownSlip, entries: readonly string[]): boolean {
  return entries.length > 0 || stage === 'digits' || stage === 'form';
}

/** Every question that a good item answers with yes: can each aimed slip be made, and is it named first, with scatter either way. */
function* questions(task: ReadingTask, aim: readonly KnownSlip[]): Generator<boolean> {
  for (const slip of aim) {
    const entries = predictedEntries(task, slip);
    yield entries.length > 0 && isTellable(task, slip, entries);
  }
  const { lastDigit } = indicationOf(task).resolution;
  const coincides = lastDigit === 'coincidence';
  const scatter = coincides ? LINE_NUDGES : isGiven(lastDigit) ? [0] : NUDGES;
  for (const divisions of scatter) {
    const seen = nudged(task, divisions);
    if (!seen) continue;
    for (const slip of aim) {
      // A badly estimated digit is off by more than any scatter already.
      if (divisions !== 0 && slip.id === estimateOff.id) continue;
      const entries = predictedEntries(seen, slip);
      // Another line that seems to coincide changes all that follows from it: then only the likeliest way counts.
      const asked = divisions !== 0 && coincides ? entries.slice(0, 1) : entries;
      const read = slip.id === estimateOff.id ? fromTheLevel(task) : task;
      yield canBeMade(slip, entries) && asked.every((entry) => diagnose(read, entry).slips[0]?.ids.join() === slip.id);
    }
  }
}

/** How many questions an item answers with yes before the first no; all of them for a good one. */
function answered(task: ReadingTask, aim: readonly KnownSlip[]): { readonly count: number; readonly all: boolean } {
  let count = 0;
  for (const yes of questions(task, aim)) {
    if (!yes) return { count, all: false };
    count += 1;
  }
  return { count, all: true };
}

/** Draws what stands on the bench, so that the aimed slips can be made on it. */
export function drawSituation(
  instrument: Instrument,
  random: Random,
  aim: readonly string[],
  rules: HouseRules,
): Situation {
  const aimed = { random, rules, at: (slip: string) => aim.includes(slip), any: aim.length > 0 };
  return familyOf(instrument).draw(instrument, aimed);
}

/** What can be told in fewer than so many of so many situations is not aimed at: good items would be too hard to find. */
const FOR_ONE = { chances: 80, enough: 2 };
/** Of two slips together more is asked: there are many pairs, and a seldom one is no loss. */
const FOR_TWO = { chances: 8, enough: 1 };

/** Tasks on an instrument, drawn for some slips, one after the other. */
function* drawnFor(
  instrument: Instrument,
  aim: readonly KnownSlip[],
  rules: HouseRules,
  seed: number,
): Generator<ReadingTask, never> {
  const random = seededRandom(seed);
  const ids = aim.map(({ id }) => id);
  for (;;) yield asLaid(readingTask(instrument.id, drawSituation(instrument, random, ids, rules), rules));
}

/** So many situations are looked at for slips that can be made in one of them. */
const LOOKED_AT = 20;

/** Whether some drawn situation leaves room for every one of these slips. */
function canBeMadeTogether(instrument: Instrument, aim: readonly KnownSlip[], rules: HouseRules): boolean {
  if (aim.some(({ id }) => slipOn(instrument, id) === null)) return false;
  const drawn = drawnFor(instrument, aim, rules, 2);
  return Array.from({ length: LOOKED_AT }).some(() => {
    const task = drawn.next().value;
    return aim.every((slip) => predictedEntries(task, slip).length > 0);
  });
}

/** Whether slips can be made on an instrument, each told from every other: on a coarse scale a small shift of the eye cannot. */
function canBeTold(instrument: Instrument, aim: readonly KnownSlip[], rules: HouseRules): boolean {
  if (!canBeMadeTogether(instrument, aim, rules)) return false;
  const drawn = drawnFor(instrument, aim, rules, 1);
  const { chances, enough } = aim.length > 1 ? FOR_TWO : FOR_ONE;
  let told = 0;
  for (let chance = 0; chance < chances && told < enough; chance += 1)
    if (answered(drawn.next().value, aim).all) told += 1;
  return told === enough;
}

/** Whether one item of a tool can be aimed at several slips at once. */
export function canBeToldTogether(instrumentId: string, aim: readonly string[], rules: HouseRules): boolean {
  return canBeTold(instrumentById(instrumentId), aim.map(slipById), rules);
}

/** Worked out once for each tool and set of rules: complete rules never change. */
const POSSIBLE = new WeakMap<HouseRules, Map<string, readonly string[]>>();

/**
 * The slips that can be made and told apart on an instrument by a class's rules, and so be aimed at.
 * @throws UnknownInstrumentError or HouseRuleError, naming the field.
 */
export function slipsOn(instrumentId: string, rules?: Partial<HouseRules>): readonly string[] {
  const [instrument, complete] = [instrumentById(instrumentId), completeRules(rules)];
  const known = POSSIBLE.get(complete) ?? new Map<string, readonly string[]>();
  POSSIBLE.set(complete, known);
  const possible =
    known.get(instrumentId) ?? SLIPS.filter((slip) => canBeTold(instrument, [slip], complete)).map((slip) => slip.id);
  known.set(instrumentId, possible);
  return possible;
}

function checkAim(instrument: Instrument, aim: readonly string[], rules: HouseRules): KnownSlip[] {
  const slips = aim.map(slipById);
  const possible = slips.length > 0 ? slipsOn(instrument.id, rules) : [];
  const impossible = slips.find((slip) => !possible.includes(slip.id));
  if (impossible) throw new AimError(impossible.id, [instrument.name]);
  return slips;
}

/** How often a situation is drawn anew that is beyond the scale. */
const REDRAWN = 80;

/** A tool’s own error may put what was drawn for another beyond its scale; then another is drawn. */
function untilPossible(draw: () => ReadingTask): ReadingTask {
  for (let chance = 1; chance < REDRAWN; chance += 1) {
    try {
      return draw();
    } catch (error) {
      if (!(error instanceof SituationError)) throw error;
    }
  }
  return draw();
}

/**
 * Draws one item. Situations are drawn until the aimed slips would each be named first from what they produce; the best of a
 * bounded number of tries is taken.
 * @throws UnknownInstrumentError, UnknownSlipError, AimError, HouseRuleError, or RangeError for the seed, each naming the field.
 */
export function drawTask(instrumentId: string, options: DrawOptions): ReadingTask {
  const instrument = instrumentById(instrumentId);
  const rules = completeRules(options.rules);
  const random = seededRandom(options.seed);
  const aim = checkAim(instrument, options.aim ?? [], rules);
  const drawOn = (): ReadingTask => {
    const situation = drawSituation(instrument, random, options.aim ?? [], rules);
    const ownError = options.zeroError === undefined ? {} : { zeroError: options.zeroError };
    return readingTask(instrumentId, { ...situation, ...ownError }, rules);
  };
  const draw = (): ReadingTask => {
    const task = untilPossible(drawOn);
    return options.onPaper ? asOnPaper(task) : task;
  };
  let best = draw();
  let good = answered(asLaid(best), aim);
  for (let tried = 1; tried < TRIES && !good.all; tried += 1) {
    const task = draw();
    const found = answered(asLaid(task), aim);
    if (found.all || found.count > good.count) [best, good] = [task, found];
  }
  return best;
}
