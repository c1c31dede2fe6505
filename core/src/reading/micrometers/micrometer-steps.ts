import { THIMBLE_DIVISION } from '../../instruments/micrometers.ts';
import { vernierReading } from '../../scales/vernier.ts';
import { writtenReading } from '../indication/written.ts';
import { revealStep, withMinusSign, type RevealStep } from '../picture/reveal-step.ts';
import { zeroCorrectionSteps } from '../words/zero-correction.ts';
import { onThimble, SLEEVE_VERNIER, type MicrometerIndication } from './micrometer-indication.ts';

const shown = (value: number, decimals: number): string => withMinusSign(value.toFixed(decimals));

/** The digit beyond the thimble's division, as the class comes by it. */
function lastDigitStep({ tool, rules, mark }: MicrometerIndication, tenths: number, observed: string): RevealStep {
  if (tool.sleeveLines > 0) {
    const { line } = vernierReading(SLEEVE_VERNIER, mark);
    return revealStep('estimate', `Line ${line} of the sleeve’s vernier lies on a thimble line: ${observed}`, observed);
  }
  if (rules.micrometerEstimate === 'nearest-line')
    return revealStep('estimate', `The nearest line: ${observed}`, observed);
  return revealStep('estimate', `About ${tenths} tenths of a division beyond it: ${observed}`, observed);
}

/** How a micrometer is read: the sleeve with its halves, the thimble, the digit beyond it, zero error. */
export function micrometerSteps(indication: MicrometerIndication): RevealStep[] {
  const { mark } = indication;
  const { sleeve, divisions } = onThimble(mark);
  const observed = withMinusSign(writtenReading(indication, mark));
  const passed = Math.floor(divisions + 1e-6);
  const hundredths = shown(sleeve + passed * THIMBLE_DIVISION, 2);
  const half = Math.round(sleeve * 2) % 2 !== 0;
  return [
    revealStep('division', 'Half a millimetre for one turn, 50 divisions on the thimble: one division is 0.01 mm'),
    revealStep(
      'label',
      half
        ? `On the sleeve ${shown(Math.floor(sleeve), 0)} mm and the half beyond it: ${shown(sleeve, 1)}`
        : `On the sleeve ${shown(sleeve, 0)} mm, and no half beyond it: ${shown(sleeve, 1)}`,
      shown(sleeve, 1),
    ),
    revealStep(
      'marks',
      `The thimble has passed ${passed} ${passed === 1 ? 'division' : 'divisions'}: ${hundredths}`,
      hundredths,
    ),
    lastDigitStep(indication, Math.round((divisions - passed) * 10), observed),
    ...zeroCorrectionSteps(indication, mark),
  ];
}
