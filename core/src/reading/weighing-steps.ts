import { decimalsOf, lastMarkPassed } from '../scales/linear-scale.ts';
import type { BeamReading, DisplayReading } from './balance-reading.ts';
import { litCharacters } from './balance-reading.ts';
import { askedFor } from './correction.ts';
import { expectedReading, readingStep, writtenReading } from './expected-reading.ts';
import type { ReadingTask } from './reading-task.ts';
import type { RevealStep } from './reveal.ts';

const spoken = (text: string): string => text.replace('-', '−');

function step(kind: RevealStep['kind'], text: string, soFar = ''): RevealStep {
  return { kind, text, fromY: null, toY: null, soFar };
}

/** What is taken off, one thing after the other: the vessel, the empty reading, the known error. */
function takenOffSteps(task: ReadingTask, shown: number, decimals: number): RevealStep[] {
  const { container = 0, empty = 0, zeroError = 0, vessel = 'vessel' } = task.situation;
  if (askedFor(task) === 'observed') return [];
  const alone = container + empty + zeroError;
  const { text } = expectedReading(task);
  const number = (value: number): string => spoken(value.toFixed(decimals));
  if (container > 0)
    return [
      step(
        'correction',
        `Less the ${vessel} alone, ${number(alone)}: ${number(shown)} becomes ${spoken(text)}`,
        spoken(text),
      ),
    ];
  if (empty !== 0)
    return [
      step(
        'correction',
        `Less what it shows with nothing on it, ${number(empty)}: ${number(shown)} becomes ${spoken(text)}`,
        spoken(text),
      ),
    ];
  if (zeroError === 0) return [];
  const taken =
    task.rules.zeroWording === 'add-the-zero-correction'
      ? `Add the correction ${zeroError > 0 ? '−' : '+'}`
      : `Take off the zero error ${zeroError > 0 ? '+' : '−'}`;
  return [
    step(
      'correction',
      `${taken}${number(Math.abs(zeroError))}: ${number(shown)} becomes ${spoken(text)}`,
      spoken(text),
    ),
  ];
}

/** How riders are read: what each stands for, the notched ones, the sliding one like any scale, the sum, what is taken off. */
export function riderSteps({ tool, load, riders }: BeamReading, task: ReadingTask): RevealStep[] {
  const places = Math.max(0, -readingStep(tool, task.rules).place);
  const notched = tool.beams.flatMap(({ notched: notches, scale }, i) =>
    notches ? [{ size: scale.division, stands: riders[i] ?? 0 }] : [],
  );
  const sliding = tool.beams.at(-1);
  const sum = notched.reduce((all, { stands }) => all + stands, 0);
  const part = Math.max(0, load - sum);
  const scale = sliding?.scale ?? { from: 0, to: 1, division: 1, labelEvery: 1, mediumEvery: 1, direction: 'up' };
  const observed = spoken(writtenReading(task, load));
  const passed = lastMarkPassed(scale, part);
  return [
    step(
      'division',
      `One notch counts ${notched.map(({ size }) => size).join(', ')} ${tool.unit} on the notched beams; a line on the sliding rider’s beam counts ${scale.division} ${tool.unit}`,
    ),
    step(
      'label',
      `The notched riders: ${notched.map(({ stands }) => String(Math.round(stands))).join(' + ')} = ${Math.round(sum)}`,
      String(Math.round(sum)),
    ),
    step(
      'marks',
      `The sliding rider has passed ${passed.toFixed(decimalsOf(scale.division))}: together ${(sum + passed).toFixed(decimalsOf(scale.division))}`,
      (sum + passed).toFixed(decimalsOf(scale.division)),
    ),
    step('estimate', `With the part of a line beyond it: ${observed}`, observed),
    ...takenOffSteps(task, Number(writtenReading(task, load)), places),
  ];
}

/** How a display is read: every digit, then what is taken off. */
export function displaySteps({ tool, value }: DisplayReading, task: ReadingTask): RevealStep[] {
  const lit = litCharacters(tool, value);
  return [
    step('marks', `Every digit shown, zeros too: ${lit}`, lit),
    ...takenOffSteps(task, value, decimalsOf(tool.division)),
  ];
}
