import {
  writtenAtPlace,
  type ByTolerance,
  type HouseRules,
  type MeansCompared,
  type ToolComparison,
  type ToolFigures,
} from '@green-beam/core';

const ORDINALS = ['1st', '2nd', '3rd'];

/** A rank as it is said: `2nd`. */
export function ordinal(rank: number): string {
  return ORDINALS[rank - 1] ?? `${rank}th`;
}

/** Place to which errors and scatters of a tool are written: that of the first figure of its scatter, or of its error. */
export function placeOf(spread: number | null, error: number): number {
  const size = spread !== null && spread > 0 ? spread : Math.abs(error);
  if (!(size > 0)) return -2;
  const place = Math.floor(Math.log10(size) + 1e-12);
  // Where the first figure is a one, one figure more.
  return Math.round(size / 10 ** place) === 1 ? place - 1 : place;
}

/** A signed number at a place: `+0.03`. */
export function signed(value: number, place: number): string {
  const text = writtenAtPlace(value, place);
  return value > 0 && Number(text) !== 0 ? `+${text}` : text.replace(/^-(?=0*\.?0*$)/, '');
}

/** The percent error by the class’s rules: with its sign, or without. */
export function percentText(percent: number, rule: HouseRules['percentError']): string {
  const shown = rule === 'absolute' ? Math.abs(percent) : percent;
  const place = Math.abs(shown) >= 10 ? 0 : Math.abs(shown) >= 1 ? -1 : -2;
  return `${rule === 'signed' ? signed(shown, place) : writtenAtPlace(shown, place)} %`;
}

const BY_TOLERANCE: Readonly<Record<ByTolerance, string>> = {
  within: 'within its maker’s tolerance',
  beyond: 'off by more than its maker allows',
  open: 'not yet to be told from its maker’s tolerance',
};

export function toleranceInWords(standing: ByTolerance | null): string {
  return standing === null ? 'its maker’s tolerance is not known' : BY_TOLERANCE[standing];
}

/** How often, in plain numbers. */
function oftenInWords(p: number): string {
  if (p < 1e-4) return 'less than once in 10 000 times';
  return p < 0.1 ? `once in ${Math.round(1 / p)} times` : `${Math.round(100 * p)} times in 100`;
}

function pairInWords({ first, second, difference, p, differ }: MeansCompared, figures: readonly ToolFigures[]): string {
  const [one, other] = [figures[first], figures[second]];
  if (!one || !other) return '';
  const { unit } = one.tool;
  const size = writtenAtPlace(Math.abs(difference), placeOf(null, difference));
  return differ
    ? `The ${one.tool.name} reads ${size} ${unit} ${difference > 0 ? 'more' : 'less'} than the ${other.tool.name}. Chance alone would do that ${oftenInWords(p)}.`
    : `Between the ${one.tool.name} and the ${other.tool.name} no difference can be told from scatter. Chance alone would bring one as large ${oftenInWords(p)}.`;
}

/** What tests say, each with its name and one sentence for each thing it tells. */
export interface TestInWords {
  readonly name: string;
  readonly sentences: readonly string[];
}

function welchInWords({ means, figures, inSequence }: ToolComparison): string[] {
  if (inSequence) return [];
  const pairs = means.map((pair) => pairInWords(pair, figures));
  // Holm’s bound, in words.
  if (pairs.length > 1)
    return [...pairs, `Of ${pairs.length} pairs one or another looks different by chance, so more is asked of each.`];
  if (pairs.length > 0) return pairs;
  return ['It needs two tools that were read at least twice each, and that scatter.'];
}

function spreadsInWords({ spreads, inSequence }: ToolComparison): string[] {
  if (inSequence) return [];
  if (!spreads) return ['It needs two tools that were read at least three times each, and that scatter.'];
  const often = oftenInWords(spreads.p);
  return [
    spreads.p < 0.05
      ? `The tools scatter differently. Chance alone would make it look so ${often}.`
      : `The tools scatter no more differently than chance would make it look (${often}).`,
  ];
}

function outliersInWords({ figures, inSequence }: ToolComparison): string[] {
  if (inSequence) return [];
  const able = figures.filter(({ tool }) => tool.errors.length >= 4);
  if (able.length === 0) return ['It needs a tool that was read at least four times.'];
  const found = able.filter(({ outlier }) => outlier !== null);
  if (found.length === 0) return ['No reading lies so far from the others that it looks like a mistake.'];
  return found.map(
    ({ tool, outlier }) =>
      `Reading ${(outlier ?? 0) + 1} of the ${tool.name} lies far from its others. Look whether something went wrong; the number alone is no reason to leave it out.`,
  );
}

/** The three tests in plain words. */
export function testsInWords(comparison: ToolComparison): TestInWords[] {
  return [
    { name: 'Do the means differ? (Welch)', sentences: welchInWords(comparison) },
    { name: 'Do the scatters differ? (Brown and Forsythe)', sentences: spreadsInWords(comparison) },
    { name: 'Does one reading lie apart? (Grubbs)', sentences: outliersInWords(comparison) },
  ].filter(({ sentences }) => sentences.length > 0);
}

/** Why nothing is tested where each delivery goes on top of the last, and how neighbours go together. */
export function sequenceInWords({ inSequence, figures }: ToolComparison): string[] {
  if (!inSequence) return [];
  const linked = figures.flatMap(({ tool, neighbours }) =>
    neighbours === null ? [] : [`${tool.name} ${writtenAtPlace(neighbours, -1)}`],
  );
  return [
    'Each delivery went on top of the last, so two neighbours share a weighing: one too large makes the next too small. Tests that take repeats as independent are left out.',
    ...(linked.length > 0 ? [`How neighbours go together (correlation): ${linked.join(', ')}.`] : []),
  ];
}

/** What one reading more would change. */
export function oneMoreInWords({ oneMore, tool, summary }: ToolFigures): string {
  if (!oneMore) return `One reading of the ${tool.name} says nothing about its scatter. With a second one it shows.`;
  if (oneMore.now === 0)
    return `All ${summary.n} readings of the ${tool.name} are the same: the scatter is finer than what is read.`;
  // Two figures: with one the two would often look the same.
  const place = Math.floor(Math.log10(oneMore.then) + 1e-12) - 1;
  return `The mean of the ${tool.name} is known to ± ${writtenAtPlace(oneMore.now, place)} ${tool.unit} (95 %). One reading more would make that about ± ${writtenAtPlace(oneMore.then, place)} ${tool.unit}.`;
}
