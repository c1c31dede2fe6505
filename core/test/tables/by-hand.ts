/* Arithmetic on written numbers, digit by digit, as somebody does it who has paper and no program. */

/** A written decimal number as a whole number of its last digits. */
interface Whole {
  readonly digits: bigint;
  readonly decimals: number;
}

function whole(text: string): Whole {
  const [before = '', after = ''] = text.split('.');
  return { digits: BigInt(`${before}${after}`), decimals: after.length };
}

function text(digits: bigint, decimals: number): string {
  const sign = digits < 0n ? '-' : '';
  const padded = (digits < 0n ? -digits : digits).toString().padStart(decimals + 1, '0');
  return decimals === 0 ? `${sign}${padded}` : `${sign}${padded.slice(0, -decimals)}.${padded.slice(-decimals)}`;
}

/** A quotient of whole numbers to the nearest one, halves away from zero. */
function nearest(over: bigint, under: bigint): bigint {
  const sign = over < 0n !== under < 0n ? -1n : 1n;
  const [a, b] = [over < 0n ? -over : over, under < 0n ? -under : under];
  return sign * ((2n * a + b) / (2n * b));
}

const figures = (number: string): number => number.replace(/[-.]/g, '').replace(/^0+/, '').length;

/** The first less the second, to the place of the coarser one. */
export function less(first: string, second: string): string {
  const [a, b] = [whole(first), whole(second)];
  const decimals = Math.max(a.decimals, b.decimals);
  const lift = (one: Whole): bigint => one.digits * 10n ** BigInt(decimals - one.decimals);
  const coarse = Math.min(a.decimals, b.decimals);
  return text(nearest(lift(a) - lift(b), 10n ** BigInt(decimals - coarse)), coarse);
}

/** A fraction of whole numbers with so many figures, in plain digits; null where plain zeros would leave the figures in doubt. */
function withFigures(over: bigint, under: bigint, count: number): string | null {
  for (let decimals = 12; decimals >= 0; decimals -= 1) {
    const written = text(nearest(over * 10n ** BigInt(decimals), under), decimals);
    if (figures(written) === count) return written;
    if (figures(written) < count) return text(nearest(over * 10n ** BigInt(decimals + 1), under), decimals + 1);
  }
  return null;
}

/** The quotient, with as many figures as the number that has fewer. */
export function quotient(first: string, second: string): string | null {
  const [a, b] = [whole(first), whole(second)];
  const decimals = Math.max(a.decimals, b.decimals);
  const lift = (one: Whole): bigint => one.digits * 10n ** BigInt(decimals - one.decimals);
  return withFigures(lift(a), lift(b), Math.min(figures(first), figures(second)));
}

/** The product, with as many figures as the number that has fewer. */
export function product(first: string, second: string): string | null {
  const [a, b] = [whole(first), whole(second)];
  return withFigures(
    a.digits * b.digits,
    10n ** BigInt(a.decimals + b.decimals),
    Math.min(figures(first), figures(second)),
  );
}

/** The mean of numbers with the same decimals, to their place. */
export function meanOf(numbers: readonly string[]): string {
  const all = numbers.map(whole);
  const decimals = Math.min(...all.map((one) => one.decimals));
  const most = Math.max(...all.map((one) => one.decimals));
  const sum = all.reduce((total, one) => total + one.digits * 10n ** BigInt(most - one.decimals), 0n);
  return text(nearest(sum, BigInt(numbers.length) * 10n ** BigInt(most - decimals)), decimals);
}

/** The error in percent of the accepted value, with the figures of the difference, or of the accepted value where it has fewer. */
export function percentError(measured: string, accepted: string): string | null {
  const difference = less(measured, accepted);
  const [a, b] = [whole(measured), whole(accepted)];
  const decimals = Math.max(a.decimals, b.decimals);
  const lift = (one: Whole): bigint => one.digits * 10n ** BigInt(decimals - one.decimals);
  return withFigures((lift(a) - lift(b)) * 100n, lift(b), Math.min(figures(difference), figures(accepted)));
}
