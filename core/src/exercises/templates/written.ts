import type { Random } from '../../simulation/random.ts';

/** A number with so many decimals, drawn evenly: `written(random, 12, 60, 2)` → `'48.62'`. */
export function written(random: Random, least: number, most: number, decimals: number): string {
  const scale = 10 ** decimals;
  const [low, high] = [Math.ceil(least * scale), Math.floor(most * scale)];
  return ((low + random.below(high - low + 1)) / scale).toFixed(decimals);
}

/** A whole number whose last figure is in no doubt: it ends in no zero. */
export function wholeNumber(random: Random, least: number, most: number): string {
  for (;;) {
    const number = least + random.below(most - least + 1);
    if (number % 10 !== 0) return String(number);
  }
}

/** A written number whose last digit is a zero, or is not, as wanted. */
export function endingIn(random: Random, least: number, most: number, decimals: number, zero: boolean): string {
  for (;;) {
    const number = written(random, least, most, decimals);
    if (number.endsWith('0') === zero) return number;
  }
}
