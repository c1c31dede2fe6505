import { instrumentById } from '../instruments/catalogue.ts';
import type { GraduatedCylinder, Instrument } from '../instruments/instrument.ts';
import { seededRandom, type Random } from '../simulation/random.ts';
import { multipleOf } from '../scales/linear-scale.ts';
import { diagnose } from './diagnose.ts';
import { expectedReading, writtenReading } from './expected-reading.ts';
import { completeRules, type HouseRules } from './house-rules.ts';
import { readingTask, type ReadingTask } from './reading-task.ts';
import type { Situation } from './situation.ts';
import { slipById } from './slips/registry.ts';
import type { Slip } from './slips/slip.ts';

/** A slip was aimed at on a tool on which it cannot be made. */
export class AimError extends Error {
  override readonly name = 'AimError';
  constructor(readonly offending: string, instrument: Instrument) {
    super(`aim: “${offending}” cannot be made on a ${instrument.name}.`);
  }
}

export interface DrawOptions {
  /** The same seed, aim and rules draw the same item. */
  readonly seed: number;
  /** Slips that the item should be able to tell apart. */
  readonly aim?: readonly string[];
  readonly rules?: Partial<HouseRules>;
}

const LIQUIDS = ['water', 'brine', 'lamp oil', 'glycerol'] as const;
/** How many situations are tried before the best one is taken. */
const TRIES = 400;

function drawEyeHeight(random: Random, aim: readonly string[]): number {
  const height = 35 + 55 * random.uniform();
  if (aim.includes('eye-low')) return -height;
  return aim.includes('eye-high') || random.uniform() < 0.5 ? height : -height;
}

function drawColumn(cylinder: GraduatedCylinder, random: Random, aim: readonly string[]): Situation {
  const [least, most] = cylinder.range;
  const onMark = aim.includes('trailing-zero-dropped') || (aim.length === 0 && random.uniform() < 0.1);
  const part = 0.1 + 0.82 * random.uniform();
  const raw = least + part * (most - least);
  const value = onMark ? multipleOf(cylinder.division, Math.round(raw / cylinder.division)) : Number(raw.toFixed(4));
  const domed = aim.includes('meniscus-low') || (!aim.includes('meniscus-edge') && random.uniform() < 0.08);
  return {
    value,
    eyeHeight: Number(drawEyeHeight(random, aim).toFixed(1)),
    surface: domed ? 'domed' : 'wetting',
    liquid: domed ? 'water' : random.pick(LIQUIDS),
    secondScale: cylinder.mayHaveSecondScale && (aim.includes('other-scale') || random.uniform() < 0.35),
  };
}

function drawSituation(instrument: Instrument, random: Random, aim: readonly string[]): Situation {
  if (instrument.reads === 'liquid-column') return drawColumn(instrument, random, aim);
  const digits = Math.round((0.02 + 0.96 * random.uniform()) * (instrument.range[1] / instrument.division));
  return { value: multipleOf(instrument.division, aim.includes('trailing-zero-dropped') ? Math.round(digits / 10) * 10 : digits) };
}

/** Readings that somebody with just this slip would write on this task, unit included; empty where it cannot be made. */
export function predictedEntries(task: ReadingTask, slip: Slip): string[] {
  const { text, unit } = expectedReading(task);
  const { value } = task.situation;
  switch (slip.stage) {
    case 'sight': {
      const shift = slip.shift(task);
      return shift === null ? [] : [`${writtenReading(task, value + shift)} ${unit}`];
    }
    case 'count':
      return slip.counted(task, value).map((counted) => (counted.scatter ? `${writtenReading(task, counted.value)} ${unit}` : `${counted.value} ${unit}`));
    case 'digits':
      return slip.garbled(text).map((garbled) => `${garbled} ${unit}`);
    case 'form': {
      const misrecorded = slip.misrecorded(text, unit);
      return misrecorded === null ? [] : [misrecorded];
    }
  }
}

/** The same task with the true value a little off, as a reader's scatter would have it. */
function nudged(task: ReadingTask, divisions: number): ReadingTask | null {
  const { range, division } = instrumentById(task.instrumentId);
  const value = task.situation.value + divisions * division;
  return value < range[0] || value > range[1] ? null : { ...task, situation: { ...task.situation, value } };
}

/** Part of the aimed slips that would be named first from what somebody with just that slip writes, with scatter either way. */
function separation(task: ReadingTask, aim: readonly Slip[]): number {
  const scatter = instrumentById(task.instrumentId).reads === 'display' ? [0] : [-0.14, 0, 0.14];
  const seen = scatter.flatMap((divisions) => nudged(task, divisions) ?? []);
  const namedFirst = (slip: Slip, entries: readonly string[]): boolean => entries.every((entry) => diagnose(task, entry).slips[0]?.ids.join() === slip.id);
  const verdicts = aim.flatMap((slip) => [
    predictedEntries(task, slip).length > 0,
    ...seen.map((shifted) => namedFirst(slip, predictedEntries(shifted, slip))),
  ]);
  return verdicts.length === 0 ? 1 : verdicts.filter(Boolean).length / verdicts.length;
}

function checkAim(instrument: Instrument, aim: readonly string[], rules: HouseRules): Slip[] {
  const slips = aim.map(slipById);
  const impossible = slips.find((slip) => {
    const random = seededRandom(1);
    return !Array.from({ length: 12 }, () => readingTask(instrument.id, drawSituation(instrument, random, [slip.id]), rules)).some((task) => predictedEntries(task, slip).length > 0);
  });
  if (impossible) throw new AimError(impossible.id, instrument);
  return slips;
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
  const draw = (): ReadingTask => readingTask(instrumentId, drawSituation(instrument, random, options.aim ?? []), rules);
  let best = draw();
  let bestSeparation = separation(best, aim);
  for (let tried = 1; tried < TRIES && bestSeparation < 1; tried += 1) {
    const task = draw();
    const apart = separation(task, aim);
    if (apart > bestSeparation) [best, bestSeparation] = [task, apart];
  }
  return best;
}
