import { writtenAtPlace } from '../../numbers/rounding.ts';
import { expectedFrom, writtenReading } from '../indication/written.ts';
import type { Indication } from '../indication/indication.ts';
import { revealStep, withMinusSign, type RevealStep } from '../picture/reveal-step.ts';

/** A known error in the words of the class: taken off with its sign, or its correction added. @param size written without a sign. */
export function correctionWords({ rules }: Indication, error: number, size: string, named = 'zero error'): string {
  if (rules.zeroWording === 'add-the-zero-correction') return `Add the correction ${error > 0 ? '−' : '+'}${size}`;
  return `Take off the ${named} ${error > 0 ? '+' : '−'}${size}`;
}

/** The step that takes a known error off the mark read; none where nothing is taken off. */
export function zeroCorrectionSteps(indication: Indication, mark: number): RevealStep[] {
  const { subtracted, asked } = indication;
  if (subtracted === 0 || asked !== 'corrected') return [];
  const { text, place } = expectedFrom(indication);
  const taken = correctionWords(indication, subtracted, writtenAtPlace(Math.abs(subtracted), place));
  const [read, right] = [writtenReading(indication, mark), text].map(withMinusSign);
  return [revealStep('correction', `${taken}: ${read ?? ''} becomes ${right ?? ''}`, right)];
}
