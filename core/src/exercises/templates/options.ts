import type { Option } from '../exercise.ts';

/** The answer that is right, and why. */
export function right(text: string, why: string): Option {
  return { text, slip: null, why };
}

/** An answer that a slip leads to, and why it is wrong. */
export function wrong(slip: string, text: string, why: string): Option {
  return { text, slip, why };
}
