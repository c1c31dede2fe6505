import { LEVELS, type Level } from './exercise.ts';

/** So many right at the first try lead to the next level, and so many wrong in a row back. */
const UP = 3;
const DOWN = 2;

/**
 * How hard the next exercise of a kind is to be, from how the ones before it went at the first try, oldest first: three right ones
 * since the level was reached lead on, two wrong ones in a row lead back.
 * @example levelAfter([true, true, true]) // 2
 */
export function levelAfter(rightAtFirst: readonly boolean[]): Level {
  let [level, right, wrong]: [Level, number, number] = [1, 0, 0];
  for (const good of rightAtFirst) {
    [right, wrong] = good ? [right + 1, 0] : [right, wrong + 1];
    const step = right >= UP ? 1 : wrong >= DOWN ? -1 : 0;
    if (step === 0) continue;
    level = LEVELS[Math.min(LEVELS.length - 1, Math.max(0, level - 1 + step))] ?? level;
    [right, wrong] = [0, 0];
  }
  return level;
}
