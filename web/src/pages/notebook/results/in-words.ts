import type { ComparisonFound, HouseRules, MethodResult, PairFound, ResultFound } from '@green-beam/core';
import { unitText } from '../../../numbers/unit-text.ts';

/** The methods as people call them. */
export const METHODS: Readonly<Record<MethodResult['method'], string>> = {
  quadrature: 'Quadrature',
  'plain-sum': 'Plain sum',
  extremes: 'Extremes',
};

/** A factor without digits that say nothing: `2`, `2.18`. */
function factorOf(factor: number): string {
  return factor.toFixed(2).replace(/\.?0+$/, '');
}

/** What the number after ± is, by the class's rules: `Quadrature, one standard uncertainty.` */
export function uncertaintyNamed({ method, methods }: ResultFound, { coverage, combine }: HouseRules): string {
  if (method !== 'quadrature') return `${METHODS[method]} of half-widths.`;
  const factor = factorOf(methods.find((one) => one.method === method)?.coverageFactor ?? 1);
  const covered = {
    'one-standard-uncertainty': 'one standard uncertainty',
    'expanded-k-2': `expanded, k = ${factor}`,
    'students-t-95': `95 % by Student’s t, k = ${factor}`,
  }[coverage];
  return `${combine === 'simulation' ? 'Quadrature, until a simulation is run' : METHODS[method]}, ${covered}.`;
}

/** How well a result is known, in percent of it: `known to 5 %`; null where it has no uncertainty or is zero. */
export function knownTo({ value, methods, method }: ResultFound): string | null {
  const size = methods.find((one) => one.method === method)?.size ?? 0;
  if (!(size > 0) || value === 0) return null;
  const percent = (size / Math.abs(value)) * 100;
  if (percent > 300) return 'not known: the uncertainty is larger than the result';
  // One figure below ten percent, which can round up to ten.
  const rounded = percent >= 10 ? Math.round(percent) : Number(percent.toPrecision(1));
  return rounded < 0.001 ? 'known to less than 0.001 %' : `known to ${rounded} %`;
}

/** A result beside what it is compared with. */
export function comparedWith({ comparison }: ResultFound): string | null {
  if (!comparison) return null;
  const { accepted, percentError, agrees } = comparison;
  const name = accepted.name.toLowerCase();
  const range = accepted.least === accepted.most ? name : `the middle of ${name}`;
  const away = percentError === null ? `Beside ${name}:` : `${percentError.replace('-', '−')} % from ${range};`;
  return `${away} ${agrees ? 'the two agree within the uncertainty' : 'the two do not agree'}.`;
}

function pairInWords(pair: PairFound, unit: string, isOnly: boolean): string {
  const [difference = pair.text, size = ''] = pair.text.split(' ± ');
  const who = isOnly ? 'They' : `${pair.first} and ${pair.second.toLowerCase()}`;
  const known = size === '' ? '' : `, known to ± ${size} ${unit}`;
  return pair.agree
    ? `${who} agree: the difference is ${difference} ${unit}${known}.`
    : `${who} do not agree: the difference is ${difference} ${unit}${known}, and that is more than chance explains.`;
}

/** What a comparison says, in sentences. */
export function agreementInWords({ pairs, unit }: Extract<ComparisonFound, { kind: 'agree' }>): string[] {
  return pairs.map((pair) => pairInWords(pair, unitText(unit), pairs.length === 1));
}

/** What the better-known of two results has over the other: `known 20 times better`; null where neither is noticeably better. */
export function betterKnown(first: ResultFound, second: ResultFound): string | null {
  const share = ({ value, methods, method }: ResultFound): number =>
    (methods.find((one) => one.method === method)?.size ?? 0) / Math.abs(value);
  const [a, b] = [share(first), share(second)];
  if (!(a > 0 && b > 0)) return null;
  const factor = Math.max(a, b) / Math.min(a, b);
  if (factor < 1.5) return null;
  const times = factor < 10 ? factor.toPrecision(2) : String(Number(factor.toPrecision(2)));
  return `“${a < b ? first.name : second.name}” is known about ${times} times better.`;
}
