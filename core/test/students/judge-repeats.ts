import type { RepeatsSeen } from '../../src/index.ts';

/** What somebody has before them when accuracy and precision are asked about: words, and readings as they are written. */
export interface SeenQuestion {
  readonly question: string;
  readonly story: string;
  readonly options: readonly string[];
  readonly repeats?: RepeatsSeen;
}

/** What a student works out from the readings as they are written, in steps of their last digit. */
export interface Worked {
  /** How far the mean is off. */
  readonly off: number;
  /** From the least to the largest. */
  readonly range: number;
  /** How far the nearest one is off. */
  readonly nearest: number;
}

/** What each tool’s readings come to. */
export function worked({ truth, tools }: RepeatsSeen): Worked[] {
  const step = 10 ** -(truth.split('.')[1] ?? '').length;
  return tools.map(({ readings }) => {
    const steps = readings.map((text) => Math.round((Number(text) - Number(truth)) / step));
    return {
      off: Math.abs(steps.reduce((sum, one) => sum + one, 0) / steps.length),
      range: Math.max(...steps) - Math.min(...steps),
      nearest: Math.min(...steps.map(Math.abs)),
    };
  });
}

/** Whether their mean is close to the true value. */
export const isAccurate = ({ off }: Worked): boolean => off < 3;
/** Whether no two readings are far from each other. */
export const isPrecise = ({ range }: Worked): boolean => range < 4;
/** Which of several is the smallest. */
export const indexOfLeast = (values: readonly number[]): number => values.indexOf(Math.min(...values));

/** Who takes a statement about one tool for true, by what is believed of its accuracy and its precision. */
export function says(accurate: boolean, precise: boolean): RegExp {
  if (accurate) return precise ? /^They are accurate and precise/ : /^Their mean is accurate, and they are not precise/;
  return precise ? /^They are precise, and not accurate/ : /^They are neither/;
}

/** Which answer has these words. */
export const withWords = ({ options }: SeenQuestion, words: RegExp): number =>
  options.findIndex((text) => words.test(text));

/** What shifts every reading to the same side, by its words. */
export const SYSTEMATIC =
  /faces are closed|melting ice|worn off|looks at a cylinder|nothing is on it|paper under|stretched/;

/** The numbers in a story, in their order. */
export const numbersIn = (text: string): number[] => (text.match(/\d+(\.\d+)?/g) ?? []).map(Number);

/** Which answer somebody chooses who works everything out from what is written. */
export function chosenWithCare(exercise: SeenQuestion): number {
  const { question, story, options, repeats } = exercise;
  if (repeats) {
    const tools = worked(repeats);
    const [one] = tools;
    if (/the most accurate mean/.test(question)) return indexOfLeast(tools.map(({ off }) => off));
    if (/most precise/.test(question)) return indexOfLeast(tools.map(({ range }) => range));
    if (/accurate and precise/.test(question)) return tools.findIndex((tool) => isAccurate(tool) && isPrecise(tool));
    if (/What do the readings show/.test(question)) return withWords(exercise, says(isAccurate(one!), isPrecise(one!)));
    if (/Which errors/.test(question)) {
      const [systematic, random] = [!isAccurate(one!), !isPrecise(one!)];
      return withWords(
        exercise,
        systematic && random ? /and a random/ : systematic ? /systematic error alone/ : /random error alone/,
      );
    }
    return withWords(exercise, isAccurate(one!) ? /more readings/ : /find how far/);
  }
  if (/makes a systematic/.test(question)) return withWords(exercise, SYSTEMATIC);
  if (/makes a random/.test(question)) return options.findIndex((text) => !SYSTEMATIC.test(text));
  if (/because of it/.test(question)) {
    const [offset] = numbersIn(story);
    return options.findIndex((text) => numbersIn(text)[0] === offset);
  }
  if (/in all bring/.test(question)) {
    const [[count, now], [wanted]] = [numbersIn(story), numbersIn(question)];
    return options.findIndex((text) => text === String(Math.round(count! * (now! / wanted!) ** 2)));
  }
  const [found, uncertainty, accepted] = numbersIn(story);
  return withWords(exercise, Math.abs(found! - accepted!) < 2 * uncertainty! ? /^Yes/ : /^No/);
}
