import { describe, expect, it } from 'vitest';
import {
  diagnose,
  drawTask,
  instrumentById,
  instrumentIds,
  pictureOf,
  seededRandom,
  slipsOn,
  type Instrument,
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

/** Readers of every tool of a family who have habits. */
interface ReadersWithHabits<P extends Picture> {
  readonly family: Instrument['family'];
  readonly kind: P['kind'];
  readonly habits: Habits<P>;
  /** What is done with the tool before it is read, by somebody who makes a slip or, without one, takes care. */
  readonly handled: (task: ReadingTask, slip: string | null) => ReadingTask;
  readonly seed: number;
}

interface Readers<P extends Picture> extends ReadersWithHabits<P> {
  readonly careful: Habit<P>;
  /** Of a hundred careful readings so many are sound; 99 unless nothing is to be estimated. */
  readonly soundInHundred?: number;
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

/** Scatter of a carefully estimated digit, in divisions. */
export const SCATTER = 0.07;

/** Somebody who estimates the first digit badly: further off than a class accepts, up to half a division, and either way. */
function badly<P extends Picture>(reader: Reader<P>): Reader<P> {
  const { random } = reader;
  let estimated = 0;
  const normal = (): number => {
    estimated += 1;
    if (estimated > 1) return random.normal();
    const off = 0.4 + 0.08 * random.uniform();
    return (random.uniform() < 0.5 ? -off : off) / SCATTER;
  };
  return { ...reader, random: { ...random, normal } };
}

/** The picture as it is looked at by somebody who is asked for what the tool shows: nothing that tells how far it is off counts. */
function asItShows<P extends Picture>(picture: P): P {
  return {
    ...picture,
    ...('closedX' in picture && { closedX: null }),
    ...('note' in picture && { note: null }),
    ...('views' in picture && { views: picture.views.slice(0, 1) }),
  };
}

function toolsOf(family: Instrument['family']): string[] {
  return instrumentIds().filter((id) => instrumentById(id).family === family);
}

/** What is drawn on a tool, as it is handled by somebody with a slip. */
function items<P extends Picture>(
  { handled }: ReadersWithHabits<P>,
  tool: string,
  many: number,
  slip: string | null,
): ReadingTask[] {
  return Array.from({ length: many }, (_, seed) =>
    handled(drawTask(tool, { seed, aim: slip === null ? [] : [slip] }), slip),
  );
}

const CORRECTED_UNASKED = 'corrected-unasked';

/** What is entered by a habit. @param corrects true for who takes an error off even where it is not asked for. */
function entering<P extends Picture>(
  kind: P['kind'],
  habit: Habit<P>,
  random: Random,
  corrects = false,
): (task: ReadingTask) => string {
  return (task) => {
    const picture = seenAs<P>(task, kind);
    return habit({ picture: task.situation.ask === 'observed' && !corrects ? asItShows(picture) : picture, random });
  };
}

function proveSlips<P extends Picture>(readers: ReadersWithHabits<P>, isProvenHere: (slip: string) => boolean): void {
  const { family, kind, habits, seed } = readers;
  const cases = toolsOf(family).flatMap((tool) =>
    slipsOn(tool)
      .filter(isProvenHere)
      .map((slip) => [tool, slip] as const),
  );
  describe('a simulated student with one slip', () => {
    it.each(cases)('%s, %s: named first in at least 95 in 100 of 200 items', (tool, slip) => {
      const habit = habits[slip];
      expect(habit, `nobody here has the habit ${slip}`).toBeDefined();
      const enters = entering(kind, habit!, seededRandom(10_000 * seed + slip.length), slip === CORRECTED_UNASKED);
      expectNamed(slip, { items: items(readers, tool, 200, slip), enters, diagnosed: diagnose });
    });
  });
}

/** Slips with a test of their own name, in which the habits of their readers stand: made on tools of many families, each read in its own way. */
const PROVEN_ALONE: readonly string[] = ['label-off'];

/** Proves on each tool of a family that one slip is told from the others. */
export function proveSlip<P extends Picture>(
  slip: string,
  readers: Omit<ReadersWithHabits<P>, 'habits'>,
  habit: Habit<P>,
): void {
  proveSlips({ ...readers, habits: { [slip]: habit } }, (one) => one === slip);
}

/** Proves on each tool of a family that every slip is told from the others, and that careful readers are judged sound. */
export function proveReaders<P extends Picture>(readers: Readers<P>): void {
  const { family, kind, careful, soundInHundred = 99, seed } = readers;
  const habits = {
    'estimate-off': (reader: Reader<P>) => careful(badly(reader)),
    [CORRECTED_UNASKED]: careful,
    ...readers.habits,
  };
  proveSlips({ ...readers, habits }, (slip) => !PROVEN_ALONE.includes(slip));
  describe('a careful reader', () => {
    it.each(toolsOf(family))(`%s: is judged sound in at least ${soundInHundred} in 100 of 1000 items`, (tool) => {
      const enters = entering(kind, careful, seededRandom(seed));
      expectSound({ items: items(readers, tool, 1000, null), enters, diagnosed: diagnose }, soundInHundred);
    });
  });
}
