import { expect } from 'vitest';
import type { Diagnosis } from '../src/index.ts';

/** Somebody who enters something on each of many items, and what is made of it. */
export interface Proof<Task> {
  readonly items: readonly Task[];
  readonly enters: (task: Task) => string;
  readonly diagnosed: (task: Task, entry: string) => Diagnosis;
}

/** So many items in a hundred come out as they should; the first three that do not are shown. */
function expectOfMost<Task>(
  { items, enters, diagnosed }: Proof<Task>,
  inHundred: number,
  asItShould: (diagnosis: Diagnosis) => boolean,
): void {
  const failures = items.flatMap((task) => {
    const entry = enters(task);
    return asItShould(diagnosed(task, entry)) ? [] : [`${JSON.stringify(task)} ← ${entry}`];
  });
  expect(failures.length, failures.slice(0, 3).join('\n')).toBeLessThanOrEqual(
    (items.length * (100 - inHundred)) / 100,
  );
}

/** A slip is named first in at least 95 of 100 items, from what somebody with just this slip enters. */
export function expectNamed<Task>(slip: string, proof: Proof<Task>): void {
  expectOfMost(proof, 95, ({ slips }) => slips[0]?.ids.join() === slip);
}

/** What a careful person enters is sound, in at least 99 of 100 items unless more are asked for. */
export function expectSound<Task>(proof: Proof<Task>, inHundred = 99): void {
  expectOfMost(proof, inHundred, ({ verdict }) => verdict === 'sound');
}
