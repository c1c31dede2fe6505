import { decimalsOf, lastMarkPassed, type LinearScale } from '../../scales/linear-scale.ts';
import { writtenReading } from '../indication/written.ts';
import { revealStep, withMinusSign, type RevealStep } from '../picture/reveal-step.ts';
import { subtractionSteps } from '../weighing/weighing-words.ts';
import type { BeamIndication } from './beam-indication.ts';

/** A beam without graduation, where a balance had none that slides. */
const UNGRADUATED: LinearScale = { from: 0, to: 1, division: 1, labelEvery: 1, mediumEvery: 1, direction: 'up' };

/** How riders are read: what each stands for, the notched ones, the sliding one like any scale, the sum, what is taken off. */
export function beamSteps(indication: BeamIndication): RevealStep[] {
  const { tool, load, riders, resolution } = indication;
  const places = Math.max(0, -resolution.place);
  const notched = tool.beams.flatMap(({ notched: notches, scale }, i) =>
    notches ? [{ size: scale.division, stands: riders[i] ?? 0 }] : [],
  );
  const scale = tool.beams.at(-1)?.scale ?? UNGRADUATED;
  const sum = notched.reduce((all, { stands }) => all + stands, 0);
  const passed = lastMarkPassed(scale, Math.max(0, load - sum));
  const decimals = decimalsOf(scale.division);
  const together = (sum + passed).toFixed(decimals);
  const observed = withMinusSign(writtenReading(indication, load));
  return [
    revealStep(
      'division',
      `One notch counts ${notched.map(({ size }) => size).join(', ')} ${tool.unit} on the notched beams; a line on the sliding rider’s beam counts ${scale.division} ${tool.unit}`,
    ),
    revealStep(
      'label',
      `The notched riders: ${notched.map(({ stands }) => String(Math.round(stands))).join(' + ')} = ${Math.round(sum)}`,
      String(Math.round(sum)),
    ),
    revealStep('marks', `The sliding rider has passed ${passed.toFixed(decimals)}: together ${together}`, together),
    revealStep('estimate', `With the part of a line beyond it: ${observed}`, observed),
    ...subtractionSteps(indication, Number(writtenReading(indication, load)), places),
  ];
}
