import { againstTolerance, type ByTolerance } from '../../statistics/accuracy-and-precision.ts';
import { brownForsythe, type BrownForsythe } from '../../statistics/brown-forsythe.ts';
import { neighbourCorrelation } from '../../statistics/correlation.ts';
import { grubbs } from '../../statistics/grubbs.ts';
import { tooSmallTogether } from '../../statistics/consensus.ts';
import { studentT95 } from '../../statistics/student-t.ts';
import { summarise, type Summary } from '../../statistics/summarise.ts';
import { differenceOfMeans, welch } from '../../statistics/welch.ts';
import type { ToolCompared } from './tools-compared.ts';

/** What one repeat more would make of how well the mean is known: half a 95 % interval, now and with it. */
export interface OneMore {
  readonly now: number;
  readonly then: number;
}

/** What a tool’s repeats come to. */
export interface ToolFigures {
  readonly tool: ToolCompared;
  /** Of the errors. */
  readonly summary: Summary;
  /** Mean error ÷ what is accepted, in percent, signed; null where nothing is accepted or it is 0. */
  readonly percentError: number | null;
  /** Null where its maker’s tolerance is not known. */
  readonly byTolerance: ByTolerance | null;
  /** From 1, by |mean error|; as many as have the same error have the same rank. */
  readonly accuracy: number;
  /** From 1, by the sample standard deviation; null of a single repeat. */
  readonly precision: number | null;
  /** Index of a repeat that lies further from the others than chance brings one of so many; null where none does, or nobody can say. */
  readonly outlier: number | null;
  /** How each repeat goes with the one after it; null where that cannot be said. */
  readonly neighbours: number | null;
  /** Null of fewer than two repeats. */
  readonly oneMore: OneMore | null;
}

/** Two tools whose means are compared. */
export interface MeansCompared {
  /** Indexes of the two. */
  readonly first: number;
  readonly second: number;
  /** First less second, in the unit. */
  readonly difference: number;
  /** How often chance alone would bring them so far apart: 0 to 1. */
  readonly p: number;
  /** Whether that is too seldom to be chance, their number allowed for. */
  readonly differ: boolean;
}

export interface ToolComparison {
  readonly figures: readonly ToolFigures[];
  /** Every two tools that can be compared; none where repeats are not independent. */
  readonly means: readonly MeansCompared[];
  /** Whether the tools scatter differently; null where that cannot be compared. */
  readonly spreads: BrownForsythe | null;
  /** Repeats follow one another: tests that take them as independent are left out. */
  readonly inSequence: boolean;
}

const CHANCE = 0.05;
/** Grubbs’ test takes so many. */
const FEWEST_FOR_OUTLIER = 4;

/** What binary digits leave of equal decimals is no difference. */
const same = (a: number, b: number): boolean => Math.abs(a - b) <= 1e-9 * Math.max(Math.abs(a), Math.abs(b));

/** From 1: how many of all are smaller, and one. */
export function ranked(value: number, all: readonly number[]): number {
  return 1 + all.filter((other) => other < value && !same(other, value)).length;
}

function oneMoreOf({ n, sampleStandardDeviation: s }: Summary): OneMore | null {
  if (s === null) return null;
  const half = (count: number): number => (studentT95(count - 1) * s) / Math.sqrt(count);
  return { now: half(n), then: half(n + 1) };
}

function outlierOf({ errors, inSequence }: ToolCompared): number | null {
  if (inSequence || errors.length < FEWEST_FOR_OUTLIER) return null;
  const { suspect, G, critical } = grubbs(errors);
  return G > critical ? suspect : null;
}

function figuresOf(tool: ToolCompared, summary: Summary, all: readonly Summary[]): ToolFigures {
  const { mean, sampleStandardDeviation: s } = summary;
  const oneMore = oneMoreOf(summary);
  const spreads = all.flatMap(({ sampleStandardDeviation }) => sampleStandardDeviation ?? []);
  return {
    tool,
    summary,
    percentError: tool.accepted === null || tool.accepted === 0 ? null : (mean / tool.accepted) * 100,
    byTolerance: tool.tolerance === null ? null : againstTolerance(mean, oneMore?.now ?? null, tool.tolerance),
    accuracy: ranked(
      Math.abs(mean),
      all.map((one) => Math.abs(one.mean)),
    ),
    precision: s === null ? null : ranked(s, spreads),
    outlier: outlierOf(tool),
    neighbours: tool.inSequence ? neighbourCorrelation(tool.errors) : null,
    oneMore,
  };
}

/** Whether two sets of at least two repeats can be told apart by Welch’s test: something has to scatter. */
function chanceOf(a: readonly number[], b: readonly number[]): number | null {
  if (a.length < 2 || b.length < 2) return null;
  // Where nothing scatters there is nothing to tell a difference from.
  if (differenceOfMeans(a, b).standard === 0) return a[0] === b[0] ? 1 : null;
  return welch(a, b).p;
}

function meansOf(tools: readonly ToolCompared[]): MeansCompared[] {
  const pairs = tools.flatMap((one, first) =>
    tools.slice(first + 1).flatMap((other, i) => {
      const p = chanceOf(one.errors, other.errors);
      if (p === null) return [];
      return [{ first, second: first + 1 + i, difference: differenceOfMeans(one.errors, other.errors).difference, p }];
    }),
  );
  const differing = new Set(
    tooSmallTogether(
      pairs.map(({ p }) => p),
      CHANCE,
    ),
  );
  return pairs.map((pair, i) => ({ ...pair, differ: differing.has(i) }));
}

function spreadsOf(tools: readonly ToolCompared[]): BrownForsythe | null {
  const groups = tools.map(({ errors }) => errors).filter(({ length }) => length > 1);
  if (groups.length < 2) return null;
  // Where all distances from the median are the same, as in pairs, scatters cannot be compared.
  try {
    return brownForsythe(groups);
  } catch (error) {
    if (error instanceof RangeError) return null;
    throw error;
  }
}

/**
 * Compares tools by their repeats: how far each is off, how it scatters, whether that is within its maker’s tolerance (the 95 % interval of
 * the mean by Student’s t against ± T), who is more accurate and who more precise. Welch’s test tells means apart, every two, by Holm’s
 * bound; Brown and Forsythe’s tells scatters apart; Grubbs’ names an outlier.
 * @param tools in one unit, each with at least one repeat.
 */
export function compareTools(tools: readonly ToolCompared[]): ToolComparison {
  const summaries = tools.map(({ errors }) => summarise(errors));
  const inSequence = tools.some((tool) => tool.inSequence);
  return {
    figures: tools.map((tool, i) => figuresOf(tool, summaries[i] ?? summarise([0]), summaries)),
    means: inSequence ? [] : meansOf(tools),
    spreads: inSequence ? null : spreadsOf(tools),
    inSequence,
  };
}
