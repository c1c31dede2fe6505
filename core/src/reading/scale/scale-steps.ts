import { writtenAtPlace } from '../../numbers/rounding.ts';
import { labelPassed, lastMarkPassed, leadingDigit, nextBeyond } from '../../scales/linear-scale.ts';
import { expectedFrom, writtenReading } from '../indication/written.ts';
import { revealStep, withMinusSign, type RevealStep } from '../picture/reveal-step.ts';
import { correctionWords } from '../words/zero-correction.ts';
import type { ScaleIndication } from './scale-indication.ts';

function trimmed(value: number): string {
  return withMinusSign(String(Number(value.toFixed(6))));
}

/** The part of a space, as it is estimated: in tenths, on a scale by twos in its unit, on one by fives in fifths. */
function beyondTheMark(part: number, division: number, unit: string): string {
  if (division === 1 / 16) return `About ${Math.round((part / division) * 10)} tenths of a space beyond it`;
  const digit = leadingDigit(division);
  if (part < division / 1000) return digit === 5 ? 'Exactly on the mark' : 'Exactly on the mark: write the zero';
  if (digit === 2 || division >= 10)
    return `About ${trimmed(part)} ${unit} of the ${trimmed(division)} ${unit} to the next mark`;
  const count = Math.round((part / division) * (digit === 5 ? 5 : 10));
  return `About ${count} ${digit === 5 ? (count === 1 ? 'fifth' : 'fifths') : count === 1 ? 'tenth' : 'tenths'} of a space beyond it`;
}

/** The words in which scales differ. */
interface ScaleWords {
  /** Where the label passed lies, on a scale whose numbers grow upward. */
  readonly passed: string;
  /** What a difference is taken from. */
  readonly initial: string;
}

const UPRIGHT: ScaleWords = { passed: 'The label below', initial: 'initial reading' };

/** How the mark itself is read, before anything is taken off. */
function markSteps(indication: ScaleIndication, words: ScaleWords): RevealStep[] {
  const { tool, mark: value, resolution, positionOf: y } = indication;
  const { scale } = tool;
  const text = writtenReading(indication, value);
  const reading = Number(text);
  const { unit } = expectedFrom(indication);
  const size = Math.abs(reading);
  const inside = (label: number): number =>
    label + scale.labelEvery > scale.to + 1e-9 && label - scale.labelEvery >= scale.from
      ? label - scale.labelEvery
      : label;
  const label = reading < 0 ? labelPassed(scale, reading) : Math.max(inside(labelPassed(scale, reading)), scale.from);
  const mark = lastMarkPassed(scale, reading);
  const next = nextBeyond(scale.labelEvery, label + (reading < 0 && label === 0 ? -1e-6 : 0));
  const spaces = Math.round(scale.labelEvery / scale.division);
  const passed = Math.round(Math.abs(mark - label) / scale.division);
  const markPlace = Math.max(Math.floor(Math.log10(scale.division) + 1e-9), resolution.place);
  const soFar = withMinusSign(writtenAtPlace(mark, markPlace));
  const beyond =
    scale.direction === 'down'
      ? 'The label above'
      : reading < 0
        ? 'The label passed, going down from zero'
        : words.passed;
  const steps = [
    revealStep(
      'division',
      `${trimmed(scale.labelEvery)} ${unit} over ${spaces === 1 ? 'one space' : `${spaces} spaces`}: one division is ${trimmed(scale.division)} ${unit}`,
      '',
      y(label),
      y(Math.min(Math.max(next, scale.from), scale.to)),
    ),
    revealStep(
      'label',
      `${beyond}: ${scale.labelDecimals === undefined ? trimmed(label) : label.toFixed(scale.labelDecimals)}`,
      '',
      y(label),
    ),
    revealStep(
      'marks',
      passed === 0
        ? `No further mark passed: ${soFar}`
        : `${passed} ${passed === 1 ? 'mark' : 'marks'} further: ${soFar}`,
      soFar,
      y(label),
      y(mark),
    ),
  ];
  if (resolution.step >= scale.division) return steps;
  const estimated = `${beyondTheMark(size - Math.abs(mark), scale.division, unit)}: ${withMinusSign(text)}`;
  return [...steps, revealStep('estimate', estimated, withMinusSign(text), y(mark), y(reading))];
}

/** What is taken off the reading, in the words of the class. */
function correctionStep(indication: ScaleIndication, { initial }: ScaleWords): RevealStep[] {
  const { subtracted, asked, mark } = indication;
  if (subtracted === 0) return [];
  const { text, place } = expectedFrom(indication);
  const read = withMinusSign(writtenReading(indication, mark));
  const taken =
    asked === 'delivered'
      ? `Less the ${initial}, ${writtenReading(indication, subtracted)}`
      : correctionWords(indication, subtracted, writtenAtPlace(Math.abs(subtracted), place), 'error');
  return [revealStep('correction', `${taken}: ${read} becomes ${withMinusSign(text)}`, withMinusSign(text))];
}

/** How a graduation is read: division, label, marks, estimated digit, what is taken off. */
export function scaleSteps(indication: ScaleIndication, words: ScaleWords = UPRIGHT): RevealStep[] {
  return [...markSteps(indication, words), ...correctionStep(indication, words)];
}
