import Fraction from 'fraction.js';

/** A measured number as a student has it in mind: its value, its decimals and its figures; both endless when it is exact. */
export interface Known {
  readonly value: Fraction;
  readonly decimals: number;
  readonly figures: number;
}

export const exactly = (value: Fraction | number | string): Known => ({
  value: new Fraction(value),
  decimals: Infinity,
  figures: Infinity,
});

/** Rounded half up to so many decimals, which may be negative. */
export function rounded(value: Fraction, decimals: number): Fraction {
  const scale = new Fraction(10).pow(decimals);
  const scaled = value.abs().mul(scale);
  const whole = scaled.floor();
  const up = scaled.sub(whole).compare(new Fraction(1, 2)) >= 0;
  const size = whole.add(up ? 1 : 0).div(scale);
  return value.compare(0) < 0 ? size.neg() : size;
}

/** Power of ten of the first digit. */
function firstPlace(value: Fraction): number {
  const size = value.abs();
  if (size.equals(0)) return 0;
  let place = Math.floor(Math.log10(size.valueOf()));
  while (new Fraction(10).pow(place + 1).compare(size) <= 0) place += 1;
  while (new Fraction(10).pow(place).compare(size) > 0) place -= 1;
  return place;
}

export function withFigures(value: Fraction, figures: number): Known {
  if (figures === Infinity) return exactly(value);
  const decimals = figures - 1 - firstPlace(value);
  // 9.996 with three figures is written 10.0.
  const up = firstPlace(rounded(value, decimals)) > firstPlace(value);
  return { value, decimals: up ? decimals - 1 : decimals, figures };
}

export function withDecimals(value: Fraction, decimals: number): Known {
  if (decimals === Infinity) return exactly(value);
  const written = rounded(value, decimals);
  return { value, decimals, figures: written.equals(0) ? 0 : Math.max(0, firstPlace(written) + decimals + 1) };
}

/** A number as it stands in the exercise: `1.25e3 g`, `24.30 mL`. */
export function read(quantity: string): Known {
  const number = quantity.split(' ')[0]!;
  const [mantissa = '', power = '0'] = number.split('e');
  const digits = mantissa.replace(/[-.]/g, '').replace(/^0+/, '');
  return {
    value: new Fraction(mantissa).mul(new Fraction(10).pow(Number(power))),
    decimals: (mantissa.split('.')[1]?.length ?? 0) - Number(power),
    figures: digits.length,
  };
}

/** How a student goes on from step to step: with all digits, or with what is written down. */
export interface Way {
  (known: Known): Known;
}
export const keeping: Way = (known) => known;
export const writingDown: Way = (known) =>
  known.decimals === Infinity ? known : { ...known, value: rounded(known.value, known.decimals) };

/** The four operations by the rules for figures, and what each step goes on with. */
export function operations(way: Way) {
  const sum = (a: Known, b: Known): Known => way(withDecimals(a.value.add(b.value), Math.min(a.decimals, b.decimals)));
  const less = (a: Known, b: Known): Known => sum(a, { ...b, value: b.value.neg() });
  const times = (a: Known, b: Known): Known => way(withFigures(a.value.mul(b.value), Math.min(a.figures, b.figures)));
  const over = (a: Known, b: Known): Known => way(withFigures(a.value.div(b.value), Math.min(a.figures, b.figures)));
  return { sum, less, times, over };
}

/** So many decimals written out; a whole number that would end in a zero, with a power of ten. */
export function written(value: Fraction, decimals: number): string {
  const at = rounded(value, decimals);
  const sign = at.compare(0) < 0 ? '-' : '';
  const size = at.abs();
  const plain = fixed(size, Math.max(0, decimals));
  if (decimals > 0 || (decimals === 0 && !plain.endsWith('0')) || size.equals(0)) return sign + plain;
  const first = firstPlace(size);
  return `${sign}${fixed(size.div(new Fraction(10).pow(first)), first + decimals)}e${first}`;
}

function fixed(size: Fraction, decimals: number): string {
  const digits = rounded(size, decimals)
    .mul(new Fraction(10).pow(decimals))
    .toString()
    .padStart(decimals + 1, '0');
  return decimals === 0 ? digits : `${digits.slice(0, -decimals)}.${digits.slice(-decimals)}`;
}

export function text(known: Known): string {
  return written(known.value, known.decimals);
}
