import { describe, expect, it } from 'vitest';
import {
  diagnose,
  drawTask,
  pictureOf,
  seededRandom,
  slipsOn,
  type Picture,
  type ReadingTask,
} from '../../src/index.ts';
import type { Random } from '../../src/simulation/random.ts';
import { expectNamed, expectSound } from '../prove.ts';

/** A reader who has only the picture, and a scatter of the eye. Nothing here knows how core predicts a slip. */
export interface Reader<P extends Picture> {
  readonly picture: P;
  readonly random: Random;
}

/** What somebody writes who reads in some way. */
export type Habit<P extends Picture> = (reader: Reader<P>) => string;

/** The habits by the slips they make. */
export type Habits<P extends Picture> = Readonly<Record<string, Habit<P>>>;

/** Readers of some tools. */
interface Readers<P extends Picture> {
  readonly tools: readonly string[];
  readonly kind: P['kind'];
  readonly habits: Habits<P>;
  readonly careful: Habit<P>;
  /** What is done with the tool before it is read, by somebody who makes a slip or, without one, takes care. */
  readonly handled: (task: ReadingTask, slip: string | null) => ReadingTask;
  /** Of a hundred careful readings so many are sound; 99 unless nothing is to be estimated. */
  readonly soundInHundred?: number;
  readonly seed: number;
}

/** The same reader with a steady eye: nothing scatters. */
export function steady<P extends Picture>(reader: Reader<P>): Reader<P> {
  return { ...reader, random: { ...reader.random, normal: () => 0 } };
}

/** The picture of a task, which is of a kind. */
export function seenAs<P extends Picture>(task: ReadingTask, kind: P['kind']): P {
  const picture = pictureOf(task);
  if (picture.kind !== kind) throw new Error(`${task.instrumentId} is drawn as ${picture.kind}`);
  return picture as P;
}

/** Proves on each tool that every slip is told from the others, and that careful readers are judged sound. */
export function proveReaders<P extends Picture>({
  tools,
  kind,
  habits,
  careful,
  handled,
  soundInHundred = 99,
  seed: first,
}: Readers<P>): void {
  const cases = tools.flatMap((tool) => slipsOn(tool).map((slip) => [tool, slip] as const));
  const drawn = (tool: string, many: number, slip: string | null): ReadingTask[] =>
    Array.from({ length: many }, (_, seed) =>
      handled(drawTask(tool, { seed, aim: slip === null ? [] : [slip] }), slip),
    );
  const entering = (habit: Habit<P>, random: Random) => (task: ReadingTask) =>
    habit({ picture: seenAs<P>(task, kind), random });

  describe('a simulated student with one slip', () => {
    it.each(cases)('%s, %s: named first in at least 95 in 100 of 200 items', (tool, slip) => {
      const habit = habits[slip];
      expect(habit, `nobody here has the habit ${slip}`).toBeDefined();
      const enters = entering(habit!, seededRandom(10_000 * first + slip.length));
      expectNamed(slip, { items: drawn(tool, 200, slip), enters, diagnosed: diagnose });
    });
  });

  describe('a careful reader', () => {
    it.each(tools.map((tool) => [tool]))(
      `%s: is judged sound in at least ${soundInHundred} in 100 of 1000 items`,
      (tool) => {
        const enters = entering(careful, seededRandom(first));
        expectSound({ items: drawn(tool, 1000, null), enters, diagnosed: diagnose }, soundInHundred);
      },
    );
  });
}
