import { FEWEST_EACH_WAY, writtenAtPlace, type Factor, type PooledValue, type Pool } from '@green-beam/core';

const COUNTED = [
  'no',
  'one',
  'two',
  'three',
  'four',
  'five',
  'six',
  'seven',
  'eight',
  'nine',
  'ten',
  'eleven',
  'twelve',
];

/** A small number as a word. */
export function counted(n: number): string {
  return COUNTED[n] ?? String(n);
}

const capital = (text: string): string => `${text[0]?.toUpperCase() ?? ''}${text.slice(1)}`;

/** Letters in a sentence: `A, C and F`. */
export function listed(names: readonly string[]): string {
  return names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
}

/** To two figures, as plain digits: a zero that is a figure stays. */
export function rounded(value: number): string {
  const last = Number(value.toExponential(1).split('e')[1]) - 1;
  return last < 0 ? writtenAtPlace(value, last) : String(Number(value.toPrecision(2)));
}

/** What lies between the groups, and who lies apart. */
export function agreementInWords({ summary }: Pool, together: PooledValue | null, unit: string): string[] {
  if (summary.n === 1) return ['One group has a result. To see how groups scatter, two are needed.'];
  if (!together) return ['No group knows how uncertain its result is, so nobody can say whether they agree.'];
  const { betweenGroups, disagreeing, left } = together;
  const rest = left.length > 0 ? [`Without an uncertainty, and not counted: ${listed(left)}.`] : [];
  const between =
    betweenGroups === 0
      ? 'The groups scatter no more than their own uncertainties say.'
      : `The groups scatter more than their own uncertainties say: ${rounded(betweenGroups)} ${unit} (standard deviation) comes on top.`;
  if (summary.n < 4) return [between, 'With fewer than four groups nobody can say which one is off.', ...rest];
  const apart =
    disagreeing.length === 0
      ? 'No group lies apart from the others by more than chance.'
      : `${disagreeing.length === 1 ? 'Group' : 'Groups'} ${listed(disagreeing)} ${disagreeing.length === 1 ? 'lies' : 'lie'} farther from the others than chance would bring one of ${counted(summary.n)}.`;
  return [between, apart, ...rest];
}

/** What more groups would not make smaller. */
export function sharedInWords({ shared }: PooledValue, unit: string): string | null {
  const [largest] = shared;
  if (!largest) return null;
  const source = largest.kind === 'tool' ? largest.name : `the given value of ${largest.name}`;
  return `${capital(source)} adds ${rounded(largest.standard)} ${unit}. The groups share it, so more groups do not make it smaller.`;
}

/** How often, in plain numbers: `1 in 220`. */
function chanceInWords({ chance, ways }: Factor): string {
  if (chance * ways <= 1) return `1 in ${ways}`;
  return chance < 0.1 ? `about 1 in ${Math.round(1 / chance)}` : `about ${Math.round(100 * chance)} in 100`;
}

/** How the groups that had something lie to the others. */
export function factorInWords(factor: Factor, unit: string): string {
  const { difference, interval, with: having, without } = factor;
  const way = difference < 0 ? 'less' : 'more';
  const far = Math.abs(difference);
  const [near, wide] = (interval ?? []).map(Math.abs).sort((a, b) => a - b);
  const crosses = interval !== null && interval[0] < 0 && interval[1] > 0;
  const range = near === undefined || wide === undefined || crosses ? '' : ` (${rounded(near)} to ${rounded(wide)})`;
  return `The ${counted(having.length)} groups that used it found about ${rounded(far)} ${unit} ${way} than the ${counted(without.length)} others${range}. By chance: ${chanceInWords(factor)}.`;
}

/** Why nothing can be said of any tool or choice. */
export const TOO_FEW = `Tools and choices are compared where at least ${counted(FEWEST_EACH_WAY)} groups used one and ${counted(FEWEST_EACH_WAY)} did not.`;
