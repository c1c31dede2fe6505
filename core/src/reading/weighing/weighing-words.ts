import type { BeamBalance, DigitalBalance } from '../../instruments/instrument.ts';
import type { Remark } from '../actions.ts';
import type { Indication } from '../indication/indication.ts';
import { expectedFrom } from '../indication/written.ts';
import { revealStep, withMinusSign, type RevealStep } from '../picture/reveal-step.ts';
import { shownQuestion } from '../words/shown-question.ts';
import { correctionHints } from '../words/hints.ts';
import { thingInWords } from '../words/things.ts';
import { correctionWords } from '../words/zero-correction.ts';
import type { WeighingSituation } from './weighing-situation.ts';

type Weighed = Indication<BeamBalance | DigitalBalance, WeighingSituation>;

/** What is asked of a weighing. */
export function massQuestion({ asked, situation }: Weighed): string {
  if (asked === 'observed') return shownQuestion('balance', situation);
  return situation.count === undefined
    ? `How heavy is the ${situation.thing ?? 'thing'}?`
    : `How heavy are the ${thingInWords(situation)} together?`;
}

/** What is to be taken off a weighing. */
export function weighingHints(indication: Weighed): string[] {
  const { container = 0, empty = 0, vessel = 'vessel' } = indication.situation;
  if (container > 0)
    return [`The ${vessel} is weighed too. Weigh it alone and subtract it, or tare with it on the pan.`];
  return empty === 0 ? correctionHints(indication) : ['Look what it shows with nothing on it.'];
}

/** What is taken off, one thing after the other: the vessel, the empty reading, the known error. */
export function subtractionSteps(indication: Weighed, shown: number, decimals: number): RevealStep[] {
  const { asked, situation } = indication;
  const { container = 0, empty = 0, zeroError = 0, vessel = 'vessel' } = situation;
  if (asked === 'observed') return [];
  const right = withMinusSign(expectedFrom(indication).text);
  const number = (value: number): string => withMinusSign(value.toFixed(decimals));
  const step = (taken: string): RevealStep[] => [
    revealStep('correction', `${taken}: ${number(shown)} becomes ${right}`, right),
  ];
  if (container > 0) return step(`Less the ${vessel} alone, ${number(container + empty + zeroError)}`);
  if (empty !== 0) return step(`Less what it shows with nothing on it, ${number(empty)}`);
  return zeroError === 0 ? [] : step(correctionWords(indication, zeroError, number(Math.abs(zeroError))));
}

/** Nothing has been put where it is weighed. @param where `balance` or `pan`. */
export function notWeighed(where: string): Remark {
  return { id: 'not-weighed', text: `Nothing was put on the ${where}: the answer is judged as if it had been.` };
}

/** A disturbance was not put right. @param made what it made of the reading, with its unit. */
export function leftWrong(missed: string, made: string): Remark {
  return { id: 'left-wrong', text: `${missed} Here it made ${made}.` };
}
