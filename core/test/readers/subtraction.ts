import type { Habits } from './prove-readers.ts';
import type { Picture } from '../../src/index.ts';

/** Digits of a number as they stand under each other, the last column first. */
function columns(text: string, decimals: number): number[] {
  return Array.from(Number(text).toFixed(decimals).replace('.', '')).map(Number).reverse();
}

/**
 * Subtracts in writing, column by column from the right, and forgets to take off the last one that is borrowed. Subtracts rightly where
 * nothing is.
 */
function withoutLastBorrow(final: string, initial: string): string {
  const decimals = final.split('.')[1]?.length ?? 0;
  const [upper, lower] = [columns(final, decimals), columns(initial, decimals)];
  const subtract = (forgotten: number): { readonly digits: number[]; readonly borrows: number } => {
    const top = [...upper];
    let borrows = 0;
    const digits = top.map((_, i) => {
      const below = lower[i] ?? 0;
      if (top[i]! >= below) return top[i]! - below;
      if (borrows !== forgotten && i + 1 < top.length) top[i + 1]! -= 1;
      borrows += 1;
      return top[i]! + 10 - below;
    });
    return { digits, borrows };
  };
  const { borrows } = subtract(-1);
  const { digits } = subtract(borrows - 1);
  const whole = digits.reverse().join('');
  const text = decimals === 0 ? whole : `${whole.slice(0, -decimals)}.${whole.slice(-decimals)}`;
  return Number(text).toFixed(decimals);
}

/** Two readings of one answer, as they would be written, and the unit. */
interface Readings {
  readonly final: string;
  readonly initial: string;
  readonly unit: string;
}

/** Habits of those who have both readings, and do the wrong thing with them. @param alone the slip of writing the first one. */
export function differenceHabits<P extends Picture>(
  alone: 'initial-as-delivered' | 'container-alone',
  read: (reader: Parameters<Habits<P>[string]>[0]) => Readings,
): Habits<P> {
  const written = (value: number, like: string): string => value.toFixed(like.split('.')[1]?.length ?? 0);
  return {
    [alone]: (reader) => {
      const { initial, unit } = read(reader);
      return `${initial} ${unit}`;
    },
    'difference-added': (reader) => {
      const { final, initial, unit } = read(reader);
      return `${written(Number(final) + Number(initial), final)} ${unit}`;
    },
    'difference-turned': (reader) => {
      const { final, initial, unit } = read(reader);
      return `${written(Number(initial) - Number(final), final)} ${unit}`;
    },
    'difference-borrowed': (reader) => {
      const { final, initial, unit } = read(reader);
      return `${withoutLastBorrow(final, initial)} ${unit}`;
    },
  };
}
