import { THIMBLE_DIVISION } from '../instruments/micrometers.ts';
import { writtenAtPlace } from '../numbers/rounding.ts';
import { vernierReading } from '../scales/vernier.ts';
import { askedFor, takenOff } from './correction.ts';
import { expectedReading, writtenReading } from './expected-reading.ts';
import type { ReadingTask } from './reading-task.ts';
import type { RevealStep } from './reveal.ts';
import { onThimble, SLEEVE_VERNIER, type CaliperReading, type MicrometerReading } from './slide-reading.ts';

const spoken = (text: string): string => text.replace('-', '−');
const shown = (value: number, decimals: number): string => spoken(value.toFixed(decimals));

function step(
  kind: RevealStep['kind'],
  text: string,
  soFar = '',
  fromY: number | null = null,
  toY: number | null = null,
): RevealStep {
  return { kind, text, fromY, toY, soFar };
}

/** What is taken off an observed reading, in the words of the class. */
function correction(position: number, task: ReadingTask): RevealStep[] {
  const off = takenOff(task);
  if (off === 0) return [];
  const { text, place } = expectedReading(task);
  const error = writtenAtPlace(Math.abs(off), place);
  const taken =
    task.rules.zeroWording === 'add-the-zero-correction'
      ? `Add the correction ${off > 0 ? '−' : '+'}${error}`
      : `Take off the zero error ${off > 0 ? '+' : '−'}${error}`;
  return askedFor(task) === 'corrected'
    ? [step('correction', `${taken}: ${spoken(writtenReading(task, position))} becomes ${spoken(text)}`, spoken(text))]
    : [];
}

/** How a caliper is read: least count, main mark, coinciding line, both together, zero error. */
export function caliperSteps({ tool, position }: CaliperReading, task: ReadingTask): RevealStep[] {
  const { vernier, division: least } = tool;
  const { main, line } = vernierReading(vernier, position);
  const decimals = String(least).split('.')[1]?.length ?? 0;
  const observed = spoken(writtenReading(task, position));
  const division = step('division', `${vernier.lines} lines over ${vernier.spans} mm: the least count is ${least} mm`);
  const { oval } = task.situation;
  if (oval !== undefined) {
    const [one, other] = [position + oval, position - oval].map((place) => spoken(writtenReading(task, place)));
    return [
      division,
      step('label', `As it lies first: ${one}`),
      step('marks', `Turned by a right angle: ${other}`),
      step('estimate', `Their mean, ${observed}`, observed),
      ...correction(position, task),
    ];
  }
  return [
    division,
    step('label', `The last main mark before the vernier’s zero: ${shown(main, 0)} mm`, shown(main, 0), main, main),
    step(
      'estimate',
      `Line ${line} lies on a main mark: ${line} × ${least} = ${(line * least).toFixed(decimals)}, together ${observed}`,
      observed,
    ),
    ...correction(position, task),
  ];
}

/** How a micrometer is read: the sleeve with its halves, the thimble, the digit beyond it, zero error. */
export function micrometerSteps({ tool, position }: MicrometerReading, task: ReadingTask): RevealStep[] {
  const { sleeve, divisions } = onThimble(position);
  const observed = spoken(writtenReading(task, position));
  const passed = Math.floor(divisions + 1e-6);
  const hundredths = shown(sleeve + passed * THIMBLE_DIVISION, 2);
  const half = Math.round(sleeve * 2) % 2 !== 0;
  const steps = [
    step('division', 'Half a millimetre for one turn, 50 divisions on the thimble: one division is 0.01 mm'),
    step(
      'label',
      half
        ? `On the sleeve ${shown(Math.floor(sleeve), 0)} mm and the half beyond it: ${shown(sleeve, 1)}`
        : `On the sleeve ${shown(sleeve, 0)} mm, and no half beyond it: ${shown(sleeve, 1)}`,
      shown(sleeve, 1),
    ),
    step(
      'marks',
      `The thimble has passed ${passed} ${passed === 1 ? 'division' : 'divisions'}: ${hundredths}`,
      hundredths,
    ),
  ];
  if (tool.sleeveLines > 0) {
    const { line } = vernierReading(SLEEVE_VERNIER, position);
    return [
      ...steps,
      step('estimate', `Line ${line} of the sleeve’s vernier lies on a thimble line: ${observed}`, observed),
      ...correction(position, task),
    ];
  }
  if (task.rules.micrometerEstimate === 'nearest-line')
    return [...steps, step('estimate', `The nearest line: ${observed}`, observed), ...correction(position, task)];
  return [
    ...steps,
    step(
      'estimate',
      `About ${Math.round((divisions - passed) * 10)} tenths of a division beyond it: ${observed}`,
      observed,
    ),
    ...correction(position, task),
  ];
}
