import { vernierReading } from '../../scales/vernier.ts';
import { writtenReading } from '../indication/written.ts';
import { revealStep, withMinusSign, type RevealStep } from '../picture/reveal-step.ts';
import { zeroCorrectionSteps } from '../words/zero-correction.ts';
import type { CaliperIndication } from './caliper-indication.ts';

/** How a caliper is read: least count, main mark, coinciding line, both together, zero error. */
export function caliperSteps(indication: CaliperIndication): RevealStep[] {
  const { tool, mark: position, situation } = indication;
  const { vernier, division: least } = tool;
  const { main, line } = vernierReading(vernier, position);
  const decimals = String(least).split('.')[1]?.length ?? 0;
  const observedAt = (place: number): string => withMinusSign(writtenReading(indication, place));
  const observed = observedAt(position);
  const division = revealStep(
    'division',
    `${vernier.lines} lines over ${vernier.spans} mm: the least count is ${least} mm`,
  );
  const { oval } = situation;
  if (oval !== undefined)
    return [
      division,
      revealStep('label', `As it lies first: ${observedAt(position + oval)}`),
      revealStep('marks', `Turned by a right angle: ${observedAt(position - oval)}`),
      revealStep('estimate', `Their mean, ${observed}`, observed),
      ...zeroCorrectionSteps(indication, position),
    ];
  const passed = withMinusSign(main.toFixed(0));
  return [
    division,
    revealStep('label', `The last main mark before the vernier’s zero: ${passed} mm`, passed, main),
    revealStep(
      'estimate',
      `Line ${line} lies on a main mark: ${line} × ${least} = ${(line * least).toFixed(decimals)}, together ${observed}`,
      observed,
    ),
    ...zeroCorrectionSteps(indication, position),
  ];
}
