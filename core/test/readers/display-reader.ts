import { asOperated, type Action, type DisplayPicture, type ReadingTask } from '../../src/index.ts';
import { fieldsOf } from '../fields-of.ts';
import { exchangedLate, onPaper } from './on-paper.ts';
import type { Habits, Reader } from './prove-readers.ts';
import { card, LADEN } from './weighing-reader.ts';

/** What a display shows, less what is taken off it. @param taken what is seen of it alone, and known from its card. */
export function displayed(
  { picture }: Reader<DisplayPicture>,
  taken: (alone: number, known: number) => number = (alone, known) => alone + known,
): string {
  const [main, ...others] = picture.views;
  const alone = others[0] ? Number(others[0].characters.replace('−', '-')) : 0;
  const known = others.length > 0 ? 0 : card(picture.note);
  const decimals = main.characters.split('.')[1]?.length ?? 0;
  const away = picture.awayBy / 10 ** decimals;
  return `${(Number(main.characters.replace('−', '-')) + away - taken(alone, known) + 0).toFixed(decimals)} ${picture.unitMark}`;
}

/** Habits of the hand that writes down a display. */
export const DISPLAY_HABITS: Habits<DisplayPicture> = {
  ...onPaper(displayed),
  transposed: (reader) => exchangedLate(displayed(reader)),
};

/** Put on without taring: what is to be taken off is still to be taken off. */
export function laden(task: ReadingTask): ReadingTask {
  return asOperated(task, { eyeHeight: 0, done: fieldsOf(task).loose ? LADEN : [], at: 60_000 });
}

const WITH_CARE = ['switch-on', 'tare', 'put-vessel', 'shield', 'centre', 'dry', 'clean', 'tare', 'put-thing'] as const;

/** Weighed with care: zeroed, put right, tared, and waited for. */
export function weighedWithCare(task: ReadingTask): ReadingTask {
  const done = WITH_CARE.map((kind, at): Action => ({ kind, at: 10 * at, to: null }));
  return asOperated(task, { eyeHeight: 0, done: fieldsOf(task).loose ? done : [], at: 60_000 });
}
