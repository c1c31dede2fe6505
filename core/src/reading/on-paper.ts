import type { Picture } from './picture.ts';
import { readingTask, type ReadingTask } from './reading-task.ts';

/** What a picture on paper cannot show: the eye is where the paper puts it, and nothing moves. */
const NEEDS_THE_TOOL: readonly string[] = [
  'eye-high',
  'eye-low',
  'eye-aside',
  'unsettled',
  'not-balanced',
  'not-seated',
];

/** Whether somebody reading a printed picture can make a slip. */
export function shownOnPaper(slipId: string): boolean {
  return !NEEDS_THE_TOOL.includes(slipId);
}

/** The same reading as a printed picture shows it: seen from the level, with everything at rest. */
export function asOnPaper({ instrumentId, situation, rules }: ReadingTask): ReadingTask {
  const seen = situation.eyeHeight === undefined ? {} : { eyeHeight: 0 };
  const atRest = {
    ...(situation.shown === undefined ? {} : { settled: true, shown: undefined }),
    ...(situation.loose ? { loose: undefined } : {}),
    ...(situation.untried ? { untried: undefined } : {}),
    ...(situation.soft || situation.grit ? { soft: undefined, grit: undefined } : {}),
    ...(situation.riders ? { riders: undefined } : {}),
    ...(situation.spoilt ? { spoilt: undefined } : {}),
    ...(situation.left ? { left: undefined } : {}),
  };
  return readingTask(instrumentId, { ...situation, ...seen, ...atRest }, rules);
}

/** Whether a picture takes the whole width of a sheet: what lies, or two readings side by side. */
export function needsWholeWidth(picture: Picture): boolean {
  return (
    picture.kind === 'ruler' ||
    picture.kind === 'caliper' ||
    picture.kind === 'micrometer' ||
    picture.kind === 'beams' ||
    (picture.kind === 'liquid-column' && picture.handled === 'tap')
  );
}
