import { writtenAtPlace, type AccuracyAndPrecision } from '@green-beam/core';

/** What can be said of readings: in two words, why, and what helps. */
export interface VerdictInWords {
  readonly title: string;
  readonly sentences: readonly string[];
}

const size = (value: number): string => writtenAtPlace(Math.abs(value), -2);

function offInWords(mean: number): string {
  return size(mean) === '0.00'
    ? 'On average the readings hit the true value.'
    : `On average the readings are ${size(mean)} mL too ${mean < 0 ? 'low' : 'high'}.`;
}

const CURES = {
  systematic:
    'All readings are off to the same side: a systematic error. More readings do not mend it. Compare with a standard, and look for its cause.',
  random:
    'The readings scatter: a random error. The mean of more readings is better known. A steadier hand or a finer tool scatters less.',
} as const;

/** Says what readings show of a tool, with their number: accuracy by the mean, precision by the scatter. */
export function verdictInWords({ summary, half, accurate, precise }: AccuracyAndPrecision): VerdictInWords {
  const { n, mean, sampleStandardDeviation: s } = summary;
  if (n === 1)
    return {
      title: 'One reading tells neither',
      sentences: [
        `It lies ${size(mean)} mL from the true value. That may be a bias, or it may be scatter. With a second reading the scatter begins to show.`,
      ],
    };
  const scatter =
    s === 0
      ? 'All readings are the same: the scatter is finer than the last digit that is read.'
      : `One reading scatters by about ${size(s ?? 0)} mL.`;
  if (accurate === 'open')
    return {
      title: precise ? 'Precise. Accurate is still open' : 'Not precise. Accurate is still open',
      sentences: [
        scatter,
        `The mean is only known to ± ${size(half ?? 0)} mL, so nobody can say yet whether it lies within the tolerance. More readings settle it.`,
      ],
    };
  if (accurate === 'within')
    return precise
      ? {
          title: 'Accurate and precise',
          sentences: [offInWords(mean), `${scatter} Nearly every reading lies within the tolerance.`],
        }
      : { title: 'Accurate on average, and not precise', sentences: [offInWords(mean), scatter, CURES.random] };
  return precise
    ? { title: 'Precise, and wrong every time', sentences: [offInWords(mean), scatter, CURES.systematic] }
    : { title: 'Neither accurate nor precise', sentences: [offInWords(mean), CURES.systematic, CURES.random] };
}
